import { loadCaseOf, type ComparisonBody, type RigRow, type Setup, type Sheet } from '@dunlinmoss/contract';
import { familyOf, type Result } from '@dunlinmoss/core';
import { onGauge, type NoOutcome, type SetupOutcome } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName } from './axles';
import { area, day, length, mass, percent, pressure, speed } from './format';
import { groundName } from './grounds';
import { LIMIT_WORDS, noPlanText } from './limits';
import { waitingText } from './noPlan';

/** What both setups come to in one respect, and how the second differs. */
export interface ComparedLine {
  readonly name: string;
  readonly first: string;
  readonly second: string;
  /** Empty where there is nothing to say. */
  readonly change: string;
}

interface Respect {
  readonly name: string;
  /** Null where nothing tells. */
  readonly value: (outcome: SetupOutcome) => number | null;
  readonly text: (value: number) => string;
  /** How a difference is told: as a share of the first, or in the unit itself. */
  readonly change: 'share' | 'amount';
}

const respects = (units: Units): readonly Respect[] => {
  const lengthText = (mm: number): string => length(mm, units);
  const kpaText = (kpa: number): string => pressure(kpa, units);
  return [
    { name: 'On the wheel', value: ({ axle }) => axle.wheelLoadKg, text: (kg) => mass(kg, units), change: 'share' },
    { name: 'Pressure, cold', value: ({ what }) => what.pressureKpa, text: kpaText, change: 'amount' },
    {
      name: 'Not below',
      value: ({ axle }) => onGauge(axle.floor.pressureKpa, units, 'up'),
      text: kpaText,
      change: 'amount',
    },
    { name: 'Footprint length', value: ({ what }) => what.patch?.lengthMm ?? null, text: lengthText, change: 'share' },
    { name: 'Footprint width', value: ({ what }) => what.patch?.widthMm ?? null, text: lengthText, change: 'share' },
    {
      name: 'Footprint area',
      value: ({ what }) => what.patch?.grossAreaMm2 ?? null,
      text: (mm2) => area(mm2, units),
      change: 'share',
    },
    {
      name: 'On the ground',
      value: ({ what }) => what.patch?.groundPressureKpa ?? null,
      text: kpaText,
      change: 'share',
    },
    { name: 'Settles by', value: ({ what }) => what.patch?.deflectionMm ?? null, text: lengthText, change: 'amount' },
    {
      name: 'Share of its height',
      value: ({ what }) => what.patch?.deflectionShare ?? null,
      text: percent,
      change: 'amount',
    },
    { name: 'Clearance lost', value: ({ what }) => what.clearanceLostMm, text: lengthText, change: 'amount' },
    { name: 'Load left', value: ({ what }) => what.loadLeftKg, text: (kg) => mass(kg, units), change: 'amount' },
    {
      name: 'Fastest here',
      value: ({ what }) => what.speedKmh,
      text: (kmh) => speed(Math.floor(kmh / 5) * 5, units),
      change: 'amount',
    },
    {
      name: 'Sinks in the soil',
      value: ({ soil }) => (soil?.ok ? soil.value.sinkageMm : null),
      text: lengthText,
      change: 'amount',
    },
    {
      name: 'Climbs there',
      value: ({ soil }) => (soil?.ok ? soil.value.climbsDeg : null),
      text: (deg) => (deg < 0 ? 'can’t move' : `${deg.toFixed(0)}°`),
      change: 'amount',
    },
  ];
};

const signed = (text: string, value: number): string => `${value > 0 ? '+' : '−'}${text}`;

function changeText({ change, text }: Respect, first: number, second: number): string {
  if (text(first) === text(second)) return 'same';
  if (change === 'share') return first === 0 ? '' : signed(percent(Math.abs(second / first - 1)), second - first);
  // Where one of them is no number in words, a difference is none either.
  return /\d/.test(text(first)) && /\d/.test(text(second))
    ? signed(text(Math.abs(second - first)), second - first)
    : '';
}

/** Line by line what two setups come to; what neither has anything to say of is left out. */
export const comparedLines = (first: SetupOutcome, second: SetupOutcome, units: Units): ComparedLine[] =>
  respects(units).flatMap((respect): ComparedLine[] => {
    const [a, b] = [respect.value(first), respect.value(second)];
    if (a === null && b === null) return [];
    return [
      {
        name: respect.name,
        first: a === null ? '–' : respect.text(a),
        second: b === null ? '–' : respect.text(b),
        change: a === null || b === null ? '' : changeText(respect, a, b),
      },
    ];
  });

/** The three things that one decides by, in a sentence. */
export function comparedText(first: SetupOutcome, second: SetupOutcome, units: Units): string {
  const lines = comparedLines(first, second, units);
  const changeOf = (name: string): string => lines.find((line) => line.name === name)?.change ?? '';
  const parts = [
    ['Footprint area', 'footprint'],
    ['On the ground', 'pressure on the ground'],
    ['Not below', 'floor'],
  ].flatMap(([name, words]) => {
    const change = changeOf(name!);
    return change === '' || change === 'same' ? [] : [`${words} ${change}`];
  });
  return parts.length === 0
    ? 'Both come to the same here: change something on one of them.'
    : `The second against the first: ${parts.join(', ')}.`;
}

/** What goes past a limit at a setup's own pressure; undefined where nothing does. */
export function pastText({ what }: SetupOutcome, units: Units): string | undefined {
  const past = what.limits.filter(({ insideKpa }) => insideKpa < -1e-6);
  const worst = past.reduce<(typeof past)[number] | undefined>(
    (most, each) => (most && most.insideKpa <= each.insideKpa ? most : each),
    undefined,
  );
  return worst && `Past ${pressure(worst.limitKpa, units)}: ${LIMIT_WORDS[worst.code].voice}.`;
}

/**
 * That another number is proved with a setup than the rule's that it is compared at; undefined where nothing is, or a
 * gauge shows the same.
 */
export function provedBesideRule(
  outcome: Result<SetupOutcome, NoOutcome>,
  provedKpa: number | undefined,
  units: Units,
): string | undefined {
  if (provedKpa === undefined || !outcome.ok) return undefined;
  const [proved, rule] = [provedKpa, outcome.value.what.pressureKpa].map((kpa) => pressure(kpa, units));
  return proved === rule
    ? undefined
    : `${proved} is proved with it here. Both stand at the rule’s pressure, so that they are alike; put in ${proved} to see that.`;
}

/** Why there is nothing to compare for one of them. */
export function noOutcomeText(problem: NoOutcome, rig: RigRow, units: Units): string {
  const { kind } = familyOf(rig.family);
  switch (problem.code) {
    case 'axleGone':
      return 'This axle is no longer on the rig. Choose another.';
    case 'loads':
    case 'doubtfulLoad':
    case 'doubtfulRoad':
      return waitingText(problem, rig.family, units);
    case 'roadMissing':
      return `${axleName(problem.position, kind)}: its road pressure is missing. Put it on the rig.`;
    default:
      return noPlanText(problem, kind, units);
  }
}

/** `Curlew, rear: 35x12.50R17LT, Touring, at 14 psi`. */
export function setupText(rig: RigRow | undefined, setup: Setup, units: Units): string {
  if (!rig) return 'A rig that is not here';
  const axle = rig.axles.find(({ position }) => position === setup.position);
  const parts = [
    setup.tireMarking ?? axle?.tireMarking,
    rig.loadCases.length > 1 ? loadCaseOf(rig, setup.loadCaseId)?.name : undefined,
    setup.insert === true && axle?.insert === false ? 'with an insert' : undefined,
    setup.insert === false && axle?.insert === true ? 'without the insert' : undefined,
    setup.rimInnerMm !== null ? `rim ${length(setup.rimInnerMm, units)}` : undefined,
    setup.measuredWidthMm !== null ? `measures ${length(setup.measuredWidthMm, units)}` : undefined,
    setup.pressureKpa !== null ? `at ${pressure(setup.pressureKpa, units)}` : undefined,
  ].filter((part) => part !== undefined);
  return `${rig.name}, ${axleName(setup.position, familyOf(rig.family).kind).toLowerCase()}: ${parts.join(', ')}`;
}

/** What two rigs of different kinds can't be compared in. */
export const otherKindText = (first: RigRow, second: RigRow): string | undefined =>
  familyOf(first.family).kind === familyOf(second.family).kind
    ? undefined
    : 'Two kinds of rig: compare what stands on the ground, not the pressures. Each goes by its own rules.';

/** The comparison on a page, to print or keep. */
export const comparisonSheet = (
  { name, groundCode, keptAt }: Pick<ComparisonBody, 'name' | 'groundCode' | 'keptAt'>,
  labels: readonly [first: string, second: string],
  lines: readonly ComparedLine[],
): Sheet => ({
  title: name.trim() === '' ? 'Two setups' : name,
  about: `${groundName(groundCode)} · ${day(keptAt)}`,
  parts: [
    {
      lines: [
        ['First', labels[0]],
        ['Second', labels[1]],
      ],
    },
    {
      head: ['', 'First', 'Second', 'Change'],
      rows: lines.map(({ name: what, first, second, change }) => [what, first, second, change]),
    },
  ],
  foot: 'Cold pressures, computed. Sidewall, placard, local law and a qualified tire fitter overrule this sheet.',
});
