import { FIRST_STORE, storeName } from '../settings/who';
import { takeWhatEarlierVersionsLeft } from './earlierVersions';
import { fillSeenLater } from './logs';
import { followPeople } from './people';

/** What goes on behind the screens and no first screen needs. It ships with the second file. */
export function startBehind(): void {
  followPeople();
  fillSeenLater();
  // What an earlier version left is from before there were others.
  if (storeName() === FIRST_STORE) void takeWhatEarlierVersionsLeft();
}
