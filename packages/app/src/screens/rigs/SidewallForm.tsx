import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, groundOr } from '@dunlinmoss/core';
import { startsOf } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';

import { useTestsOf } from '../../data/tests';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { useFormRow, useRowForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { FormColumn } from '../../components/FormColumn';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { UnitsOpen } from '../../components/UnitsOpen';
import { axleName } from '../../words/axles';
import { movedText } from '../../words/moved';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import { axlesOf, groupOf, wearsAlike } from './rigForm';
import { TireFields } from './TireFields';

/** What stands on a rig's tires and nothing else of it: read off beside the wheel. Asked from a number, it goes back to it. */
export function SidewallForm({ rig }: { readonly rig: RigRow }) {
  const router = useRouter();
  const family = familyOf(rig.family);
  const units = unitsFor(unitsStore.use(), rig.family);
  const { ground } = useLocalSearchParams<{ ground?: string }>();
  const tests = useTestsOf(rig.id);
  const form = useRowForm('rigs', {
    draft: `rig:${rig.id}`,
    row: rig,
    blank: () => rig,
    units,
    onSaved: (outcome, saved) => {
      if (ground === undefined) {
        notify(savedText(outcome, saved.name));
        router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
        return;
      }
      const on = { ground: groundOr(family, ground), modifiers: [], speedKmh: null };
      const after = { ...rig, ...saved };
      notify(movedText(startsOf(rig, tests, on, units), startsOf(after, tests, on, units), units));
      router.navigate({ pathname: '/ground', params: { rig: rig.id, ground } });
    },
  });
  const { axles } = useFormRow(form);
  const groups = axles.flatMap(({ position }, index) => {
    const group = groupOf({ position });
    const places = axlesOf(group, axles);
    if (!wearsAlike(group, rig.axles)) return [[index]];
    return places[0] === index ? [places] : [];
  });
  return (
    <FormColumn>
      <Text>Whatever of this is on the sidewall; leave the rest empty.</Text>
      <UnitsOpen />
      {groups.map((places) => {
        const names = places.map((index) => axleName(axles[index]!.position, family.kind));
        return (
          <Panel key={places.join()} title={names.map((name, index) => (index ? name.toLowerCase() : name)).join(', ')}>
            <TireFields form={form} axles={places} family={family} spoken={`${names[0]!}: `} startsOpen />
          </Panel>
        );
      })}
      <Action kind="main" label="Save what it says" onPress={() => void form.submit()} />
    </FormColumn>
  );
}
