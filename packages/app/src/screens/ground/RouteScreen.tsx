import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';

import { useRow, useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { RowFrame } from '../../components/RowFrame';
import { Empty } from '../../components/States';
import { useChosenRig } from '../../hooks/useChosenRig';
import { useRouter } from '../../hooks/useRouter';
import { RouteDrive } from './RouteDrive';
import { RouteForm } from './RouteForm';

const TITLE = 'A day’s route';

/** One route: put together, or under way. */
export function RouteScreen() {
  const router = useRouter();
  const { id = 'new', rig: asked } = useLocalSearchParams<{ id: string; rig?: string }>();
  const { row: kept } = useRow('routes', id === 'new' ? undefined : id);
  const { rows: rigs, loading } = useRows('rigs');
  const { rig: chosen, loading: waits } = useChosenRig(kept?.rigId ?? asked);
  const [changing, setChanging] = useState(false);
  if (rigs.length === 0 || waits) {
    return <NeedsRig title={TITLE} loading={loading || waits} why="A route needs a rig: load, tires and placard." />;
  }
  return (
    <RowFrame
      name="routes"
      id={id}
      around={(body, row) => (row || id === 'new' ? body : <Page title={TITLE}>{body}</Page>)}
    >
      {(row) => {
        const rig = row ? rigs.find(({ id: rigId }) => rigId === row.rigId) : chosen;
        if (!rig) {
          return (
            <Page title={TITLE}>
              <Empty
                text="The rig of this route is not here, or was archived."
                action={{ label: 'All rigs', onPress: () => router.navigate('/rigs') }}
              />
            </Page>
          );
        }
        if (row?.drive && !changing) {
          return (
            <RouteDrive
              route={row}
              rig={rig}
              below={<Action label="Change the route" onPress={() => setChanging(true)} />}
            />
          );
        }
        return <RouteForm key={`${id} ${row?.revision ?? 0}`} row={row} rig={rig} />;
      }}
    </RowFrame>
  );
}
