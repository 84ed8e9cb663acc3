import { curveOf, factsOf, loadCaseOf, rigLoads, type GaugeRow, type RigRow } from '@dunlinmoss/contract';
import { capacity, familyOf, findingsOf, type RigLoads } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { axleName, PART_WORDS } from './axles';
import { FAMILY_WORDS } from './families';
import { findingWords } from './findings';
import { day, gaugeStepKpa, mass, pressure, speed } from './format';
import { STANDING_WORDS } from './loads';

/** A rig on one page: what it wears, what is on each wheel, what that may be. The same for screen, paper and text. */
export interface RigCard {
  readonly title: string;
  readonly about: string;
  readonly axles: readonly {
    readonly name: string;
    readonly lines: readonly (readonly [label: string, value: string])[];
  }[];
  /** Load on each axle in every case; the case that stands today first. */
  readonly cases: readonly { readonly name: string; readonly loads: string }[];
  readonly warnings: readonly string[];
  readonly foot: string;
}

const FOOT =
  'Cold pressures. The sidewall, the placard, local law and a qualified tire fitter overrule this card. Soft tires at speed overheat and fail; air back before pavement.';

/** The card of a rig as it stands today. `now` is a time as Date.toISOString writes it. */
export function rigCard(rig: RigRow, gauges: readonly GaugeRow[], units: Units, now: string): RigCard {
  const family = familyOf(rig.family);
  const today = loadCaseOf(rig);
  const loads = today && rigLoads(rig, today);
  const speedKmh = rig.topSpeedKmh ?? family.roadSpeedKmh;
  const findings = findingsOf(factsOf(rig, today, gauges, gaugeStepKpa(units.pressure)));
  const others = rig.loadCases.filter((each) => each !== today);
  return {
    title: rig.name,
    about: [
      FAMILY_WORDS[rig.family].name,
      today ? `loaded: ${today.name}` : 'no load told yet',
      ...(speedKmh === null ? [] : [`road ${speed(speedKmh)}`]),
      day(now),
    ].join(' · '),
    axles: rig.axles.map((axle, index) => {
      const load = loads?.ok ? loads.value.axles[index] : undefined;
      const curve = curveOf(axle);
      const carried =
        curve.ok && axle.roadKpa !== null
          ? capacity(curve.value, { pressureKpa: axle.roadKpa, speedKmh, dual: axle.wheels === 4 })
          : undefined;
      const lines: (readonly [string, string])[] = [['Tire', axle.tireMarking]];
      if (load) {
        const each =
          load.wheels.length === 1
            ? mass(load.loadKg, units)
            : load.wheels
                .map(({ wheel, loadKg }) => `${PART_WORDS[wheel].toLowerCase()} ${mass(loadKg, units)}`)
                .join(', ');
        lines.push(['Load', `${each} (${STANDING_WORDS[load.standing]})`]);
      }
      if (axle.roadKpa !== null) lines.push(['Road, cold', pressure(axle.roadKpa, units)]);
      if (carried?.ok) {
        lines.push([
          'Carries there',
          `${mass(carried.loadKg, units)} a wheel${carried.extrapolated ? ' (estimate)' : ''}`,
        ]);
      }
      if (axle.minKpa !== null || axle.maxKpa !== null) {
        const least = axle.minKpa === null ? '' : `least ${pressure(axle.minKpa, units)}`;
        const most = axle.maxKpa === null ? '' : `maximum ${pressure(axle.maxKpa, units)}`;
        lines.push(['Sidewall', [least, most].filter((part) => part !== '').join(', ')]);
      }
      if (axle.ratingKg !== null) lines.push(['Axle rating', mass(axle.ratingKg, units)]);
      return { name: axleName(axle.position, family.kind), lines };
    }),
    cases: [...(today ? [today] : []), ...others].map((loadCase) => {
      const worked = rigLoads(rig, loadCase);
      return { name: loadCase.name, loads: worked.ok ? axleLoads(worked.value, units) : 'not all told' };
    }),
    warnings: findings.map((finding) => {
      const { what, todo } = findingWords(finding, family.kind, units);
      return `${what} ${todo}`;
    }),
    foot: FOOT,
  };
}

const axleLoads = ({ axles, totalKg }: RigLoads, units: Units): string =>
  `${axles.map(({ loadKg }) => mass(loadKg, units)).join(' + ')} = ${mass(totalKg, units)}`;

/** The card as plain text, for a message or a notebook. */
export function cardText({ title, about, axles, cases, warnings, foot }: RigCard): string {
  const wide = Math.max(...axles.flatMap(({ lines }) => lines.map(([label]) => label.length)));
  return [
    title,
    about,
    ...axles.flatMap(({ name, lines }) => [
      '',
      name,
      ...lines.map(([label, value]) => `  ${label.padEnd(wide)}  ${value}`),
    ]),
    ...(cases.length > 0
      ? ['', 'Load cases, axle by axle', ...cases.map((each) => `  ${each.name}: ${each.loads}`)]
      : []),
    ...(warnings.length > 0 ? ['', 'Look at', ...warnings.map((warning) => `  ! ${warning}`)] : []),
    '',
    foot,
    '',
  ]
    .join('\n')
    .replaceAll('\u00a0', ' ');
}
