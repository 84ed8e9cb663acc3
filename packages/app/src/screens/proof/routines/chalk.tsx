import { ChalkLine } from '../../../pictures/ChalkLine';
import { usePalette } from '../../../theme/useLight';
import { pressure } from '../../../words/format';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import type { PictureProps, RoutineOnScreen } from './onScreen';

const LEFT = { worn: 0, partly: 0.5, still: 1 } as const;
const ZONES = ['outerLeft', 'left', 'middle', 'right', 'outerRight'] as const;

/** What is left of the line across the tread, wheel by wheel. */
function Picture({ test: { runs }, judgement, units, wheels }: PictureProps) {
  const palette = usePalette();
  return (
    <ChalkLine
      wheels={runs.map((run, index) => ({
        name: wheels[String(run.wheel)] ?? '',
        zones: ZONES.map((zone) => LEFT[run[zone] as keyof typeof LEFT]),
        word: `${pressure(Number(run.pressureKpa), units)}: ${ROUTINE_WORDS.chalk.runs![judgement.runs[index]!] ?? ''}`,
      }))}
      palette={palette}
    />
  );
}

export const chalkOnScreen: RoutineOnScreen = { Picture, saysRuns: true };
