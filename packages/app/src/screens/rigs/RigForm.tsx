import { bodyOf, type Rig, type RigRow } from '@dunlinmoss/contract';
import { familyOf, type RigFormField, type FamilyCode } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { RowQuantity, RowText, usePicked } from '../../forms/fields';
import { appended, chosen, removed } from '../../forms/rowForm';
import { useChanged, useFormRow, useRowForm, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { FormColumn } from '../../components/FormColumn';
import { Panel } from '../../components/Panel';
import { Toggle } from '../../components/Toggle';
import { UnitsOpen } from '../../components/UnitsOpen';
import { axleName } from '../../words/axles';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import { addedAxle, axlesOf, emptyRig, groupOf, wearsAlike, withSameTires, type TireGroup } from './rigForm';
import { TireFields } from './TireFields';
import { AxleFields } from './AxleFields';
import { speed } from '../../words/format';

interface RigFormProps {
  readonly family: FamilyCode;
  /** Undefined makes a new rig. */
  readonly row: RigRow | undefined;
}

/** What a rig of a family is made of: its axles and tires. Its loads have a form of their own. */
export function RigForm({ family: code, row }: RigFormProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const family = familyOf(code);
  const form = useRowForm('rigs', {
    draft: `rig:${row?.id ?? `new:${code}`}`,
    row,
    blank: () => emptyRig(code),
    units,
    onSaved: (outcome, { id, name }) => {
      notify(savedText(outcome, name));
      router.navigate({ pathname: '/rigs/[id]', params: { id } });
    },
  });
  const { axles } = useFormRow(form);
  const [alike, setAlike] = useState(() => ({
    vehicle: wearsAlike('vehicle', axles) && (row !== undefined || family.tiresAlike),
    trailer: wearsAlike('trailer', axles),
  }));
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  const sayAlike = (on: boolean): void => {
    setAlike({ ...alike, vehicle: on });
    if (on) form.change((now) => chosen(now, ['/axles'], withSameTires('vehicle', now.row.axles)));
  };
  const add = (kind: 'tandem' | 'trailer'): void =>
    form.change((now) => appended(now, ['/axles'], addedAxle(now.row.axles, kind)));

  const vehicleAxles = axlesOf('vehicle', axles).length;
  const hasTrailer = axlesOf('trailer', axles).length > 0;
  // A trailer behind anything may have two or three axles; a truck or sprayer a second one at the rear.
  const trailerAxles = axlesOf('trailer', axles).length;
  const canTandem = hasTrailer ? trailerAxles < 3 && axles.length < 6 : asks('tandem') && vehicleAxles === 2;

  return (
    <FormColumn>
      <RowText form={form} at="/name" label="Name" />
      {axles.map(({ position }, index) => {
        const group: TireGroup = groupOf({ position });
        const places = axlesOf(group, axles);
        const first = places[0] === index;
        const shared = alike[group] && places.length > 1;
        const name = axleName(position, family.kind);
        return (
          <View key={position} style={styles.axle}>
            <Panel title={first && shared ? `Tires, and ${name.toLowerCase()}` : name}>
              {(first || !shared) && (
                <TireFields form={form} axles={shared ? places : [index]} family={family} spoken={`${name}: `} />
              )}
              <AxleFields form={form} index={index} family={family} name={name} />
              {index >= family.axles.length && (
                <Action
                  icon="trash"
                  label={`Without ${name.toLowerCase()}`}
                  onPress={() => form.change((now) => removed(now, ['/axles'], index))}
                />
              )}
            </Panel>
            {first && group === 'vehicle' && vehicleAxles > 1 && (
              <Toggle label="Rear tires are the same" value={alike.vehicle} onChange={sayAlike} />
            )}
          </View>
        );
      })}
      {canTandem && <Action icon="plus" label="A second axle beside it" onPress={() => add('tandem')} />}
      {asks('trailer') && !hasTrailer && <Action icon="plus" label="With a trailer" onPress={() => add('trailer')} />}
      {asks('trailer') && hasTrailer && (
        <RowQuantity
          form={form}
          at="/hitchMm"
          label="Coupling behind the front axle"
          quantity="length"
          hint="From the front hub to the ball or pin."
        />
      )}
      {family.kind === 'farm' && <RoadLoadField form={form} />}
      {asks('topSpeed') && (
        <RowQuantity
          form={form}
          at="/topSpeedKmh"
          label="Fastest on the road"
          quantity="speed"
          hint={`${family.roadSpeedKmh === null ? '' : `Empty means ${speed(family.roadSpeedKmh, units)}. `}What farm tires carry depends on it.`}
        />
      )}
      <UnitsOpen />
      <Action kind="main" label={row ? 'Save the changes' : 'Save this rig'} onPress={() => void form.submit()} />
      {row && <DropChanges form={form} row={row} />}
    </FormColumn>
  );
}

/** Which load the road pressures are for, where there are several: the heaviest until the person names one. */
function RoadLoadField({ form }: { readonly form: OpenForm<Rig> }) {
  const { loadCases } = useFormRow(form);
  const [named, pick] = usePicked<Rig, string | null>(form, '/roadLoadCaseId');
  if (loadCases.length < 2) return null;
  return (
    <Choice
      label="The road pressure is for"
      layout="list"
      value={named ?? ''}
      options={[{ code: '', name: 'The heaviest load' }, ...loadCases.map(({ id, name }) => ({ code: id, name }))]}
      onChange={(id) => pick(id === '' ? null : id)}
    />
  );
}

function DropChanges({ form, row }: { readonly form: OpenForm<Rig>; readonly row: RigRow }) {
  return useChanged(form, bodyOf('rigs', row)) ? <Action label="Drop what I changed" onPress={form.drop} /> : null;
}

const styles = StyleSheet.create({
  axle: { gap: 10 },
});
