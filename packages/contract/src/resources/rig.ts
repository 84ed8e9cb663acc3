import { BEAD_HOLDS, CASINGS, FAMILY_CODES, familyOf, LOAD_RANGE_CODES, SCHOOL_CODES, VALVES } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import {
  id,
  lengthMm,
  loadKg,
  name,
  offsetKpa,
  pressureKpa,
  pumpedKpa,
  revision,
  someLoadKg,
  speedKmh,
  timestamp,
  widthMm,
} from '../quantities';
import { axlePosition, axlesInOrder, loadCase } from './loadCase';
import { stamps } from './row';

/** A pressure that was read: what the gauge showed, and how far it was known to read above the truth. */
export const reading = z.strictObject({
  rawKpa: pressureKpa,
  gaugeId: id.nullable(),
  offsetKpa,
});

/** A "max load at pressure" line of a sidewall. */
export const loadLine = z.strictObject({ pressureKpa: pumpedKpa, loadKg: someLoadKg });
/** A row of a tire's data sheet. */
export const loadRow = loadLine.extend({ speedKmh });

/** Rows of a data sheet that a tire may have. */
export const MOST_ROWS = 80;

/** What belongs to a tire on its rim: asked once where several axles have the same. */
const tire = {
  tireMarking,
  loadRange: z.enum(LOAD_RANGE_CODES),
  tube: z.boolean(),
  beadHold: z.enum(BEAD_HOLDS),
  insert: z.boolean(),
  casing: z.enum(CASINGS).nullable(),
  rimInnerMm: widthMm.nullable(),
  /** A bicycle rim without hooks; null where nobody said. */
  hookless: z.boolean().nullable().default(null),
  /** How wide the tire really is on its rim, where no marking tells. */
  measuredWidthMm: widthMm.nullable(),
  treadWidthMm: widthMm.nullable(),
  /** Lowest and highest pressure that the sidewall allows. */
  minKpa: pressureKpa.nullable(),
  maxKpa: pressureKpa.nullable(),
  lines: z.array(loadLine).max(6),
  rows: z.array(loadRow).max(MOST_ROWS),
  /** An IF or VF tire's rows may be those of the standard tire of its size. */
  rowsOf: z.enum(['thisTire', 'standardTire']),
};

export const rigAxle = z.strictObject({
  position: axlePosition,
  wheels: z.union([z.literal(1), z.literal(2), z.literal(4)]),
  driven: z.boolean(),
  /** Behind the front axle; for a trailer's axle behind the coupling. */
  behindMm: lengthMm,
  /** From the middle of the left wheel, or pair, to that of the right. */
  trackMm: lengthMm.nullable(),
  ratingKg: loadKg.nullable(),
  ...tire,
  /** Since when these tires and rims are on it; tests made before speak of others. Null for as long as anybody knows. */
  fittedAt: timestamp.nullable().default(null),
  /** What a chuck has to fit; null goes by what such rigs usually have. */
  valve: z.enum(VALVES).nullable().default(null),
  /** Cold on the road: the placard, or the person's own choice where there is none. */
  roadKpa: pressureKpa.nullable(),
  /** The road pressure that the person stood by when it was asked back; null where none was. */
  confirmedRoadKpa: pressureKpa.nullable().default(null),
  /** What is in it now. */
  present: reading.nullable(),
});

/** Nobody holds less, on any tire, kPa: about 2 psi. Assumption. */
const LOWEST_FLOOR_KPA = 15;

/** A rig as a person saves it: rows of axles, and the ways it is loaded. */
export const rig = z
  .strictObject({
    id,
    revision,
    family: z.enum(FAMILY_CODES),
    name,
    /** Where a trailer is coupled, behind the front axle. */
    hitchMm: lengthMm.nullable(),
    /** Fastest on the road. */
    topSpeedKmh: speedKmh.nullable(),
    /** The load case that stands today. */
    loadCaseId: id.nullable(),
    /** The load case that the road pressures are for; null goes by the heaviest. */
    roadLoadCaseId: id.nullable().default(null),
    /** The school that the person holds for this rig; null goes by the default. */
    school: z.enum(SCHOOL_CODES).nullable(),
    /** The lowest that the person accepts; null goes by the trade's. */
    beadFloorKpa: z.number().min(LOWEST_FLOOR_KPA).max(400).nullable(),
    /** Since when it stands soft on purpose, so that nobody is reminded; null where it does not. */
    softOnPurposeAt: timestamp.nullable().default(null),
    /** Who of the crew has it just now; null where nobody said. */
    keeperId: id.nullable().default(null),
    /** One of the rigs that come with the application, on a shelf of their own. */
    demo: z.boolean().default(false),
    axles: axlesInOrder(rigAxle),
    loadCases: z.array(loadCase).max(30),
  })
  .refine(
    ({ family, axles }) =>
      familyOf(family).axles.every((own) => axles.some(({ position }) => position === own.position)),
    { path: ['axles'], message: 'expected every axle of this family', params: { code: 'axleMissing' } },
  )
  .refine(({ loadCaseId, loadCases }) => loadCaseId === null || loadCases.some((each) => each.id === loadCaseId), {
    path: ['loadCaseId'],
    message: 'expected one of the load cases of this rig',
    params: { code: 'noSuchLoadCase' },
  })
  .refine(({ loadCases }) => new Set(loadCases.map((each) => each.id)).size === loadCases.length, {
    path: ['loadCases'],
    message: 'expected each load case once',
    params: { code: 'loadCaseTwice' },
  })
  .refine(({ loadCases }) => new Set(loadCases.map((each) => each.name.toLowerCase())).size === loadCases.length, {
    path: ['loadCases'],
    message: 'expected a name of its own for each load case',
    params: { code: 'nameTwice' },
  });

export const rigRow = rig.safeExtend(stamps);

export type Rig = z.infer<typeof rig>;
export type RigAxle = z.infer<typeof rigAxle>;
export type RigRow = z.infer<typeof rigRow>;
/** The fields of an axle that belong to its tire. */
export const TIRE_FIELDS = Object.keys(tire) as readonly (keyof typeof tire)[];
export type TireField = keyof typeof tire;
export type Reading = z.infer<typeof reading>;
