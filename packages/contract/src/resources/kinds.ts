/*
 * What is known of each kind of row without its schemas, so that the first page need not wait for those. `RESOURCES` adds
 * them, and the compiler holds the two against one another.
 */

const byName = { by: 'name', newestFirst: false } as const;
const stampedAt = { createdAt: (now: string) => now, updatedAt: (now: string) => now, savedBy: () => undefined };
const NEVER = { files: false, archives: false };

/** Every kind of row that can be read and saved, in the order in which they point at one another. */
export const KINDS = {
  gauges: { path: 'gauges', order: byName, serverOnly: stampedAt, missingInOlder: NEVER },
  tools: { path: 'tools', order: byName, serverOnly: stampedAt, missingInOlder: NEVER },
  rigs: { path: 'rigs', order: byName, serverOnly: stampedAt, missingInOlder: NEVER },
  outings: {
    path: 'outings',
    order: { by: 'startedAt', newestFirst: true },
    serverOnly: { ...stampedAt, rigName: () => '' },
    missingInOlder: NEVER,
  },
  tests: {
    path: 'tests',
    order: { by: 'performedAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: NEVER,
  },
  airings: {
    path: 'airings',
    order: { by: 'startedAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: false },
  },
  readings: {
    path: 'readings',
    order: { by: 'readAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: false },
  },
  comparisons: {
    path: 'comparisons',
    order: { by: 'keptAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: true },
  },
  routes: {
    path: 'routes',
    order: { by: 'keptAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: true },
  },
} as const;

export const RESOURCE_NAMES = Object.keys(KINDS) as readonly (keyof typeof KINDS)[];
