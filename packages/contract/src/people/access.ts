import type { Role } from './roles';

/** What takes away for good, or brings in very much at once. */
const LEADS: readonly (readonly [method: string, path: RegExp])[] = [
  ['DELETE', /^\/rigs\/[^/]+\/log$/],
  ['PUT', /^\/log-keeping$/],
  ['POST', /^\/archive$/],
  ['DELETE', /^\/imports\//],
  ['POST', /^\/import(\/|$)/],
];
/** Reckons with what it is sent, and keeps nothing. */
export const KEEPS_NOTHING = /^\/calc\//;
/** Puts together what one may read. */
const READS = /^\/(archives|papers)\//;

/**
 * The least role that a request needs in the space that it is about. Routes that are about people and crews ask for more
 * by themselves.
 *
 * @param path without `/api/v1` and without the space
 */
export function neededRole(method: string, path: string, query: Readonly<Record<string, unknown>> = {}): Role {
  if (method === 'GET' || method === 'HEAD' || KEEPS_NOTHING.test(path) || READS.test(path)) return 'viewer';
  if (method === 'DELETE' && query.forever === 'true') return 'lead';
  return LEADS.some(([of, pattern]) => of === method && pattern.test(path)) ? 'lead' : 'member';
}
