import { fromCanonical, INCH_OF_WATER_ML } from '@dunlinmoss/core';

import { TrackLines } from '../../../pictures/TrackLines';
import { usePalette } from '../../../theme/useLight';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import { oneRun, type PictureProps, type RoutineOnScreen } from './onScreen';

/** The water that is left in both rings against time. */
function Picture({ test: { runs, setup }, units }: PictureProps) {
  const palette = usePalette();
  const inLength = (mm: number): number => fromCanonical('length', units.length, mm);
  return (
    <TrackLines
      lines={(['trackA', 'trackB'] as const).map((track) => ({
        name: ROUTINE_WORDS.infiltration.options!.track![track]!,
        points: [
          [0, inLength(Number(setup.pouredMm))] as const,
          ...runs
            .filter((run) => run.track === track)
            .map((run) => [Number(run.atS) / 60, inLength(Number(run.leftMm))] as const)
            .sort((a, b) => a[0] - b[0]),
        ],
      }))}
      along="time, min"
      up={`water left, ${units.length}`}
      label="Water left against time"
      palette={palette}
    />
  );
}

// One inch of water in the field kit's ring.
export const infiltrationOnScreen: RoutineOnScreen = {
  Picture,
  begin: (at) => ({ ...oneRun(at), setup: { pouredMl: INCH_OF_WATER_ML } }),
};
