import { bodyOf, type Rig, type RigRow } from '@dunlinmoss/contract';
import {
  familyOf,
  isTrailer,
  type RigFormField,
  type Family,
  type FamilyCode,
  type LikelyValues,
} from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { gaugeOffsets, useGauges } from '../../data/gauges';
import { unitsStore } from '../../settings/preferences';
import { RowNumber, RowQuantity, RowText, usePicked, type NumberPlace } from '../../forms/fields';
import { appended, chosen, removed, withValue } from '../../forms/rowForm';
import { useChanged, useFormRow, useRowForm, useValue, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { UnitChoice } from '../../components/UnitChoice';
import { Plus, Trash } from '../../theme/icons';
import { axleName } from '../../words/axles';
import { ROAD_WORDS } from '../../words/families';
import { savedText } from '../../words/saved';
import { addedAxle, axlesOf, emptyRig, groupOf, wearsAlike, withSameTires, type TireGroup } from './rigForm';
import { TireFields } from './TireFields';

interface RigFormProps {
  readonly family: FamilyCode;
  /** Undefined makes a new rig. */
  readonly row: RigRow | undefined;
}

/** What a rig of a family is made of: its axles and what they wear. Its loads have a form of their own. */
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
  const canTandem = asks('tandem') && (vehicleAxles === 2 ? !hasTrailer : vehicleAxles === 0 && axles.length < 3);

  return (
    <View style={styles.form}>
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
                  icon={Trash}
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
      {canTandem && <Action icon={Plus} label="A second axle beside it" onPress={() => add('tandem')} />}
      {asks('trailer') && !hasTrailer && <Action icon={Plus} label="With a trailer" onPress={() => add('trailer')} />}
      {asks('trailer') && hasTrailer && (
        <RowQuantity
          form={form}
          at="/hitchMm"
          label="Coupling behind the front axle"
          quantity="length"
          hint="From the front hub to the ball or pin."
        />
      )}
      {asks('topSpeed') && (
        <RowNumber
          form={form}
          at="/topSpeedKmh"
          label="Fastest on the road"
          unit="km/h"
          hint={`Empty means ${family.roadSpeedKmh} km/h. What farm tires carry depends on it.`}
        />
      )}
      <UnitChoice label="Weights in" quantity="mass" />
      <UnitChoice label="Lengths in" quantity="length" />
      <Action kind="main" label={row ? 'Save the changes' : 'Save this rig'} onPress={() => void form.submit()} />
      {row && <DropChanges form={form} row={row} />}
    </View>
  );
}

function DropChanges({ form, row }: { readonly form: OpenForm<Rig>; readonly row: RigRow }) {
  return useChanged(form, bodyOf('rigs', row)) ? <Action label="Drop what I changed" onPress={form.drop} /> : null;
}

interface AxleFieldsProps {
  readonly form: OpenForm<Rig>;
  readonly index: number;
  readonly family: Family;
  readonly name: string;
}

/** What belongs to an axle and not to its tires: pressures, place, rating. */
function AxleFields({ form, index, family, name }: AxleFieldsProps) {
  const position = useValue<Rig, Rig['axles'][number]['position']>(form, `/axles/${index}/position`);
  const [wheels, pickWheels] = usePicked<Rig, number>(form, `/axles/${index}/wheels`);
  const [driven, pickDriven] = usePicked<Rig, boolean>(form, `/axles/${index}/driven`);
  const towed = isTrailer(position);
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  const likely = (key: keyof LikelyValues) => (towed && family.code !== 'farmTrailer' ? null : family.likely[key]);
  const origin = index === 0 && !towed;
  const road = ROAD_WORDS[family.kind];
  return (
    <>
      <RowQuantity
        form={form}
        at={`/axles/${index}/roadKpa`}
        label={road.label}
        spoken={`${name}: ${road.label.toLowerCase()}`}
        quantity="pressure"
        likely={likely('roadKpa')}
        hint={road.hint}
      />
      <Unfold label={`In it now, where it stands${asks('axleRating') ? ', its rating' : ''}`}>
        <PresentFields form={form} index={index} name={name} />
        {!origin && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/behindMm`}
            label={towed ? 'Behind the coupling' : 'Behind the front axle'}
            spoken={`${name}: ${towed ? 'behind the coupling' : 'behind the front axle'}`}
            quantity="length"
            likely={likely('wheelbaseMm')}
            hint="From hub to hub. A common one until you measure it."
          />
        )}
        {wheels > 1 && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/trackMm`}
            label="Track"
            spoken={`${name}: track`}
            quantity="length"
            likely={likely('trackMm')}
            hint={
              wheels === 4
                ? 'From the middle of the left pair to that of the right.'
                : 'From the middle of the left wheel to that of the right.'
            }
          />
        )}
        {asks('pairs') && position !== 'front' && !towed && (
          <Toggle
            label="Pairs of wheels"
            note="Two tires on each side"
            value={wheels === 4}
            onChange={(on) => pickWheels(on ? 4 : 2)}
          />
        )}
        {asks('driven') && !towed && <Toggle label="Driven" value={driven} onChange={pickDriven} />}
        {asks('axleRating') && (
          <RowQuantity
            form={form}
            at={`/axles/${index}/ratingKg`}
            label="Axle rating"
            spoken={`${name}: axle rating`}
            quantity="mass"
            hint="From the maker's plate, if you like."
          />
        )}
      </Unfold>
    </>
  );
}

/** What was read in an axle's tires: with its gauge, or not at all. */
const presentPlace = (index: number): NumberPlace<Rig> => ({
  key: `/axles/${index}/present/rawKpa`,
  read: ({ axles }) => axles[index]!.present?.rawKpa ?? null,
  write: (row, rawKpa) => {
    const { gaugeId = null, offsetKpa = 0 } = row.axles[index]!.present ?? {};
    return withValue(row, `/axles/${index}/present`, rawKpa === null ? null : { rawKpa, gaugeId, offsetKpa });
  },
});

/** What is in an axle's tires now, and with which gauge it was read. */
function PresentFields({ form, index, name }: Pick<AxleFieldsProps, 'form' | 'index' | 'name'>) {
  const gauges = useGauges();
  const [present, pickPresent] = usePicked<Rig, Rig['axles'][number]['present']>(form, `/axles/${index}/present`);
  return (
    <>
      <RowQuantity
        form={form}
        at={presentPlace(index)}
        label="Read on the gauge now"
        spoken={`${name}: read on the gauge now`}
        quantity="pressure"
        hint="Kept as read; the gauge's own offset is taken off."
      />
      {gauges.length > 0 && present && (
        <Choice
          label="Which gauge"
          value={present.gaugeId ?? ''}
          options={[
            { code: '', name: 'Taken as true' },
            ...gauges.map((gauge) => ({ code: gauge.id, name: gauge.name })),
          ]}
          onChange={(id) =>
            pickPresent({ ...present, gaugeId: id || null, offsetKpa: gaugeOffsets(gauges).get(id) ?? 0 })
          }
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  form: { gap: 14 },
  axle: { gap: 10 },
});
