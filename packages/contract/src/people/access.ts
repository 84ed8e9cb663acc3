import type { Role } from './roles';

/** Calculates with what it is sent, and keeps nothing. */
export const KEEPS_NOTHING = /^\/calc\//;
/** Puts together what one may read. */
const READS = /^\/(archives|papers)\//;

/**
 * The least role that any request needs in the space that it is about: a viewer changes nothing. What only a lead may is
 * asked by the route itself, of the request as it was matched and parsed.
 *
 * @param path without `/api/v1` and without the space
 */
export const neededRole = (method: string, path: string): Role =>
  method === 'GET' || method === 'HEAD' || KEEPS_NOTHING.test(path) || READS.test(path) ? 'viewer' : 'member';
