import { loadCaseOf, type RigRow } from '@dunlinmoss/contract';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';

import { unitsStore } from '../../settings/preferences';
import { useTestsOf } from '../../data/tests';
import { useProof } from '../../hooks/useProof';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Page } from '../../components/Page';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Text } from '../../components/Text';
import { pressureCard } from '../../words/pressureCard';
import { RigOfAddress } from '../../components/RigOfAddress';
import { useRouter } from '../../hooks/useRouter';

/** Every ground of a rig on one page: for the glove box or the stem bag. */
export const PressureCardScreen = () => (
  <RigOfAddress title="Pressure card">{(rig) => <Card rig={rig} />}</RigOfAddress>
);

function Card({ rig }: { readonly rig: RigRow }) {
  const router = useRouter();
  const params = useLocalSearchParams<{ case?: string }>();
  const units = unitsStore.use();
  const tests = useTestsOf(rig.id);
  const [now] = useState(() => new Date().toISOString());
  const loadCase = loadCaseOf(rig, params.case);
  const proofOf = useProof(rig.id);
  const sheet = pressureCard(rig, tests, loadCase?.id ?? null, units, now, (asked) => proofOf(rig, tests, asked));
  return (
    <Page title="Pressure card" result={<SheetView sheet={sheet} />}>
      <Text tone="muted">In the unit chosen above, on paper as large as a hand (A6).</Text>
      {rig.loadCases.length > 1 && (
        <Choice
          label="Loaded as"
          layout="list"
          value={loadCase?.id}
          options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
          onChange={(id) => router.setParams({ case: id })}
        />
      )}
      <SheetActions sheet={sheet} name={`${rig.name} pressures`} paper="A6" />
      <Action
        label="Back to the ground"
        onPress={() => router.navigate({ pathname: '/ground', params: { rig: rig.id } })}
      />
    </Page>
  );
}
