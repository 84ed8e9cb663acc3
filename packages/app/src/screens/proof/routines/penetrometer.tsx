import { fromCanonical, ROOT_LIMIT_KPA } from '@dunlinmoss/core';

import { TrackLines } from '../../../pictures/TrackLines';
import { usePalette } from '../../../theme/useLight';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import { ConeReadings } from './ConeReadings';
import type { InputProps, PictureProps, RoutineOnScreen } from './onScreen';

/** The cone's reading by depth in both tracks and beside them, with the line where roots stop. */
function Picture({ test: { runs }, units }: PictureProps) {
  const palette = usePalette();
  const inPressure = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const inLength = (mm: number): number => fromCanonical('length', units.length, mm);
  return (
    <TrackLines
      lines={(['untouched', 'trackA', 'trackB'] as const)
        .map((track) => ({
          name: ROUTINE_WORDS.penetrometer.options!.track![track]!,
          points: runs
            .filter((run) => run.track === track)
            .map((run): [number, number] => [inPressure(Number(run.coneKpa)), inLength(Number(run.depthMm))])
            .sort((a, b) => a[1] - b[1]),
        }))
        .filter(({ points }) => points.length > 0)}
      along={`cone, ${units.pressure}`}
      up={`depth, ${units.length}`}
      down
      limit={{ at: inPressure(ROOT_LIMIT_KPA), name: 'roots stop' }}
      label="Cone against depth"
      palette={palette}
    />
  );
}

const RunsInput = ({ rigId, units, setup, addRuns }: InputProps) => (
  <ConeReadings rigId={rigId} units={units} setup={setup} onRead={addRuns} />
);

export const penetrometerOnScreen: RoutineOnScreen = { Picture, RunsInput };
