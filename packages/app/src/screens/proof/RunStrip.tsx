import { fromCanonical, routineOf } from '@dunlinmoss/core';

import { Text } from '../../components/Text';
import { TrialStrip } from '../../pictures/TrialStrip';
import { usePalette } from '../../theme/useLight';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { sureText } from '../../words/proof/routineWords';
import { unitLabel } from '../../words/units';
import type { PictureProps, StripSettings } from './routines/onScreen';

interface RunStripProps extends PictureProps {
  readonly strip?: StripSettings;
}

/** The runs of a test over their pressures, with the one to try next, and how sure that is. */
export function RunStrip({ test: { code }, judgement, units, strip = {} }: RunStripProps) {
  const palette = usePalette();
  const { score, levelUnit } = routineOf(code);
  const unit = levelUnit ?? score?.unit;
  const quantity = unit === 'mm' ? 'length' : unit === 'm' ? 'distance' : undefined;
  const counted = [ROUTINE_WORDS[code].counted ?? '', quantity && unitLabel(units[quantity]), strip.note].filter(
    (part) => part !== undefined,
  );
  return (
    <>
      {judgement.levels.length > 0 && (
        <TrialStrip
          levels={judgement.levels}
          counted={counted.join(', ')}
          shown={(value) => (quantity ? fromCanonical(quantity, units[quantity] as never, value) : value)}
          {...(strip.range && { range: strip.range })}
          nextKpa={judgement.move === 'keep' ? null : judgement.tryKpa}
          bestKpa={judgement.move === 'keep' ? judgement.tryKpa : null}
          units={units}
          palette={palette}
        />
      )}
      {judgement.sure !== null && judgement.sure > 0 && !strip.sureElsewhere && (
        <Text as="small" tone="muted">{`How sure: ${sureText(judgement.sure)}.`}</Text>
      )}
    </>
  );
}
