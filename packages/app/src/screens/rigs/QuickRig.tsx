import { isRoadDoubtful, type Rig } from '@dunlinmoss/contract';
import { familyOf, type FamilyCode } from '@dunlinmoss/core';
import { Fragment, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { chosenRigStore } from '../../hooks/useChosenRig';
import { RowPressure, RowQuantity } from '../../forms/fields';
import { chosen } from '../../forms/rowForm';
import { useFormRow, useRowForm } from '../../forms/useRowForm';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { axleName } from '../../words/axles';
import { ROAD_WORDS } from '../../words/families';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import { FirstTable } from './FirstTable';
import { MarkingField } from './MarkingField';
import { PasteSheet } from './PasteSheet';
import { firstRows, namedBySize, quickRig } from './quickRig';
import { withSameTires } from './rigForm';
import { HooksField, TubeField } from './TireFields';

const ON_ROAD = 'Pressure on the road, cold';

interface QuickRigProps {
  readonly family: FamilyCode;
  /** The size where it is typed elsewhere; else it is a field here. */
  readonly size?: string;
  readonly onKept?: () => void;
  /** Goes on to the full form. */
  readonly onAll: () => void;
}

/** The size as it is said and the pressure on the road, and the pressures stand there at once. All else comes later. */
export function QuickRig({ family: code, size, onKept, onAll }: QuickRigProps) {
  const router = useRouter();
  const family = familyOf(code);
  const units = unitsFor(unitsStore.use(), code);
  const bicycle = family.kind === 'bicycle';
  const form = useRowForm('rigs', {
    draft: `rig:new:${code}`,
    row: undefined,
    blank: () => quickRig(code),
    units,
    onSaved: (outcome, { id, name }) => {
      notify(savedText(outcome, name));
      onKept?.();
      chosenRigStore.set(id);
      router.navigate({ pathname: '/ground', params: { rig: id } });
    },
  });
  const row = useFormRow(form);
  const several = row.axles.length > 1;
  const [alike, setAlike] = useState(several && family.tiresAlike);
  const [same, setSame] = useState(several && family.tiresAlike && !bicycle);
  // A size that is typed above is that of all axles, or of the front one where they differ.
  const { change } = form;
  const sizedAxles = alike ? row.axles.length : 1;
  useEffect(() => {
    if (size === undefined) return;
    const at = Array.from({ length: sizedAxles }, (_, index) => `/axles/${index}/tireMarking`);
    change((now) => chosen(now, at, size));
  }, [size, sizedAxles, change]);
  const all = row.axles.map((_, index) => index);
  const sayAlike = (on: boolean): void => {
    setAlike(on);
    if (on) form.change((now) => chosen(now, ['/axles'], withSameTires('vehicle', now.row.axles)));
  };
  const saySame = (on: boolean): void => {
    setSame(on);
    const behind = all.slice(1).map((index) => `/axles/${index}/roadKpa`);
    if (on) form.change((now) => chosen(now, behind, now.row.axles[0]!.roadKpa));
  };
  // What holds the air decides much on what is ridden: it is never assumed in silence.
  const ridden = bicycle || family.kind === 'motorcycle';
  const doubtful = row.axles.some((axle) => isRoadDoubtful(code, axle));
  const road = ROAD_WORDS[family.kind];
  const rows = firstRows(row, units);
  const groups = alike ? [all] : all.map((index) => [index]);
  /** Two of a family are told apart by their tires, until somebody gives them names. */
  const keep = (): void => {
    const name = namedBySize(row);
    if (name !== row.name) form.change((now) => chosen(now, ['/name'], name));
    void form.submit();
  };

  return (
    <View style={styles.form}>
      {groups.map((axles) => {
        const name = axleName(row.axles[axles[0]!]!.position, family.kind);
        const pressed = same ? (axles[0] === 0 ? all : []) : axles;
        return (
          <View key={axles.join()} style={styles.axle}>
            {(size === undefined || axles[0] !== 0) && (
              <MarkingField
                form={form}
                axles={axles}
                family={family}
                spoken={alike ? '' : `${name}: `}
                label={alike || !several ? 'Tire size, as you say it' : `Tire size, ${name.toLowerCase()}`}
              />
            )}
            {!bicycle &&
              (same ? pressed.slice(0, 1) : pressed).map((index) => (
                <RowPressure<Rig>
                  key={index}
                  form={form}
                  at={`/axles/${index}/roadKpa`}
                  also={same ? all.slice(1).map((other) => `/axles/${other}/roadKpa` as const) : []}
                  confirmed={(same ? all : [index]).map((other) => `/axles/${other}/confirmedRoadKpa` as const)}
                  label={
                    same || !several
                      ? ON_ROAD
                      : `${ON_ROAD}, ${axleName(row.axles[index]!.position, family.kind).toLowerCase()}`
                  }
                  usual={family.likely.roadKpa}
                  hint={same ? road.hint : undefined}
                />
              ))}
          </View>
        );
      })}
      {bicycle && (
        <RowQuantity<Rig>
          form={form}
          at="/loadCases/0/posture/riderKg"
          label="Rider, dressed to ride"
          quantity="mass"
          hint="80 kg on a usual bicycle until you say: pressures hang on it most."
        />
      )}
      {rows.length > 0 ? (
        <FirstTable family={code} rows={rows} units={units} />
      ) : (
        <Text tone="muted" role="status">
          {doubtful
            ? 'Say above which pressure it is; then the pressures for every ground stand here.'
            : ridden
              ? 'With the size, pressures for every ground stand here.'
              : 'With the size and the road pressure, pressures for every ground stand here.'}
        </Text>
      )}
      {groups.map((axles) => {
        const spoken = alike ? '' : `${axleName(row.axles[axles[0]!]!.position, family.kind)}: `;
        return (
          <Fragment key={axles.join()}>
            {ridden && <TubeField form={form} axles={axles} spoken={spoken} />}
            {bicycle && <HooksField form={form} axles={axles} spoken={spoken} />}
          </Fragment>
        );
      })}
      {several && <Toggle label="Rear tires are the same" value={alike} onChange={sayAlike} />}
      {several && !bicycle && <Toggle label="Same pressure front and rear" value={same} onChange={saySame} />}
      {family.kind === 'farm' &&
        groups.map((axles) => (
          <PasteSheet
            key={axles.join()}
            form={form}
            axles={axles}
            spoken={alike ? '' : `${axleName(row.axles[axles[0]!]!.position, family.kind)}: `}
          />
        ))}
      <Action kind="main" label="Keep this rig" onPress={keep} />
      <Action label="Enter all of it now" onPress={onAll} />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: 12 },
  axle: { gap: 8 },
});
