import type { ProofTestRow, RoutineTestRow } from '@dunlinmoss/contract';
import { routineOf, type RoutineValues } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import { createElement, useEffect, useState } from 'react';
import { Controller, useFieldArray, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { photoAddress } from '../../data/photos';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { canonicalOf, type QuantityText } from '../../components/quantityText';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { loadText } from '../../words/proof/print';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { CountSquares } from './CountSquares';
import { GaugeOfTest } from './GaugeOfTest';
import { HowTo } from './HowTo';
import { PhotoMeasure } from './PhotoMeasure';
import { anotherRun, type FieldText, type RoutineFormValues } from './routineForm';
import { RoutineField } from './RoutineField';
import { RoutineVerdict } from './RoutineVerdict';
import { TestPage, type OpenedTest } from './TestPage';
import { useRoutine } from './useRoutine';

const isPrint = (row: ProofTestRow): row is RoutineTestRow => row.kind === 'print';

/** Prints of one wheel, from photos or by hand: `/proof/print/new` begins a test. */
export function PrintScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TestPage title={ROUTINE_WORDS.print.name} isOwn={isPrint}>
      {({ row, rig, outing }) => (
        <Prints key={`${id} ${row?.revision ?? 0} ${rig.id}`} row={row} rig={rig} outing={outing} />
      )}
    </TestPage>
  );
}

type How = 'photo' | 'squares' | 'ruler';

function Prints({ row, rig, outing }: OpenedTest<RoutineTestRow>) {
  const palette = usePalette();
  const words = ROUTINE_WORDS.print;
  const open = useRoutine({ code: 'print', row, rig, outing, begin: () => ({ runs: [] }) });
  const { form, values, units, wheels, wheel, test, judgement } = open;
  const { control, getValues, setValue } = form;
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'runs' });
  const [how, setHow] = useState<How>('photo');
  const setKpa = outing?.pressures.find(({ position }) => position === wheel.position)?.pressureKpa;

  /** The pressure that a next print is likely made at: the road's first, then what is driven with. */
  const likelyKpa = (): number | null => {
    const last = getValues('runs').at(-1)?.pressureKpa as QuantityText | undefined;
    const lastKpa = last && canonicalOf('pressure', last);
    return lastKpa === undefined ? (wheel.roadKpa ?? setKpa ?? null) : (setKpa ?? null);
  };
  const add = (measured: RoutineValues): void => {
    append(anotherRun('print', { pressureKpa: likelyKpa(), how, ...measured }, units));
    notify('Taken. Say at what pressure it was made.');
  };
  const drop = (index: number): void => {
    const run = getValues(`runs.${index}`);
    remove(index);
    notify('Print removed.', () => insert(index, run));
  };
  const field = (index: number, name: string) => (
    <Controller
      key={name}
      control={control}
      name={`runs.${index}.${name}` as Path<RoutineFormValues>}
      render={({ field: { value, onChange }, fieldState }) => (
        <RoutineField
          field={routineOf('print').run[name]!}
          label={words.fields[name] ?? name}
          spoken={`Print ${index + 1}: ${(words.fields[name] ?? name).toLowerCase()}`}
          value={value as FieldText}
          onChange={onChange}
          wheels={{}}
          problem={fieldState.error?.message}
        />
      )}
    />
  );

  return (
    <Page
      title={words.name}
      action={
        fields.length > 0 && (
          <Action kind="main" label={row ? 'Save the changes' : 'Save this test'} onPress={() => void open.submit()} />
        )
      }
      result={
        <>
          <RoutineVerdict test={test} judgement={judgement} wheels={{}} />
          {open.archiveRow && <Action kind="hurt" icon={Trash} label="Archive this test" onPress={open.archiveRow} />}
        </>
      }
    >
      <Text tone="muted">{`${rig.name}. ${wheel.tireMarking}, ${loadText(wheel.wheelLoadKg, units)}.`}</Text>
      <HowTo code="print" />
      {wheels.length > 1 && (
        <Controller
          control={control}
          name="wheel"
          render={({ field: { value, onChange } }) => (
            <Choice
              label="Wheel"
              value={value}
              options={wheels.map((each) => ({ code: each.key, name: wheelName(each) }))}
              onChange={onChange}
            />
          )}
        />
      )}
      {fields.length > 0 && (
        <Panel title="Prints">
          <GaugeOfTest
            gaugeId={values.gaugeId}
            onChange={(gaugeId) => setValue('gaugeId', gaugeId, { shouldDirty: true })}
            offsetKpa={open.offsetKpa}
            units={units}
          />
          {fields.map(({ id }, index) => {
            const photoId = values.runs[index]?.photoId;
            return (
              <View key={id} style={[styles.run, { borderColor: palette.line }]}>
                <View style={styles.head}>
                  <Text as="label" tone="muted">
                    {`Print ${index + 1}, ${words.options!.how![(values.runs[index]?.how as How) || 'ruler']!.toLowerCase()}`}
                  </Text>
                  <Press aria-label={`Remove print ${index + 1}`} onPress={() => drop(index)} style={styles.remove}>
                    <Trash size={18} color={palette.muted} />
                    <Text as="small" tone="muted">
                      Remove
                    </Text>
                  </Press>
                </View>
                {['pressureKpa', 'lengthMm', 'widthMm', 'grossMm2', 'netMm2'].map((name) => field(index, name))}
                {typeof photoId === 'string' && photoId !== '' && <KeptPhoto id={photoId} />}
              </View>
            );
          })}
        </Panel>
      )}
      <Choice
        label={fields.length === 0 ? 'The first print' : 'One more print'}
        value={how}
        options={[
          { code: 'photo', name: 'A photo' },
          { code: 'squares', name: 'Squares' },
          { code: 'ruler', name: 'Ruler' },
        ]}
        onChange={setHow}
      />
      {how === 'photo' && <PhotoMeasure units={units} onAccept={(measured) => add({ ...measured })} />}
      {how === 'squares' && <CountSquares units={units} onCounted={add} />}
      {how === 'ruler' && <Action label="Type length and width" icon={Plus} onPress={() => add({})} />}
    </Page>
  );
}

/** The photo that was kept with a print. */
function KeptPhoto({ id }: { readonly id: string }) {
  const [src, setSrc] = useState<string>();
  useEffect(() => {
    let here = true;
    void photoAddress(id).then((address) => {
      if (here) setSrc(address);
    });
    return () => {
      here = false;
    };
  }, [id]);
  return src === undefined
    ? null
    : createElement('img', {
        src,
        alt: 'The photo of this print',
        style: { width: '100%', maxWidth: 200, borderRadius: 3 },
      });
}

const styles = StyleSheet.create({
  run: { borderTopWidth: 1, paddingTop: 8, gap: 8 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  remove: { flexDirection: 'row', gap: 4, alignItems: 'center', paddingHorizontal: 8 },
});
