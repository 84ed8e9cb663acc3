import { z } from 'zod';

import type { ResourceName } from '../resources/registry';

/*
 * Files of the second version: a tape test had a shape of its own, with the wheel as one word and readings instead of
 * runs. Read so that nothing a person saved is lost; never written.
 */

const WHEELS: Readonly<Record<string, string>> = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
};

const tapeTest = z.looseObject({
  kind: z.literal('tape'),
  details: z.strictObject({
    wheel: z.enum(Object.keys(WHEELS)),
    tireMarking: z.unknown(),
    loadRange: z.unknown(),
    wheelLoadKg: z.unknown(),
    surface: z.unknown(),
    method: z.unknown(),
    gauge: z.unknown(),
    readings: z.array(z.unknown()),
  }),
});

/** A test of the second version as one of the third. What is no such tape test is left as it is, for its schema to judge. */
function testFromVersion2(test: unknown): unknown {
  const old = tapeTest.safeParse(test);
  if (!old.success) return test;
  const { wheel, surface, method, readings, ...kept } = old.data.details;
  return {
    ...old.data,
    details: { ...kept, wheel: WHEELS[wheel], widthMm: null, setup: { method, surface }, runs: readings, note: '' },
  };
}

/** How rows of the second version become ones of the third, for the kinds that have changed. */
export const FROM_VERSION_2: Readonly<Partial<Record<ResourceName, (row: unknown) => unknown>>> = {
  tests: testFromVersion2,
};

export const version2 = z.looseObject({ version: z.literal(2), tests: z.array(z.unknown()).max(20_000) });

export const fromVersion2 = ({ tests, ...file }: z.infer<typeof version2>): unknown => ({
  ...file,
  version: 3,
  tests: tests.map(testFromVersion2),
});
