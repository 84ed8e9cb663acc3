import { FROM_VERSION_2, RESOURCES, type BodyOf, type ResourceName } from '@dunlinmoss/contract';

import { storedKeys, readStored, writeStored } from '../settings/storage';
import { outboxReady, takeBodies } from './outbox';

/** Takes in what an earlier version left unsent, whatever its shape was called, in the shape of today. */
export async function takeOldOutbox(): Promise<void> {
  await outboxReady();
  for (const place of storedKeys('outbox')) {
    const old = readStored<Record<string, { name: ResourceName; body: BodyOf<ResourceName> }>>(place) ?? {};
    const entries = Object.values(old).flatMap(({ name, body }) => {
      if (!(name in RESOURCES)) return [];
      const whole = FROM_VERSION_2[name]?.(body) ?? body;
      // Fields that came since take what stands for nobody having said anything.
      const today = RESOURCES[name].body.safeParse(whole);
      return [{ name, body: (today.success ? today.data : whole) as BodyOf<ResourceName> }];
    });
    if (await takeBodies(entries)) writeStored(place, undefined);
  }
  // What it remembered of the server has come anew.
  for (const place of storedKeys('cache')) writeStored(place, undefined);
}
