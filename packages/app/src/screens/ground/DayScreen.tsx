import { useLocalSearchParams } from 'expo-router';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { CardList, LinkCard } from '../../components/LinkCard';
import { ListFrame } from '../../components/ListFrame';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Text } from '../../components/Text';
import { useChosenRig } from '../../hooks/useChosenRig';
import { unitsStore } from '../../settings/preferences';
import { day } from '../../words/format';
import { groundName } from '../../words/grounds';
import { way } from '../../words/way';
import { useRouter } from '../../hooks/useRouter';
import { RouteForm } from './RouteForm';

/** The routes that are kept of a rig; where there are none, a new one. */
export function DayScreen() {
  const router = useRouter();
  const { rig: asked } = useLocalSearchParams<{ rig?: string }>();
  const { rig, loading } = useChosenRig(asked);
  const list = useRows('routes', rig ? { rigId: rig.id } : null);
  const units = unitsStore.use();
  if (!rig || loading || list.loading) {
    return (
      <NeedsRig
        title="A day’s route"
        loading={loading || list.loading}
        why="A route needs a rig: load, tires and placard."
      />
    );
  }
  if (list.rows.length === 0) return <RouteForm key={rig.id} row={undefined} rig={rig} />;
  return (
    <Page title="A day’s route">
      <Text tone="muted">{`Kept with ${rig.name}, the newest first.`}</Text>
      <ListFrame list={list} empty="" more="Earlier routes">
        {(shown) => (
          <CardList>
            {shown.map(({ id, name, keptAt, stretches, drive }) => (
              <LinkCard key={id} href={{ pathname: '/ground/route/[id]', params: { id } }}>
                <Text as="strong">{name}</Text>
                <Text as="small">{stretches.map(({ groundCode }) => groundName(groundCode)).join(' · ')}</Text>
                <Text as="small" tone="muted">
                  {`${way(
                    stretches.reduce((sum, { lengthM }) => sum + lengthM, 0),
                    units,
                  )} · ${drive ? 'under way' : day(keptAt)}`}
                </Text>
              </LinkCard>
            ))}
          </CardList>
        )}
      </ListFrame>
      <Action
        kind="main"
        label="Another day"
        onPress={() => router.navigate({ pathname: '/ground/route/[id]', params: { id: 'new', rig: rig.id } })}
      />
    </Page>
  );
}
