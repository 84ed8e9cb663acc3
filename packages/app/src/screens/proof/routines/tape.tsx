import { judgeTape, tapeLengthMm, type TapeMethod, type TapeReading, type TapeSurface } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

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
        <View role="table" aria-label="Measured against predicted">
          <Row cells={['Gauge', 'Measured', 'Predicted']} head />
          {rows.map(({ pressureKpa, lengthMm, predictedMm }, index) => (
            <Row
              key={index}
              cells={[
                pressure(pressureKpa, units),
                length(lengthMm, units),
                predictedMm === null ? 'flat' : length(predictedMm, units),
              ]}
            />
          ))}
        </View>
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

function Row({ cells, head = false }: { readonly cells: readonly string[]; readonly head?: boolean }) {
  const palette = usePalette();
  return (
    <View role="row" style={[styles.row, { borderColor: head ? palette.ink : palette.line }]}>
      {cells.map((cell) => (
        <Text key={cell} role={head ? 'columnheader' : 'cell'} as={head ? 'label' : 'figure'} style={styles.cell}>
          {cell}
        </Text>
      ))}
    </View>
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

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderBottomWidth: 1, paddingVertical: 4 },
  cell: { flex: 1, textAlign: 'right' },
});
