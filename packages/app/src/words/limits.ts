import type {
  AxlePlan,
  CeilingCode,
  CeilingValue,
  FloorCode,
  FloorValue,
  ClampCode,
  Kind,
  NamedFloor,
  MissingInput,
  PlanProblem,
  SchoolCode,
} from '@dunlinmoss/core';
import { axleOnGauge, onGauge } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName } from './axles';
import { mass, pressure, pressureNumber, speed } from './format';
import { DECIDED_BY, SCHOOL_WORDS } from './schools';

/** Far finer than any gauge: marks computed in two ways may differ in the last place. */
const DUST_KPA = 1e-6;

/** What a limit is called, what it says in its own voice, and what to do where it is in the way. */
export const LIMIT_WORDS: Record<
  FloorCode | CeilingCode,
  { readonly name: string; readonly voice: string; readonly whose: string }
> = {
  bead: {
    name: 'bead',
    voice: 'below it the bead may leave the rim',
    whose: 'the lowest that the trade goes, for the bead',
  },
  heatAndSpeed: {
    name: 'heat and speed',
    voice: 'below it this load bends the sidewall too far for the speed',
    whose: 'what the trade drives at this speed, fitted to your load and tire',
  },
  handling: {
    name: 'steering',
    voice: 'below it the sidewall does not hold a line at this speed',
    whose: 'our estimate of what steering needs at this speed',
  },
  loadAtSpeed: {
    name: 'load at speed',
    voice: 'below it the tire does not carry this load at this speed',
    whose: 'what your tire needs for this load and speed',
  },
  roadPressure: {
    name: 'road pressure',
    voice: 'what you drive with on the road',
    whose: 'the pressure you drive with on the road',
  },
  freeRolling: {
    name: 'no data sheet',
    voice: 'wheels that only roll go no lower without their data sheet',
    whose: 'our estimate: its data sheet beats it',
  },
  rimStrike: {
    name: 'rim strike',
    voice: 'below it the rim is struck, a tube pinched, or the tire folds',
    whose: 'our estimate of where the rim is struck: try it on a kerb',
  },
  sidewallMinimum: { name: 'sidewall minimum', voice: 'the least that the sidewall allows', whose: 'from your tire' },
  own: { name: 'your own', voice: 'the lowest you accept', whose: 'the lowest you accept' },
  placard: { name: 'road pressure', voice: 'no firmer off the road than on it', whose: 'your road pressure' },
  sidewallMaximum: { name: 'sidewall maximum', voice: 'the most that the sidewall allows', whose: 'from your tire' },
  lastOfCurve: {
    name: 'end of its table',
    voice: 'the firmest that its data sheet speaks of',
    whose: 'from your tire’s data sheet',
  },
  hooklessRim: {
    name: 'hookless rim',
    voice: 'a rim without hooks holds no more',
    whose: 'from your rim: no hooks',
  },
  rimUnknown: {
    name: 'rim not told',
    voice: 'a rim without hooks would hold no more: say whether yours has hooks',
    whose: 'our estimate: say whether the rim has hooks',
  },
  lowestRidden: {
    name: 'lowest for its width',
    voice: 'below it a tire this wide folds or leaves its rim',
    whose: 'our estimate of the lowest that such a tire can be ridden on',
  },
  firstRow: {
    name: 'first row of its sheet',
    voice: 'its data sheet promises nothing below it',
    whose: 'from your tire’s data sheet',
  },
  farmBend: {
    name: 'bend',
    voice: 'below it the sidewall is bent further than any tire is',
    whose: 'as far as a sidewall may bend: check the load and the road pressure',
  },
  unreadSidewall: {
    name: 'sidewall not read',
    voice: 'no higher before the sidewall’s maximum is read',
    whose: 'our estimate: read the sidewall’s maximum',
  },
};

/** What else can move a number. */
const OTHER_WORDS = {
  belowRoad: { name: 'road pressure', whose: 'a little below your road pressure' },
  rear: { name: 'rear', whose: 'what the rear has: the front is never the firmer' },
  rearGap: { name: 'rear', whose: 'what the rear has: the front is at most 5 psi below it' },
} as const;

const heldWords = (code: NonNullable<ClampCode>): { readonly name: string; readonly whose: string } =>
  code === 'belowRoad' || code === 'rear' || code === 'rearGap' ? OTHER_WORDS[code] : LIMIT_WORDS[code];

/** Whose the deciding figure of an axle is, in plain words; on the road the placard. */
export function decidedBy({ clampedBy, provedKpa, remarks, floor }: AxlePlan, school: SchoolCode | null): string {
  if (clampedBy === 'rimStrike' && floor.source.mark === 'measured') return 'where you tried its rim on an edge';
  if (clampedBy !== null) return heldWords(clampedBy).whose;
  if (provedKpa !== null) return 'what was proved here';
  if (school === null) return LIMIT_WORDS.placard.whose;
  // An axle that was read goes by its own table beside one that was not.
  const read = school === 'fromRoad' && remarks.every(({ code }) => code !== 'ratingUnread');
  return DECIDED_BY[read ? 'loadSpeedTable' : school];
}

/** What a limit says; the rim's in other words where it was tried. */
export const limitVoice = ({ code, source }: Pick<FloorValue, 'code' | 'source'> | CeilingValue): string =>
  code === 'rimStrike' && source.mark === 'measured'
    ? 'by what you tried on an edge: a step for each run'
    : LIMIT_WORDS[code].voice;

/** Why an axle goes no lower; clamped beads go lower than others. */
export const floorText = ({ floor }: AxlePlan, beadHeld: boolean): string =>
  floor.code === 'bead' && beadHeld ? 'its locks hold the bead that far' : limitVoice(floor);

const CEILINGS: ReadonlySet<NonNullable<ClampCode>> = new Set([
  'placard',
  'sidewallMaximum',
  'lastOfCurve',
  'unreadSidewall',
  'hooklessRim',
  'rimUnknown',
]);
export const isCeiling = (limit: FloorCode | CeilingCode): limit is CeilingCode => CEILINGS.has(limit);

/** What the school alone would have where a limit moved the start away from it; undefined where it is the start. */
export function aloneText({ clampedBy, targetKpa }: AxlePlan, school: SchoolCode, units: Units): string | undefined {
  if (clampedBy === null || targetKpa === null) return undefined;
  const wanted = targetKpa > 0 ? pressure(targetKpa, units) : 'no air at all';
  return `${SCHOOL_WORDS[school].name.toLowerCase()} alone: ${wanted}`;
}

/** What a school asked for where a limit cut it off. */
export function cutText(
  { targetKpa, clampedBy }: { readonly targetKpa: number; readonly clampedBy: ClampCode },
  units: Units,
): string | undefined {
  if (clampedBy === null) return undefined;
  const asked = targetKpa > 0 ? pressureNumber(targetKpa, units) : 'no air';
  return `asks ${asked}, cut off by ${heldWords(clampedBy).name}`;
}

/** What to say of a pressure that was set outside the plan's limits; it is kept all the same, because it is what was done. */
export function setPressureText(axle: AxlePlan, setKpa: number | undefined, units: Units): string | undefined {
  if (setKpa === undefined) return undefined;
  const { floorKpa, ceilingKpa } = axleOnGauge(axle, units);
  const set = onGauge(setKpa, units);
  if (set < floorKpa - DUST_KPA)
    return `Below the floor of ${pressure(floorKpa, units)}: ${LIMIT_WORDS[axle.floor.code].voice}.`;
  if (ceilingKpa !== null && set > ceilingKpa + DUST_KPA)
    return `Above the ${LIMIT_WORDS[axle.ceiling!.code].name} of ${pressure(ceilingKpa, units)}. Check the gauge.`;
  return undefined;
}

/** The trade's named floors, and why some hold each. */
export const FLOOR_WORDS: Record<NamedFloor, { readonly name: string; readonly why: string }> = {
  cautious: { name: 'Cautious', why: 'Never a bead lost, and never as far as it would go' },
  common: { name: 'Common', why: 'What most hold without bead locks' },
  beach: { name: 'Beach', why: 'Run by some on flat sand for years; gentle hands' },
};

/** What a school would have to know. */
export const NEED_WORDS: Record<MissingInput, string> = {
  roadPressure: 'needs the pressure it has on the road, or is ridden with now',
  sidewallRange: 'needs the lowest and highest on the sidewall',
  sidewallMaximum: 'needs the maximum on the sidewall',
  riderWeight: 'needs the rider alone on a scale, as a load case by posture',
  narrowerTire: 'says nothing of tires this wide',
  whatTheTireCarries: 'needs the load index, the lines of the sidewall or rows of the data sheet',
  pressureBesideLoad:
    'needs the pressure that stands beside the load: rows of its data sheet, or the line on its sidewall',
  lessLoad: 'has no pressure for this load at road speed',
};

/** There is no safe number, and what would make one possible. */
export function noPlanText(problem: PlanProblem, kind: Kind, units: Units): string {
  if (problem.code === 'otherGround') return 'This kind of rig is not planned for such ground. Choose another ground.';
  if (problem.code === 'noSchoolAnswers')
    return `No number yet: the way of choosing ${NEED_WORDS[problem.needs[0]!]}. Enter it on the rig.`;
  const axle = axleName(problem.position, kind);
  switch (problem.code) {
    case 'floorAboveCeiling':
      return `${axle}: no safe pressure. ${crossed(problem, units)}`;
    case 'noPressureCarries': {
      const at = problem.speedKmh === null ? '' : ` at ${speed(problem.speedKmh, units)}`;
      return (
        `${axle}: no safe pressure. ${mass(problem.wheelLoadKg, units)} is on a wheel, and its tire carries ` +
        `${mass(problem.mostKg, units)}${at} at the most. ${kind === 'farm' ? 'Unload, drive slower, or fit' : 'Unload, or fit'} a tire that carries it.`
      );
    }
    case 'tooFast':
      return `${axle}: its tire is made for ${speed(problem.topKmh, units)} at the most, and ${speed(problem.speedKmh, units)} is asked for. Drive slower, or fit a faster tire.`;
    case 'placardAboveSidewall':
      return (
        `${axle}: the road pressure of ${pressure(problem.placardKpa, units)} is above the sidewall's maximum of ` +
        `${pressure(problem.maxKpa, units)}. One was misread, or the tire is not for this rig. Correct it on the rig.`
      );
    case 'noPressureSuffices':
      return `${axle}: no pressure is enough for ${mass(problem.wheelLoadKg, units)} on a wheel here; what can’t be met is the ${LIMIT_WORDS[problem.floor].name}. Check the load and its unit, unload, drive slower, or fit a tire that carries it.`;
    case 'liesFlat':
      return `${axle}: under ${mass(problem.wheelLoadKg, units)} on a wheel this tire would lie flat at ${pressure(problem.pressureKpa, units)}. Check the load and its unit.`;
    case 'roadMissing':
      return `${axle}: on pavement its road pressure rules, and it is missing. Put it on the rig.`;
  }
}

function crossed(
  { floor, floorKpa, ceiling, ceilingKpa, wheelLoadKg }: Extract<PlanProblem, { code: 'floorAboveCeiling' }>,
  units: Units,
): string {
  if (ceiling === 'unreadSidewall') {
    return `${mass(wheelLoadKg, units)} on a wheel asks for more than ${pressure(ceilingKpa, units)}, and nobody has read how much this sidewall takes. Put its maximum on the rig.`;
  }
  if (ceiling === 'rimUnknown') {
    return `${mass(wheelLoadKg, units)} on this tire asks for ${pressure(floorKpa, units)}, and a rim without hooks holds ${pressure(ceilingKpa, units)} at most. Has your rim hooks? Say so on the rig.`;
  }
  const most = `the ${LIMIT_WORDS[ceiling].name} of ${pressure(ceilingKpa, units)}`;
  const least = pressure(floorKpa, units);
  switch (floor) {
    case 'own':
    case 'bead':
      return `The lowest you accept, ${least}, is above ${most}, so there is nothing to let out. One of the two is wrong: look at the placard, then at your own floor.`;
    case 'sidewallMinimum':
      return `The sidewall's minimum of ${least} is above ${most}. One was misread: look at the sidewall again.`;
    case 'rimStrike':
      return `${mass(wheelLoadKg, units)} on a wheel would strike its rim below ${least}, above ${most}. Fit a wider tire or an insert.`;
    case 'lowestRidden':
      return `A tire this wide can’t be ridden below ${least}, above ${most}. Fit a wider tire.`;
    case 'farmBend':
      return `${mass(wheelLoadKg, units)} on a wheel bends this sidewall too far even at ${most}; it would take ${least}. Check the load, the size and the road pressure.`;
    case 'firstRow':
    case 'roadPressure':
    case 'freeRolling':
      return `${least} is asked for, above ${most}. One of the two was misread: look at the sidewall and at the road pressure.`;
    case 'handling':
      return `To hold a line at this speed it takes ${least}, above ${most}. Drive slower.`;
    case 'heatAndSpeed':
      return `${mass(wheelLoadKg, units)} on a wheel bends this sidewall too far even at ${most}; it would take ${least}. Check the load and its unit, unload, drive slower, or fit a tire that carries it.`;
    case 'loadAtSpeed':
      return `${mass(wheelLoadKg, units)} on a wheel needs ${least} at this speed, above ${most}. Unload, drive slower, or ask a tire fitter for a higher road pressure.`;
  }
}
