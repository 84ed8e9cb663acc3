import { judgeTape, tapeLengthMm, type TapeMethod, type TapeReading, type TapeSurface } from '@dunlinmoss/core';

import { Table } from '../../../components/Table';
import { Text } from '../../../components/Text';
import { Strip, type StripPoint } from '../../../pictures/Strip';
import { usePalette } from '../../../theme/useLight';
import { length, percent, pressure } from '../../../words/format';
import { contactText } from '../../../words/proof/tape';
import { setOn } from '../nextRun';
import type { PictureProps, RoutineOnScreen } from './onScreen';
import { TapesBeside } from './TapesBeside';

const CURVE_POINTS = 24;

/** Measured against predicted, and the constant that gives. Follows every keystroke. */
function Picture({ test: { setup, runs, on }, judgement, units }: PictureProps) {
  const palette = usePalette();
  if (on.wheelLoadKg === null) return null;
  const { build, wheelLoadKg } = on;
  const { rows, growth, contact, offsetMm } = judgeTape({
    build,
    wheelLoadKg,
    method: setup.method as TapeMethod,
    surface: setup.surface as TapeSurface,
    readings: runs as unknown as readonly TapeReading[],
  });
  const own = contactText(judgement.figures);
  const firmest = rows[0];
  const softest = rows.at(-1);

  const curve = (constant: number | undefined, offset: number): StripPoint[] => {
    if (!firmest || !softest) return [];
    const span = firmest.pressureKpa - softest.pressureKpa;
    return Array.from(
      { length: CURVE_POINTS + 1 },
      (_, index) => softest.pressureKpa + (span * index) / CURVE_POINTS,
    ).flatMap((pressureKpa) => {
      const lengthMm = tapeLengthMm({ build, wheelLoadKg }, pressureKpa, constant, offset);
      return lengthMm === null ? [] : [{ pressureKpa, lengthMm }];
    });
  };
  // The standard prediction reads long by what lies between it and the firmest row.
  const plain = firmest && tapeLengthMm({ build, wheelLoadKg }, firmest.pressureKpa);
  const anchorMm = firmest?.predictedMm && plain ? firmest.predictedMm - plain : 0;

  return (
    <>
      {growth && (
        <Text>
          {`Grew ${length(growth.measuredMm, units)}; predicted ${length(growth.predictedMm, units)}: ${percent(growth.ratio)} of it.`}
        </Text>
      )}
      {rows.length > 0 && (
        <Table
          label="Measured against predicted"
          columns={[{ head: 'Gauge', as: 'figure', share: 1 }, { head: 'Measured' }, { head: 'Predicted' }]}
          rows={rows.map(({ pressureKpa, lengthMm, predictedMm }, index) => ({
            key: String(index),
            cells: [
              pressure(pressureKpa, units),
              length(lengthMm, units),
              predictedMm === null ? 'flat' : length(predictedMm, units),
            ],
          }))}
        />
      )}
      {growth && (
        <>
          <Strip
            measured={rows}
            predicted={curve(undefined, anchorMm)}
            fitted={contact ? curve(contact.contactConstant, offsetMm) : []}
            units={units}
            palette={palette}
          />
          <Text as="small" tone="muted">
            {`Rings: measured. Dashed: predicted.${contact ? ' Solid: your own constant.' : ''}`}
          </Text>
        </>
      )}
      {own !== undefined && <Text tone="moss">{`Your contact constant: ${own}.`}</Text>}
      {growth && offsetMm > 5 && (
        <Text as="small" tone="muted">
          {`Between poles, and on soft ground, a tape reads longer than the print: here by about ${length(offsetMm, units)}. So growth is compared, not length.`}
        </Text>
      )}
    </>
  );
}

export const tapeOnScreen: RoutineOnScreen = {
  Picture,
  Beside: TapesBeside,
  // Two readings to fill in: at road pressure, and at what is set.
  begin: ({ wheel, outing }) => ({
    setup: { method: 'poles', surface: 'firm' },
    runs: [wheel.roadKpa, setOn(outing, wheel)].map((pressureKpa) => ({ pressureKpa })),
  }),
};
