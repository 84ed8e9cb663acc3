import type { SaveResult } from '../data/outbox';
import type { ResourceName } from '@dunlinmoss/contract';

/** What became of a save that was not refused: `what` is where, or on its way there. */
export function savedText({ kind }: SaveResult<ResourceName>, what: string, where = 'saved'): string {
  switch (kind) {
    case 'saved':
      return `${what} is ${where}.`;
    case 'waiting':
      return `${what} is kept on this device until the store is back.`;
    case 'notKept':
      return `${what} stands on this page alone: it could not be kept. Leave the page open until it is sent.`;
    case 'stale':
      return `${what} was saved somewhere else in between: choose which stays, above.`;
    case 'refused':
      return `${what} is not saved yet.`;
  }
}
