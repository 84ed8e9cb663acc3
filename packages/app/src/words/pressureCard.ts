import { loadCaseOf, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import { familyOf, groundsFor, planGround, type CautionCode, type GroundPlan, STUCK } from '@dunlinmoss/core';
import { axleOnGauge, planInput, type PlanRequest } from '@dunlinmoss/domain';

import { unitsFor, type Units } from '../settings/preferences';
import { axleName } from './axles';
import { cautionText, speedGuide } from './cautions';
import { FAMILY_WORDS } from './families';
import { day, mass, pressureNumber } from './format';
import { unitLabel } from './units';
import { groundName } from './grounds';
import { SCHOOL_WORDS } from './schools';
import type { Sheet } from './sheet';

/** What must stand on paper whatever the ground; the rest is on the screen of the ground. */
const ON_PAPER: ReadonlySet<CautionCode> = new Set([
  'speedAndHeat',
  'gentleTurns',
  'airBeforePavement',
  'valveCreep',
  'foldsInTurn',
  'sidewallUnread',
  'loadUnknown',
]);

const FOOT =
  'Cold: start (range) ≥ floor, never below. Sidewall, placard, local law and a qualified tire fitter overrule this card.';

/**
 * Every ground of a rig on one page, for the glove box or the stem bag: pressures of each axle, floors, speeds, cautions,
 * in one load case. `now` is a time as Date.toISOString writes it.
 */
export function pressureCard(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  loadCaseId: string | null,
  units: Units,
  now: string,
  /** The question with what was proved there. */
  proofOf: (asked: PlanRequest) => PlanRequest = (asked) => asked,
): Sheet {
  const family = familyOf(rig.family);
  const own = unitsFor(units, rig.family);
  const loadCase = loadCaseOf(rig, loadCaseId);
  const plans = groundsFor(family.kind).map((ground) => {
    const input = planInput(rig, tests, proofOf({ ground, modifiers: [], speedKmh: null, loadCaseId }));
    return { ground, plan: input.ok ? planGround({ ...input.value, stuckAccepted: true }) : input };
  });
  const known = plans.flatMap(({ plan }) => (plan.ok ? [plan.value] : []));
  const loads = known[0]?.axles.map(({ wheelLoadKg }) => mass(wheelLoadKg, own)).join(' / ');
  const school = known.find((plan) => plan.school !== null)?.school;
  return {
    title: rig.name,
    about: [
      `Cold pressures in ${units.pressure}`,
      FAMILY_WORDS[rig.family].name,
      ...(loadCase ? [`loaded: ${loadCase.name}`] : []),
      ...(loads === undefined ? [] : [`${loads} a wheel`]),
      ...(school ? [SCHOOL_WORDS[school].name.toLowerCase()] : []),
      day(now),
    ].join(' · '),
    parts: [
      {
        head: ['Ground', ...rig.axles.map(({ position }) => axleName(position, family.kind)), unitLabel(units.speed)],
        rows: plans.map(({ ground, plan }) => [
          groundName(ground),
          ...(plan.ok ? plan.value.axles.map((axle) => cell(axle, own)) : rig.axles.map(() => 'no safe pressure')),
          plan.ok ? speedCell(plan.value, units) : '–',
        ]),
      },
      { title: 'Mind', bullets: cautionsOf(known, own) },
    ],
    foot: FOOT,
  };
}

/** `15 (15–16) ≥ 12`: start, window, floor; on the road the road pressure alone. */
function cell(axle: GroundPlan['axles'][number], units: Units): string {
  const { startKpa, lowKpa, highKpa, floorKpa } = axleOnGauge(axle, units);
  const text = (kpa: number): string => pressureNumber(kpa, units);
  if (axle.targetKpa === null) return text(startKpa);
  const [low, high] = [text(lowKpa), text(highKpa)];
  const window = low === high ? '' : ` (${low}–${high})`;
  return `${text(startKpa)}${window} ≥\u00a0${text(floorKpa)}`;
}

const speedCell = (plan: GroundPlan, units: Units): string =>
  plan.ground === STUCK ? 'walk' : (speedGuide(plan, units)?.replace(/\u00a0\D*$/, '') ?? '–');

/** Each caution once, in the words of the softest ground it applies to. */
function cautionsOf(plans: readonly GroundPlan[], units: Units): string[] {
  const softest = new Map<CautionCode, string>();
  for (const plan of plans) {
    for (const code of plan.cautions) {
      if (ON_PAPER.has(code)) {
        softest.set(
          code,
          code === 'speedAndHeat'
            ? 'Hold the speed beside the ground. Soft tires at speed overheat and fail.'
            : cautionText(code, plan, units),
        );
      }
    }
  }
  return [...softest.values()];
}
