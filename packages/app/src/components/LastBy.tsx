import type { Machine } from '@dunlinmoss/domain';

import { namesStore, whoStore } from '../settings/who';
import { dayAndTime } from '../words/format';
import { keeperText, personName } from '../words/people';
import { Text } from './Text';

/** Who has a machine, and who did something with it last. Nothing to see while there is one person alone. */
export function LastBy({ rig, lastBy }: Pick<Machine, 'rig' | 'lastBy'>) {
  const names = namesStore.use();
  const me = whoStore.use().me?.person?.id;
  const keeper = keeperText(names, rig.keeperId, me);
  if (!lastBy && keeper === '') return null;
  const who = lastBy && (lastBy.personId === me ? 'you' : personName(names, lastBy.personId));
  const parts = [
    ...(keeper === '' ? [] : [`With ${keeper}`]),
    ...(lastBy ? [`Last by ${who}, ${dayAndTime(lastBy.at)}`] : []),
  ];
  return (
    <Text as="small" tone="muted">
      {parts.join(' · ')}
    </Text>
  );
}
