import { buildOf, type TapeDetails } from '@dunlinmoss/contract';
import { tapeLengthMm, type TapeResult } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Strip, type StripPoint } from '../../pictures/Strip';
import { usePalette } from '../../theme/useLight';
import { length, percent, pressure } from '../../words/format';
import { contactText, VERDICT_WORDS, verdictAdvice } from '../../words/tape';

interface TapeVerdictProps {
  readonly result: TapeResult;
  readonly wheel: Pick<TapeDetails, 'tireMarking' | 'loadRange' | 'wheelLoadKg'>;
}

const CURVE_POINTS = 24;

/** Measured against predicted, what that means, and the constant it gives. Follows every keystroke. */
export function TapeVerdict({ result, wheel }: TapeVerdictProps) {
  const units = unitsStore.use();
  const palette = usePalette();
  const { verdict, rows, growth, contact, offsetMm } = result;
  const trouble = verdict === 'moreThanExpected';
  const firmest = rows[0];
  const softest = rows.at(-1);

  const curve = (constant: number | undefined, offset: number): StripPoint[] => {
    if (!firmest || !softest) return [];
    const span = firmest.pressureKpa - softest.pressureKpa;
    const tire = { build: buildOf(wheel), wheelLoadKg: wheel.wheelLoadKg };
    return Array.from(
      { length: CURVE_POINTS + 1 },
      (_, index) => softest.pressureKpa + (span * index) / CURVE_POINTS,
    ).flatMap((pressureKpa) => {
      const lengthMm = tapeLengthMm(tire, pressureKpa, constant, offset);
      return lengthMm === undefined ? [] : [{ pressureKpa, lengthMm }];
    });
  };
  // The standard prediction reads long by what lies between it and the firmest row.
  const plain = firmest && tapeLengthMm({ build: buildOf(wheel), wheelLoadKg: wheel.wheelLoadKg }, firmest.pressureKpa);
  const anchorMm = firmest?.predictedMm && plain ? firmest.predictedMm - plain : 0;

  return (
    <Panel title="What it says">
      <View
        role="status"
        style={[
          styles.verdict,
          {
            borderColor: trouble ? palette.rust : palette.moss,
            backgroundColor: trouble ? palette.rustWash : palette.mossWash,
          },
        ]}
      >
        <Text as="heading">{VERDICT_WORDS[verdict]}</Text>
        <Text>{verdictAdvice(result)}</Text>
      </View>
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
      {contact && <Text tone="moss">{`Your contact constant: ${contactText(contact)}.`}</Text>}
      {growth && offsetMm > 5 && (
        <Text as="small" tone="muted">
          {`Between poles, and on soft ground, a tape reads longer than the print: here by about ${length(offsetMm, units)}. So growth is compared, not length.`}
        </Text>
      )}
    </Panel>
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

const styles = StyleSheet.create({
  verdict: { borderLeftWidth: 6, padding: 12, gap: 4 },
  row: { flexDirection: 'row', borderBottomWidth: 1, paddingVertical: 4 },
  cell: { flex: 1, textAlign: 'right' },
});
