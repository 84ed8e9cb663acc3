import { loadCaseOf, type ProofTestRow, type RigRow, type Sheet } from '@dunlinmoss/contract';
import {
  familyOf,
  groundOf,
  groundsFor,
  planGround,
  speedLadder,
  STUCK,
  WALKING_KMH,
  type CautionCode,
  type GroundCode,
  type GroundPlan,
  type PlanInput,
  type PlanProblem,
  type Result,
} from '@dunlinmoss/core';
import { axleOnGauge, onGauge, planInput, type NoPlan, type PlanRequest } from '@dunlinmoss/domain';

import { unitsFor, type Units } from '../settings/preferences';
import { AXLE_WORDS, axleName } from './axles';
import { cautionText, speedGuide } from './cautions';
import { FAMILY_WORDS } from './families';
import { day, mass, pressureNumber, speed } from './format';
import { unitLabel } from './units';
import { groundName } from './grounds';
import { noPlanText } from './limits';
import { waitingText } from './noPlan';
import { SCHOOL_WORDS } from './schools';

/** What must stand on paper whatever the ground; the rest is on the screen of the ground. */
const ON_PAPER: ReadonlySet<CautionCode> = new Set([
  'speedAndHeat',
  'gentleTurns',
  'airBeforePavement',
  'valveCreep',
  'mixedTires',
  'brakingOnSnow',
  'foldsInTurn',
  'sidewallUnread',
  'loadUnknown',
  'ratedAtUnknown',
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
  const plans = groundsFor(family).map((ground) => {
    const input = planInput(rig, tests, proofOf({ ground, modifiers: [], speedKmh: null, loadCaseId }));
    return { ground, input, plan: input.ok ? planGround({ ...input.value, stuckAccepted: true }) : input };
  });
  // The same reason once, whatever the grounds it stands for.
  const missing = [
    ...new Set(
      plans.flatMap(({ input, plan }) =>
        plan.ok
          ? []
          : input.ok
            ? noPlanText(plan.problem as PlanProblem, family.kind, own)
            : waitingText(input.problem, rig.family, own),
      ),
    ),
  ];
  const known = plans.flatMap(({ plan }) => (plan.ok ? [plan.value] : []));
  const isUnweighed = plans.some(({ input }) => input.ok && input.value.unweighed === true);
  const loads = isUnweighed ? undefined : known[0]?.axles.map(({ wheelLoadKg }) => mass(wheelLoadKg, own)).join(' / ');
  const school = known.find((plan) => plan.school !== null)?.school;
  return {
    title: rig.name,
    about: [
      `Cold pressures in ${units.pressure}`,
      FAMILY_WORDS[rig.family].name,
      ...(loadCase ? [`loaded: ${loadCase.name}`] : []),
      ...(isUnweighed ? ['not weighed: rules of thumb'] : []),
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
      ...ladderPart(rig, plans, own),
      { title: 'No number', bullets: missing },
      { title: 'Mind', bullets: cautionsOf(known, own) },
    ],
    foot: FOOT,
  };
}

/** How fast on how little: the least each axle has to have for a speed off pavement; nothing where no ground tells. */
function ladderPart(
  rig: RigRow,
  plans: readonly { readonly ground: GroundCode; readonly input: Result<PlanInput, NoPlan> }[],
  units: Units,
): Sheet['parts'] {
  const loose = plans.find(({ ground, input }) => input.ok && !groundOf(ground).paved && ground !== STUCK)?.input;
  const rungs = loose?.ok ? speedLadder(loose.value) : [];
  if (rungs.length === 0) return [];
  return [
    {
      title: 'How fast on how little, off pavement',
      head: ['Up to', ...rig.axles.map(({ position }) => AXLE_WORDS[position])],
      rows: rungs.map(({ speedKmh, axles }) => [
        speedKmh <= WALKING_KMH ? 'walking pace' : speed(speedKmh, units),
        ...axles.map(({ leastKpa }) => `≥\u00a0${pressureNumber(onGauge(leastKpa, units, 'up'), units)}`),
      ]),
    },
  ];
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
