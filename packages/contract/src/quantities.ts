import { z } from 'zod';

import { SPEED_KMH } from './ranges';

/*
 * Ranges that a value must lie in to be kept at all: no rig on wheels is outside them. What is well-formed and hardly
 * can be is kept and asked about (see `rig/questions.ts`); what is unwise but real is for the findings and cautions.
 */

/** Gauge pressure, kPa. */
export const pressureKpa = z.number().min(0).max(2_000);
/** Gauge pressure of something that is pumped up, kPa: the softest tire there is has ten times the least of it. */
export const pumpedKpa = z.number().min(1).max(2_000);
/** Load on a wheel or an axle, or the weight of a thing, kg. */
export const loadKg = z.number().min(0).max(100_000);
/** Load on something that is loaded, kg: a wheel that stands, a rider, a tire's rating. */
export const someLoadKg = z.number().min(1).max(100_000);
/** Air in a tire or a tank, L: from a child's narrow bicycle tire to a tanker's. */
export const volumeL = z.number().min(0.2).max(10_000);
/** What a valve or line lets through, L/s of the air at its upstream end while choked. */
export const conductanceLPerS = z.number().min(0.001).max(100);
/** What a pump gives, L/min of the air outside; 0 where it stalls. */
export const litersPerMin = z.number().min(0).max(100_000);
/** What a pump gives that gives something, L/min. */
export const someLitersPerMin = z.number().min(0.1).max(100_000);
/** How far a gauge is off, kPa. */
export const offsetKpa = z.number().min(-500).max(500);
/** Step of a gauge, or how well it is read, kPa. */
export const gaugeStepKpa = z.number().min(0.05).max(50);
/** A length along a rig, mm. */
export const lengthMm = z.number().min(0).max(100_000);
/** A place along or across a rig, mm; less than zero ahead of the front axle or left of the middle. */
export const placeMm = z.number().min(-100_000).max(100_000);
/** A width of a rim or tire, mm. */
export const widthMm = z.number().min(1).max(2_000);
export const speedKmh = z.number().min(SPEED_KMH.least).max(SPEED_KMH.most);
/** Load on one wheel of a tape test, kg. */
export const wheelLoadKg = z.number().min(50).max(6_000);
/** Contact length by tape, mm. */
export const contactLengthMm = z.number().min(20).max(1_500);

/** The same id in capitals is the same. */
export const id = z.uuid().toLowerCase();
/** The revision the sender saw: 0 for a row that is new. */
export const revision = z.int().min(0).max(2_000_000_000);
/** ISO 8601 in UTC, as Date.toISOString writes it. */
export const timestamp = z.iso.datetime({ precision: 3 });
export const name = z.string().trim().min(1).max(60);
/** Of air or of a tire, °C. */
export const tempC = z.number().min(-60).max(150);
/** Above sea level, m. */
export const altitudeM = z.number().min(-500).max(9_000);
