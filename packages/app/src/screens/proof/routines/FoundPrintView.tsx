import type { PointPx } from '@dunlinmoss/core';

import { Action } from '../../../components/Action';
import { Text } from '../../../components/Text';
import { Toggle } from '../../../components/Toggle';
import type { Units } from '../../../settings/preferences';
import { area, length, percent } from '../../../words/format';
import { PhotoMarks } from './PhotoMarks';
import type { FoundPrint, OpenPhoto, PhotoAction } from './photoWork';

interface FoundPrintViewProps {
  readonly found: FoundPrint;
  readonly photo: OpenPhoto;
  /** The outline in the photo, px: its handles while it is mended. */
  readonly outline: readonly PointPx[];
  readonly mending: boolean;
  readonly keep: boolean;
  readonly units: Units;
  readonly dispatch: (action: PhotoAction) => void;
  readonly onMend: (index: number, to: PointPx) => void;
  readonly onAccept: () => void;
}

/** The print that was found, to accept or to mend. */
export function FoundPrintView(props: FoundPrintViewProps) {
  const { found, photo, outline, mending, keep, units, dispatch, onMend, onAccept } = props;
  const { lengthMm, widthMm, grossMm2, netMm2, leftOutShare, isOdd } = found;
  const rubber =
    netMm2 === null ? '' : `, ${area(netMm2, units)} rubber, ${percent(Math.max(0, 1 - netMm2 / grossMm2))} void`;
  return (
    <>
      <PhotoMarks
        {...photo}
        marks={outline}
        joined="round"
        tone="outline"
        still={!mending}
        names={(index) => `Outline ${index + 1}`}
        onMove={(index, to) => {
          if (mending) onMend(index, to);
        }}
      />
      <Text as="heading">{`${length(lengthMm, units)} long, ${length(widthMm, units)} wide`}</Text>
      <Text>{`${area(grossMm2, units)} within the outline${rubber}.`}</Text>
      {leftOutShare > 0 && (
        <Text as="small" tone="rust" role="alert">
          {`${percent(leftOutShare)} of the ink lies beside this outline. If a shoulder stood there too, mend the outline round it.`}
        </Text>
      )}
      {isOdd && (
        <Text as="small" tone="rust" role="alert">
          No tire leaves such an outline: a smear, a boot or a stone may hang on it. Mend it, or take the photo again.
        </Text>
      )}
      <Toggle
        label="Keep the photo"
        note="Made small; without place, time or camera."
        value={keep}
        onChange={(next) => dispatch({ type: 'keep', keep: next })}
      />
      <Action kind="main" label="Accept this print" onPress={onAccept} />
      <Action
        label={mending ? 'Mended' : 'Mend the outline'}
        onPress={() => dispatch({ type: 'mending', mending: !mending })}
      />
      <Action label="Mark anew" onPress={() => dispatch({ type: 'markAnew' })} />
    </>
  );
}
