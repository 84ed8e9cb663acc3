import { FAMILIES } from '../families/registry';
import type { Kind } from '../families/family';
import { groundsFor, type GroundCode } from '../grounds/registry';
import { MODIFIER_CODES } from '../modifiers/registry';
import { planGround } from '../plan/planGround';
import type { PlanAxle } from '../axle/planAxle';
import type { PlanInput } from '../plan/plan';
import { SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { CAUTION_CODES, type CautionCode } from './registry';

/** A sound rig of a kind, and one with everything about it that a caution looks at. */
type Rig = 'plain' | 'awkward';

const awkward = (axle: PlanAxle, kind: Kind): PlanAxle => ({
  ...axle,
  tube: true,
  beadHold: 'none',
  loadRange: 'E',
  curve: kind === 'farm' ? axle.curve : null,
  tire: { ...axle.tire, notHighway: true },
});

function cautionsOf(family: PlanInput['family'], kind: Kind, ground: GroundCode, rig: Rig): readonly CautionCode[] {
  const { axles, ...rest } = SAMPLE_RIGS[kind]!;
  const input = sampleInput({
    ...rest,
    family,
    ground,
    stuckAccepted: true,
    axles: rig === 'plain' ? axles : axles.map((axle) => awkward(axle, kind)),
    // Pulling hard takes one away: it is counted in.
    modifiers: rig === 'plain' ? [] : MODIFIER_CODES.filter((code) => code !== 'pullingHard'),
  });
  const plan = planGround(input);
  if (!plan.ok) throw new Error(`${family} on ${ground}: ${plan.problem.code}`);
  return plan.value.cautions;
}

/**
 * Every caution on every ground of every kind: what a sound rig is told, and what one with a tube, stiff plies, an NHS
 * sidewall, nothing read and everything said of the day is told beside it.
 */
const TABLE: Record<Kind, Partial<Record<GroundCode, readonly [plain: string, added: string]>>> = {
  car: {
    pavement: ['loadUnknown overruled', 'notForHighway'],
    gravel: [
      'speedAndHeat gentleTurns airBeforePavement dampersStillCount loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear',
    ],
    rockyTrack: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear',
    ],
    forestMud: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock deepMudWithBottom loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear',
    ],
    rockCrawl: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear',
    ],
    snow: [
      'speedAndHeat gentleTurns airBeforePavement brakingOnSnow loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear stiffCarcass',
    ],
    dampSand: [
      'speedAndHeat gentleTurns airBeforePavement drivingOnSand loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear trailerOnSand',
    ],
    softSand: [
      'speedAndHeat gentleTurns airBeforePavement chassisAground drivingOnSand hotSandIsSofter loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear trailerOnSand stiffCarcass',
    ],
    verySoftSand: [
      'speedAndHeat gentleTurns airBeforePavement chassisAground drivingOnSand hotSandIsSofter loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear trailerOnSand stiffCarcass',
    ],
    stuck: [
      'stuckOnly speedAndHeat gentleTurns airBeforePavement chassisAground recoveryGear loadUnknown clearanceLost pressureMonitors overruled',
      'noAirNear stiffCarcass',
    ],
  },
  quad: {
    pavement: ['overruled', 'notForHighway loadUnknown'],
    gravel: [
      'speedAndHeat gentleTurns airBeforePavement dampersStillCount lookAtTread clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    rockyTrack: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock lookAtTread clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    forestMud: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock deepMudWithBottom lookAtTread clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    rockCrawl: [
      'speedAndHeat gentleTurns airBeforePavement sidewallOnRock lookAtTread clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    plowing: [
      'speedAndHeat gentleTurns airBeforePavement brakingOnSnow lookAtTread pushesWide plowLoad clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    snow: [
      'speedAndHeat gentleTurns airBeforePavement brakingOnSnow lookAtTread pushesWide clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
    dampSand: [
      'speedAndHeat gentleTurns airBeforePavement lookAtTread clearanceLost overruled',
      'noAirNear trailerOnSand loadUnknown',
    ],
    softSand: [
      'speedAndHeat gentleTurns airBeforePavement chassisAground hotSandIsSofter lookAtTread clearanceLost overruled',
      'noAirNear trailerOnSand loadUnknown',
    ],
    verySoftSand: [
      'speedAndHeat gentleTurns airBeforePavement chassisAground hotSandIsSofter lookAtTread clearanceLost overruled',
      'noAirNear trailerOnSand loadUnknown',
    ],
    stuck: [
      'stuckOnly speedAndHeat gentleTurns airBeforePavement chassisAground recoveryGear lookAtTread clearanceLost overruled',
      'noAirNear loadUnknown',
    ],
  },
  motorcycle: {
    pavement: ['overruled', 'notForHighway ratedAtUnknown'],
    dirtRoad: [
      'speedAndHeat gentleTurns airBeforePavement valveCreep clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
    rock: [
      'speedAndHeat gentleTurns airBeforePavement valveCreep sidewallOnRock clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
    mud: [
      'speedAndHeat gentleTurns airBeforePavement valveCreep deepMudWithBottom clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
    snow: [
      'speedAndHeat gentleTurns airBeforePavement brakingOnSnow valveCreep clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
    softSand: [
      'speedAndHeat gentleTurns airBeforePavement valveCreep chassisAground hotSandIsSofter clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
    stuck: [
      'stuckOnly speedAndHeat gentleTurns airBeforePavement valveCreep chassisAground recoveryGear clearanceLost overruled',
      'noAirNear ratedAtUnknown',
    ],
  },
  bicycle: {
    smoothHard: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    brokenPavement: ['judgeByWorstHit sidewallUnread lookEveryRide overruled', 'tubePinch'],
    hardpack: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    looseGravel: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    bikePark: ['judgeByWorstHit sidewallUnread lookEveryRide overruled', 'tubePinch'],
    rock: ['judgeByWorstHit sidewallUnread lookEveryRide overruled', 'tubePinch'],
    roots: ['judgeByWorstHit sidewallUnread lookEveryRide overruled', 'tubePinch'],
    wetTrail: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    climb: ['foldsInTurn sidewallUnread lookEveryRide overruled', 'tubePinch'],
    mud: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    snow: ['brakingOnSnow sidewallUnread lookEveryRide overruled', 'tubePinch'],
    softSand: ['sidewallUnread lookEveryRide overruled', 'tubePinch'],
    stuck: ['stuckOnly sidewallUnread lookEveryRide overruled', 'tubePinch'],
  },
  farm: {
    pavement: ['sidewallUnread overruled', 'notForHighway'],
    lane: ['speedAndHeat airBeforePavement sidewallUnread clearanceLost overruled', ''],
    fieldDry: ['speedAndHeat airBeforePavement sustainedTorque sidewallUnread clearanceLost overruled', 'seedbedRuts'],
    fieldMoist: [
      'speedAndHeat airBeforePavement firstPass sustainedTorque sidewallUnread clearanceLost overruled',
      'seedbedRuts',
    ],
    fieldWet: [
      'speedAndHeat airBeforePavement firstPass sustainedTorque sidewallUnread clearanceLost overruled',
      'seedbedRuts',
    ],
    stuck: [
      'stuckOnly speedAndHeat airBeforePavement chassisAground recoveryGear sidewallUnread clearanceLost overruled',
      '',
    ],
  },
};

describe.each(FAMILIES)('the cautions of a $code', (own) => {
  const { code: family, kind } = own;
  it('have a row for every ground it meets', () => {
    expect(Object.keys(TABLE[kind])).toEqual(expect.arrayContaining([...groundsFor(own)]));
    // No row of the kind is left over: some family of it meets each.
    const met = new Set<string>(FAMILIES.filter((each) => each.kind === kind).flatMap((each) => groundsFor(each)));
    expect(Object.keys(TABLE[kind]).filter((ground) => !met.has(ground))).toEqual([]);
  });

  it.each(groundsFor(own))('on %s are those of its kind', (ground) => {
    const [plain, added] = TABLE[kind][ground]!.map((codes) => (codes === '' ? [] : codes.split(' ')));
    const told = cautionsOf(family, kind, ground, 'plain');
    expect(told).toEqual(plain);
    expect(cautionsOf(family, kind, ground, 'awkward').filter((code) => !told.includes(code))).toEqual(added);
  });
});

describe('the table of cautions', () => {
  it('has every caution in it but the one that a speed of one’s own brings', () => {
    const told = new Set(
      Object.values(TABLE).flatMap((rows) => Object.values(rows).flatMap((row) => row.join(' ').split(' '))),
    );
    expect(CAUTION_CODES.filter((code) => !told.has(code))).toEqual(['mixedTires', 'fasterThanGuide']);
    const mixed = planGround(
      sampleInput({ axles: [sampleAxle(), sampleAxle({ marking: '31x10.50-15', position: 'rear' })] }),
    );
    expect(mixed.ok && mixed.value.cautions).toContain('mixedTires');
    const fast = planGround(sampleInput({ speedKmh: 60 }));
    expect(fast.ok && fast.value.cautions).toContain('fasterThanGuide');
  });

  it('says nothing of what was said and does not count here', () => {
    const bicycle = planGround(
      sampleInput({ ...SAMPLE_RIGS.bicycle!, ground: 'softSand', modifiers: ['towing', 'farFromAir'] }),
    );
    expect(bicycle.ok && bicycle.value.cautions).toEqual(['sidewallUnread', 'lookEveryRide', 'overruled']);
  });
});
