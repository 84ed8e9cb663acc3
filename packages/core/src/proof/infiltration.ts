import { fitLine } from '../numerics/fitLine';
import { defineRoutine, DRIVEN_AT, judgement } from './routine';

/** One inch of water in the kit's ring. Published: USDA NRCS soil quality test kit (from memory). */
export const INCH_OF_WATER_ML = 444;

/** How deep so much water stands in a ring of an inner diameter, mm: volume over area. Exact. */
export const waterDepthMm = (millilitres: number, ringMm: number): number =>
  (1000 * millilitres) / ((Math.PI * ringMm ** 2) / 4);

/** The field kit's ring is 6 in by name; by the inch of water that it takes it is a little less, mm. */
export const KIT_RING_MM = Math.sqrt((4000 * INCH_OF_WATER_ML) / (Math.PI * 25.4));

export interface RingReading {
  readonly atS: number;
  readonly leftMm: number;
}

/**
 * How fast a ring takes water in, mm/h: the slope of depth left over time, from when it was poured. Null with fewer than
 * two times. Exact.
 */
export function infiltrationMmPerH(readings: readonly RingReading[]): number | null {
  // An empty ring tells no more, but for the first time that it is.
  const ordered = [...readings].sort((a, b) => a.atS - b.atS);
  const empty = ordered.findIndex(({ leftMm }) => leftMm <= 0);
  const told = empty === -1 ? ordered : ordered.slice(0, empty + 1);
  const fit = fitLine(
    told.map(({ atS, leftMm }) => ({ x: atS, y: leftMm })),
    'free',
  );
  return fit ? -fit.slope * 3600 : null;
}

/** Rates nearer to each other than this are no difference: rings a step apart differ as much. Assumption. */
const RATES_ALIKE = 1.3;

/** Two rings, one in each track, their clocks running at once. */
export const infiltration = defineRoutine({
  code: 'infiltration',
  kinds: ['farm'],
  minutes: 30,
  oneWheel: false,
  setup: {
    trackAKpa: DRIVEN_AT,
    trackBKpa: DRIVEN_AT,
    /** Inner diameter of the ring, or of the piece of pipe that stands in for one. */
    ringMm: { type: 'number', unit: 'mm', min: 50, max: 800, optional: true },
    pouredMl: { type: 'number', unit: 'ml', min: 20, max: 20_000, optional: true },
    /** How deep it stood, where that was measured instead. */
    pouredMm: { type: 'number', unit: 'mm', min: 5, max: 200, optional: true },
  },
  run: {
    track: { type: 'choice', options: ['trackA', 'trackB'] },
    atS: { type: 'number', unit: 's', min: 0, max: 86_400, clock: true },
    leftMm: { type: 'number', unit: 'mm', min: 0, max: 200 },
  },
  judge: (runs, { trackAKpa, trackBKpa, ringMm, pouredMl, pouredMm: stoodMm }) => {
    const pouredMm = stoodMm ?? (pouredMl === null ? null : waterDepthMm(pouredMl, ringMm ?? KIT_RING_MM));
    if (pouredMm === null) return judgement({ verdict: 'pouredMissing', move: 'again' });
    const rateOf = (track: 'trackA' | 'trackB'): number | null => {
      const own = runs.filter((run) => run.track === track);
      return own.length === 0 ? null : infiltrationMmPerH([{ atS: 0, leftMm: pouredMm }, ...own]);
    };
    const [a, b] = [rateOf('trackA'), rateOf('trackB')];
    const rising = runs.flatMap((early, i) =>
      runs.flatMap((late, j): (readonly [number, number])[] =>
        early.track === late.track && early.atS < late.atS && late.leftMm > early.leftMm ? [[i, j]] : [],
      ),
    );
    const figures = { ...(a !== null && { trackA: a }), ...(b !== null && { trackB: b }) };
    if (a === null || b === null)
      return judgement({ verdict: 'oneTrack', move: 'again', figures, contradictions: rising });
    const [slow, fast] = a < b ? [a, b] : [b, a];
    const all = { ...figures, ratio: slow > 0 ? fast / slow : Number.POSITIVE_INFINITY };
    const common = { figures: Number.isFinite(all.ratio) ? all : figures, contradictions: rising };
    if (fast <= 0 || all.ratio < RATES_ALIKE) return judgement({ verdict: 'noDifference', move: 'keep', ...common });
    const win =
      a > b
        ? { verdict: 'trackA', kpa: trackAKpa, other: trackBKpa }
        : { verdict: 'trackB', kpa: trackBKpa, other: trackAKpa };
    return judgement({
      verdict: win.verdict,
      move: win.kpa < win.other ? 'softer' : 'firmer',
      tryKpa: win.kpa,
      ...common,
    });
  },
});
