import { GROUND_CODES, ROUTE_PLANS, SURENESS } from '@dunlinmoss/core';
import { z } from 'zod';

import { id, name, revision, speedKmh, timestamp } from '../quantities';
import { stamps } from './row';

/** A time of the day where the route is driven, in minutes since its midnight. */
const minuteOfDay = z
  .int()
  .min(0)
  .max(24 * 60 - 1);
const minutes = z.number().min(0).max(1_440);
/** Minutes for each km at twice what the ground asks for. */
const price = z.number().min(0).max(1_000);

/** How a stretch turned out against what was thought. */
export const FOUND = ['firmer', 'asThought', 'softer'] as const;
export type Found = (typeof FOUND)[number];

/** Most stretches of a route, and most points that are kept of its track. */
export const MOST_STRETCHES = 200;
export const MOST_TRACK_POINTS = 300;

export const routeStretch = z.strictObject({
  id,
  groundCode: z.enum(GROUND_CODES),
  lengthM: z.number().min(10).max(1_000_000),
  /** The steepest climb on it, degrees. */
  climbDeg: z.number().min(0).max(45),
  /** How the rig is loaded as it begins, null as it stands; and at its end, null where that is the same. */
  loadCaseId: id.nullable(),
  endLoadCaseId: id.nullable(),
  /** The fastest that the person would drive there; null goes by the guide. */
  speedKmh: speedKmh.nullable(),
  sureness: z.enum(SURENESS),
  noStopping: z.boolean(),
  /** Air is to be had where it begins. */
  freeAir: z.boolean(),
  /** Tide or daylight: not before, and through it by. */
  opensAtMin: minuteOfDay.nullable(),
  closesAtMin: minuteOfDay.nullable(),
  /** Null until it was driven. */
  found: z.enum(FOUND).nullable(),
});

/** A day of several grounds: which pressures, and where to stop. */
export const route = z.strictObject({
  id,
  revision,
  name,
  rigId: id,
  keptAt: timestamp,
  /** When the day begins; null where nobody said, and then no window can be held. */
  startsAtMin: minuteOfDay.nullable(),
  /** Which of the plans is driven. */
  plan: z.enum(ROUTE_PLANS),
  /** What getting out takes once stuck; null goes by the kind of rig. */
  bogMin: minutes.nullable(),
  /** Finding a place to stop and putting things away, at each stop. */
  pullOverMin: minutes.nullable(),
  /** Pressures change while it drives. */
  central: z.boolean(),
  /** What a person would give to be spared it; null goes by the usual. */
  prices: z.strictObject({ harsh: price.nullable(), pressed: price.nullable(), soft: price.nullable() }),
  stretches: z
    .array(routeStretch)
    .min(1)
    .max(MOST_STRETCHES)
    .refine((stretches) => new Set(stretches.map((each) => each.id)).size === stretches.length, {
      message: 'expected each stretch once',
      params: { code: 'stretchTwice' },
    }),
  /** Where it leads, thinned: longitude, latitude, meters above the sea. */
  track: z
    .array(
      z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90), z.number().min(-500).max(9_000).nullable()]),
    )
    .min(2)
    .max(MOST_TRACK_POINTS)
    .nullable(),
  /** Under way: since when, and which stretch is next. */
  drive: z.strictObject({ startedAt: timestamp, at: z.int().min(0).max(MOST_STRETCHES) }).nullable(),
});

export const routeRow = route.safeExtend(stamps);

export type RouteStretchBody = z.infer<typeof routeStretch>;
export type RouteBody = z.infer<typeof route>;
export type RouteRow = z.infer<typeof routeRow>;
