import { z } from 'zod';

/*
 * Ranges that a value must lie in to be kept at all. They catch slips of unit and decimal and are wide of every real
 * rig: assumptions. What is unwise but real is for the cautions to say.
 */

/** Gauge pressure of a four-wheeler's tire, kPa: 0 to 100 psi and a little. */
export const pressureKpa = z.number().min(0).max(700);
/** Placard or road pressure, kPa: 10 to 100 psi. */
export const placardKpa = z.number().min(69).max(700);
/** Load on one wheel, kg. */
export const wheelLoadKg = z.number().min(50).max(3000);
/** Contact length by tape, mm. */
export const contactLengthMm = z.number().min(20).max(1500);

export const id = z.uuid();
/** The revision the sender saw: 0 for a row that is new. */
export const revision = z.int().min(0).max(2_000_000_000);
/** ISO 8601 in UTC, as Date.toISOString writes it. */
export const timestamp = z.iso.datetime({ precision: 3 });
