import { printFigures } from '@dunlinmoss/core';

import { Text } from '../../../components/Text';
import { NestedPrints } from '../../../pictures/NestedPrints';
import { usePalette } from '../../../theme/useLight';
import { area, percent, pressure } from '../../../words/format';
import type { PictureProps, RoutineOnScreen } from './onScreen';
import { PrintsInput } from './PrintsInput';

/** The prints inside one another, with area, void and pressure of each. */
function Picture({ test: { runs, on }, units }: PictureProps) {
  const palette = usePalette();
  return (
    <>
      <NestedPrints
        prints={runs.map((run) => ({
          pressureKpa: Number(run.pressureKpa),
          lengthMm: Number(run.lengthMm),
          widthMm: Number(run.widthMm),
          outline: (run.outline ?? null) as never,
        }))}
        units={units}
        palette={palette}
      />
      {runs.map((run, index) => {
        const figures = printFigures(run as never, on);
        return (
          <Text key={index} as="small">
            {[
              `${pressure(Number(run.pressureKpa), units)}: ${area(figures.grossMm2, units)} within the outline`,
              figures.netMm2 === null
                ? undefined
                : `${area(figures.netMm2, units)} rubber, ${percent(figures.voidShare!)} void`,
              figures.grossKpa === null
                ? 'load not known, so no pressure on the ground'
                : `${pressure(figures.grossKpa, units)} on soft ground`,
              figures.netKpa === null ? undefined : `${pressure(figures.netKpa, units)} under the rubber`,
            ]
              .filter((part) => part !== undefined)
              .join(', ')}
          </Text>
        );
      })}
    </>
  );
}

export const printOnScreen: RoutineOnScreen = {
  Picture,
  Body: PrintsInput,
  begin: () => ({ runs: [] }),
  saving: ({ values }) => (values.runs.length === 0 ? null : { label: 'Save this test', main: true }),
};
