import { FAMILIES, LOAD_RANGE_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import { id, loadKg, name, pressureKpa, revision } from '../quantities';
import { PLAIN_AXLE } from '../resources/plainAxle';

/*
 * Files of the first version: four-wheel rigs alone, with one load case that had no name. Read so that nothing a
 * person saved is lost; never written.
 */

const axle = z.strictObject({
  position: z.enum(['front', 'rear']),
  tireMarking,
  loadRange: z.enum(LOAD_RANGE_CODES),
  placardKpa: pressureKpa,
  loadsFrom: z.enum(['axle', 'wheel']),
  leftLoadKg: loadKg,
  rightLoadKg: loadKg,
});

const rig = z.strictObject({
  id,
  revision,
  family: z.literal('fourWheel'),
  name,
  beadLocks: z.boolean(),
  axles: z.array(axle).length(2),
});

export const version1 = z.strictObject({
  format: z.literal('dunlinmoss'),
  version: z.literal(1),
  rigs: z.array(rig).max(1_000),
  // Only fields were added to these: the present schema checks the rest.
  outings: z.array(z.looseObject({})).max(5_000),
  tests: z.array(z.looseObject({ details: z.looseObject({}) })).max(5_000),
});

type Version1 = z.infer<typeof version1>;

export const fromVersion1 = (file: Version1): unknown => ({
  ...file,
  version: 2,
  rigs: file.rigs.map(rigFromVersion1),
  gauges: [],
  tools: [],
  outings: file.outings.map((outing) => ({ loadCaseId: null, ...outing })),
  tests: file.tests.map((test) => ({ ...test, details: { gauge: null, ...test.details } })),
});

function rigFromVersion1({ beadLocks, axles, ...rest }: Version1['rigs'][number]): unknown {
  const template = FAMILIES[0].axles;
  // The load case is as old as its rig: one id is enough for both.
  return {
    ...rest,
    hitchMm: null,
    topSpeedKmh: null,
    loadCaseId: rest.id,
    school: null,
    beadFloorKpa: null,
    roadLoadCaseId: null,
    softOnPurposeAt: null,
    keeperId: null,
    demo: false,
    axles: axles.map((old, index) => ({
      ...PLAIN_AXLE,
      ...template[index],
      tireMarking: old.tireMarking,
      loadRange: old.loadRange,
      beadHold: beadLocks ? 'beadLock' : 'none',
      roadKpa: old.placardKpa,
    })),
    loadCases: [
      {
        id: rest.id,
        name: 'As weighed',
        method: 'scales',
        weighed: axles.flatMap(({ position, loadsFrom, leftLoadKg, rightLoadKg }) =>
          loadsFrom === 'axle'
            ? [{ position, part: 'axle', loadKg: leftLoadKg + rightLoadKg }]
            : [
                { position, part: 'left', loadKg: leftLoadKg },
                { position, part: 'right', loadKg: rightLoadKg },
              ],
        ),
        wholeKg: null,
        unladen: [],
        items: [],
        posture: null,
        split: null,
        level: null,
      },
    ],
  };
}
