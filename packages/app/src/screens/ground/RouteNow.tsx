import type { RigRow, RouteRow } from '@dunlinmoss/contract';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Text } from '../../components/Text';
import { useRouter } from '../../hooks/useRouter';
import { NextOnRoute, useDrive } from './RouteDrive';

/** On Today: the route that a rig is on, if it is on one. */
export function RouteNow({ rig }: { readonly rig: RigRow }) {
  const { rows } = useRows('routes', { rigId: rig.id });
  const route = rows.find(({ drive }) => drive !== null);
  return route ? <Now route={route} rig={rig} /> : null;
}

function Now({ route, rig }: { readonly route: RouteRow; readonly rig: RigRow }) {
  const router = useRouter();
  const { units, nowMin, planned } = useDrive(route, rig);
  return (
    <>
      <Text as="label" tone="moss">
        {route.name}
      </Text>
      <NextOnRoute route={route} rig={rig} planned={planned} units={units} nowMin={nowMin} />
      <Action
        label="The whole day"
        onPress={() => router.navigate({ pathname: '/ground/route/[id]', params: { id: route.id } })}
      />
    </>
  );
}
