import { normalBelow } from '../numerics/normal';
import { assumption, published, type Source } from '../sources/source';
import { concentrationAt, contactOnSoil, type FieldTire, type SoilContact } from './onSoil';
import { stressBelow } from './stress';
import type { Texture } from './textures';
import { FIELD_PF, suctionAfter, wetnessAt } from './water';

/** A field as its farmer knows it. */
export interface FarmSoil {
  readonly texture: Texture;
  /** Days since rain that soaked it. */
  readonly daysSinceRain: number;
  /** How deep it was loosened since the last crop, and has not settled, m; 0 where it was not. */
  readonly looseToM: number;
  /** What the person's own readings say of its strength against that of its texture; 1 without any. */
  readonly strengthFactor: number;
}

/** An axle: tires alike, each at its place across, m. */
export interface FarmAxle {
  readonly tire: FieldTire;
  readonly tiresAtM: readonly number[];
  /** How often wheels run in the same track, 1 or more: following axles, and coming back along it. */
  readonly passes: number;
}

/** Each doubling of passes presses like 7 % more: most of the harm is done by the first. Assumption. */
const PASS_EXPONENT = 0.1;

/** Freshly loosened soil bears this share of what it bears settled. Assumption. */
const LOOSE_SHARE = 0.4;
/** Scatter of strength within a texture and a field, of its natural logarithm. Assumption after ranges of a factor of 1.5. */
const SCATTER = 0.45;
/** A guess of how wet it is may be off by so much, pF. Assumption. */
export const PF_SPREAD = 0.3;

export const CHANCE_SOURCE: Source = assumption;
/** On moist soil no more than this at half a meter, kPa. */
export const SUBSOIL_RULE = {
  stressKpa: 50,
  depthM: 0.5,
  source: published('Schjønning, Lamandé, Keller, Pedersen and Stettler 2012'),
};

/** What the soil bears at a depth without giving way, kPa. */
export function strengthAt(
  { texture, daysSinceRain, looseToM, strengthFactor }: FarmSoil,
  depthM: number,
  pFShift = 0,
): number {
  const pF = suctionAfter(texture, daysSinceRain, depthM) + pFShift;
  const settled = texture.strengthKpa * strengthFactor * Math.exp(texture.dryingExponent * (pF - FIELD_PF));
  return depthM < looseToM ? settled * LOOSE_SHARE : settled;
}

/** Chance that soil gives way for good where a stress meets a strength, 0 to 1. */
export const chanceOf = (stressKpa: number, strengthKpa: number): number =>
  normalBelow(Math.log(stressKpa / strengthKpa) / SCATTER);

/** What happens at a depth below the heaviest place of the axle. */
export interface AtDepth {
  readonly depthM: number;
  readonly stressKpa: number;
  readonly strengthKpa: number;
  /** Chance that it gives way for good, 0 to 1: at the moisture meant, and the least and most of somewhat drier and wetter. */
  readonly chance: number;
  readonly leastChance: number;
  readonly mostChance: number;
  /** How far past its strength, as a logarithm: 0 where it holds. */
  readonly severity: number;
}

export interface Pressing {
  readonly contact: SoilContact;
  /** Straight-down stress at a place across the axle and a depth, m. */
  readonly stressAt: (acrossM: number, depthM: number) => number;
  /** Across, m: below the middle of the tire that presses the hardest at half a meter. */
  readonly worstAtM: number;
  readonly depths: readonly AtDepth[];
  /** More than the rule for moist subsoil has: 50 kPa at 50 cm. */
  readonly pastRule: boolean;
}

/** How wet the top acts under a wheel: at a hand's depth. Assumption. */
const TOP_M = 0.1;

const shifted = ({ texture, daysSinceRain }: FarmSoil, shift: number): number =>
  wetnessAt(suctionAfter(texture, daysSinceRain, TOP_M) + shift);

/** How wet a field acts under a wheel, 0 dry to 1 soaked. */
export const wetnessUnder = (soil: FarmSoil): number => shifted(soil, 0);

/** What an axle does at one moisture: its contact, the stress below it, and the chance at a depth below one of its tires. */
function pressedAt(axle: FarmAxle, field: FarmSoil, pFShift: number) {
  const wetness = shifted(field, pFShift);
  const contact = contactOnSoil(axle.tire, wetness);
  const below = stressBelow(contact, concentrationAt(wetness));
  const across = (x: number, z: number): number =>
    axle.tiresAtM.reduce((sum, tireM) => sum + below(x - tireM, 0, z), 0);
  const again = axle.passes ** PASS_EXPONENT;
  return {
    contact,
    across,
    at: (x: number, depthM: number) => {
      const stressKpa = across(x, depthM);
      const strengthKpa = strengthAt(field, depthM, pFShift);
      const chance = chanceOf(again * stressKpa, strengthKpa);
      return { stressKpa, strengthKpa, chance, severity: Math.max(0, Math.log((again * stressKpa) / strengthKpa)) };
    },
  };
}

/** Below which tire of an axle it presses the hardest, across, m: on each side the inner ones have the most beside them. */
const worstOf = ({ tiresAtM }: FarmAxle): number =>
  tiresAtM.length < 3 ? tiresAtM[0]! : [...tiresAtM].sort((a, b) => Math.abs(a) - Math.abs(b))[0]!;

/** What a depth comes to, without how sure that is. */
export type DepthOnly = Omit<AtDepth, 'leastChance' | 'mostChance'>;

/** The same as `pressing`, for one moisture and in figures alone: where many ways are compared. */
export function pressingOnly(axle: FarmAxle, field: FarmSoil, depthsM: readonly number[]): DepthOnly[] {
  const { at } = pressedAt(axle, field, 0);
  const x = worstOf(axle);
  return depthsM.map((depthM) => ({ depthM, ...at(x, depthM) }));
}

/**
 * How deep an axle presses into a field: stress against strength at each depth, and the chance that the soil there gives
 * way for good. Not for gravelly, peaty or frozen ground, nor below a plow pan, which carries more and passes on less.
 *
 * @param depthsM below the surface, each more than 0
 */
export function pressing(axle: FarmAxle, field: FarmSoil, depthsM: readonly number[]): Pressing {
  const meant = pressedAt(axle, field, 0);
  const others = [PF_SPREAD, -PF_SPREAD].map((shift) => pressedAt(axle, field, shift));
  const worstAtM = worstOf(axle);
  const depths = depthsM.map((depthM): AtDepth => {
    const here = meant.at(worstAtM, depthM);
    const chances = [here.chance, ...others.map(({ at }) => at(worstAtM, depthM).chance)];
    return { depthM, ...here, leastChance: Math.min(...chances), mostChance: Math.max(...chances) };
  });
  return {
    contact: meant.contact,
    stressAt: meant.across,
    worstAtM,
    depths,
    pastRule: meant.across(worstAtM, SUBSOIL_RULE.depthM) > SUBSOIL_RULE.stressKpa,
  };
}

/** Share of a field that wheels run over, 0 to 1: the tracks of every axle that don't fall into each other, a pass each. */
export function shareDrivenOn(axles: readonly FarmAxle[], workingWidthM: number): number {
  const tracks = axles
    .flatMap(({ tire, tiresAtM }) => tiresAtM.map((x) => [x - tire.widthM / 2, x + tire.widthM / 2] as const))
    .sort(([a], [b]) => a - b);
  let covered = 0;
  let reached = Number.NEGATIVE_INFINITY;
  for (const [from, to] of tracks) {
    covered += Math.max(0, to - Math.max(from, reached));
    reached = Math.max(reached, to);
  }
  return Math.min(1, covered / workingWidthM);
}
