import { canRehearse, familyOf, lessonsFor } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';

import { Action } from '../../components/Action';
import { CardList, LinkCard } from '../../components/LinkCard';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { useChosenRig } from '../../hooks/useChosenRig';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { DRIVE_WORDS, noRehearsalText, type DriveCode } from '../../words/rehearsal';
import { useRouter } from '../../hooks/useRouter';

const TITLE = 'Practice drives';

/** The short drives that can be tried with a rig. */
export function DrivesScreen() {
  const router = useRouter();
  const { rig: asked } = useLocalSearchParams<{ rig?: string }>();
  const { rig, loading } = useChosenRig(asked);
  const allUnits = unitsStore.use();
  if (!rig) return <NeedsRig title={TITLE} loading={loading} why="It needs a machine and its load." />;
  const { kind } = familyOf(rig.family);
  const units = unitsFor(allUnits, rig.family);
  const back = (): void => router.navigate({ pathname: '/ground', params: { rig: rig.id } });
  if (!canRehearse(kind)) {
    return (
      <Page title={TITLE}>
        <Panel>
          <Text>{noRehearsalText({ code: 'otherKind' })}</Text>
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  const drives: readonly DriveCode[] = [...lessonsFor(kind), ...(kind === 'car' ? (['limpHome'] as const) : [])];
  return (
    <Page title={TITLE}>
      <Text tone="muted">{`${rig.name}, as it is loaded. Each takes a minute or two.`}</Text>
      <CardList>
        {drives.map((code) => (
          <LinkCard key={code} href={{ pathname: '/ground/drives/[code]', params: { code, rig: rig.id } }}>
            <Text as="strong">{DRIVE_WORDS[code].name}</Text>
            <Text as="small">{DRIVE_WORDS[code].ahead(units)}</Text>
          </LinkCard>
        ))}
      </CardList>
      <Text as="small" tone="muted">
        They run on the formulas of Ground with your own machine, load and tools. They tell which of two ways is better,
        never how steep a slope you may dare.
      </Text>
      <Action label="Back to the ground" onPress={back} />
    </Page>
  );
}
