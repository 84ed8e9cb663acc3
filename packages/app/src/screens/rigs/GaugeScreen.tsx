import type { GaugeBody, GaugeRow } from '@dunlinmoss/contract';
import { GAUGE_GRADES, gaugeOffset } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { unitsStore } from '../../settings/preferences';
import { RowNumber, RowQuantity, RowText } from '../../forms/fields';
import { appended, removed } from '../../forms/rowForm';
import { useFormRow, useRowForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { FormColumn } from '../../components/FormColumn';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { offsetText } from '../../words/gauges';
import { savedText } from '../../words/saved';
import { RowFrame } from '../../components/RowFrame';
import { useRouter } from '../../hooks/useRouter';
import { BesideList } from './RigScreen';

/** One gauge; `new` begins another. */
export function GaugeScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const fresh = id === 'new' ? 'New gauge' : 'Gauge';
  return (
    <RowFrame name="gauges" id={id} around={(body, row) => <BesideList title={row?.name ?? fresh}>{body}</BesideList>}>
      {(row) => <GaugeForm key={`${id} ${row?.revision ?? 0}`} row={row} />}
    </RowFrame>
  );
}

const blankGauge = (): Omit<GaugeBody, 'id'> => ({
  revision: 0,
  name: '',
  fromKpa: 0,
  fullScaleKpa: null as unknown as number,
  gradePercent: null,
  comparisons: [],
});

export function GaugeForm({ row }: { readonly row: GaugeRow | undefined }) {
  const router = useRouter();
  const palette = usePalette();
  const units = unitsStore.use();
  const form = useRowForm('gauges', {
    draft: `gauge:${row?.id ?? 'new'}`,
    row,
    blank: blankGauge,
    units,
    onSaved: (outcome, { name }) => {
      notify(savedText(outcome, name));
      router.navigate('/rigs/tools');
    },
  });
  const { comparisons, gradePercent } = useFormRow(form);
  const offset = gaugeOffset(
    comparisons.filter(({ gaugeKpa, trustedKpa }) => gaugeKpa !== null && trustedKpa !== null),
  );
  const pickGrade = (grade: number | null): void =>
    form.change(({ row: gauge, texts: { '/gradePercent': _, ...texts } }) => ({
      row: { ...gauge, gradePercent: grade },
      texts,
    }));

  return (
    <FormColumn>
      <RowText form={form} at="/name" label="Name" />
      <View style={styles.pair}>
        <View style={styles.half}>
          <RowQuantity form={form} at="/fromKpa" label="Scale from" quantity="pressure" />
        </View>
        <View style={styles.half}>
          <RowQuantity form={form} at="/fullScaleKpa" label="to" spoken="Scale to" quantity="pressure" />
        </View>
      </View>
      <Choice
        label="Class on the dial (EN 837-1): the most it may be off, of the full scale"
        value={
          gradePercent === null || GAUGE_GRADES.some((grade) => grade === gradePercent)
            ? String(gradePercent ?? '')
            : undefined
        }
        options={[
          { code: '', name: 'None there' },
          ...GAUGE_GRADES.map((grade) => ({ code: String(grade), name: String(grade), note: `± ${grade} %` })),
        ]}
        onChange={(code) => pickGrade(code === '' ? null : Number(code))}
      />
      <RowNumber form={form} at="/gradePercent" label="or another figure" unit="%" spoken="Class" />
      <Panel title="Held against a trusted gauge">
        <Text as="small" tone="muted">
          Read one tire with both, at two or three pressures. The mean difference is taken off what this gauge reads.
        </Text>
        {comparisons.map((_, index) => (
          <View key={index} style={styles.pair}>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                at={`/comparisons/${index}/gaugeKpa`}
                label="This one"
                spoken={`Comparison ${index + 1}: this one`}
                quantity="pressure"
              />
            </View>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                at={`/comparisons/${index}/trustedKpa`}
                label="Trusted"
                spoken={`Comparison ${index + 1}: trusted`}
                quantity="pressure"
              />
            </View>
            <Press
              aria-label={`Remove comparison ${index + 1}`}
              onPress={() => form.change((now) => removed(now, ['/comparisons'], index))}
              style={styles.remove}
            >
              <Icon source="trash" size={20} color={palette.muted} />
            </Press>
          </View>
        ))}
        <Action
          icon="plus"
          label="A comparison"
          onPress={() => form.change((now) => appended(now, ['/comparisons'], { gaugeKpa: null, trustedKpa: null }))}
        />
        <Text as="strong">{offsetText(offset, units)}</Text>
      </Panel>
      <Action kind="main" label={row ? 'Save the changes' : 'Save this gauge'} onPress={() => void form.submit()} />
      {row && (
        <Action
          kind="hurt"
          icon="trash"
          label="Archive this gauge"
          onPress={() => void form.archive?.(row.name, () => router.navigate('/rigs/tools'))}
        />
      )}
    </FormColumn>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
  remove: { alignItems: 'center', marginTop: 6, height: 50, width: 48 },
});
