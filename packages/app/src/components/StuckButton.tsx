import { STUCK } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';

import { Action } from './Action';

/** For somebody who is stuck now: what to do, in order, one tap away, with a rig or without one. */
export function StuckButton({ rigId }: { readonly rigId?: string | undefined }) {
  const router = useRouter();
  return (
    <Action
      kind="hurt"
      icon="triangle-alert"
      label="Stuck?"
      onPress={() =>
        router.navigate({ pathname: '/ground', params: { ground: STUCK, ...(rigId !== undefined && { rig: rigId }) } })
      }
    />
  );
}
