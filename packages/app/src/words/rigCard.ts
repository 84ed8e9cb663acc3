import { curveOf, factsOf, loadCaseOf, rigLoads, type GaugeRow, type RigRow, type Sheet } from '@dunlinmoss/contract';
import { capacity, familyOf, findingsOf, type RigLoads } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName, PART_WORDS } from './axles';
import { FAMILY_WORDS } from './families';
import { findingWords } from './findings';
import { day, mass, pressure, speed } from './format';
import { STANDING_WORDS } from './loads';

const FOOT =
  'Cold pressures. The sidewall, the placard, local law and a qualified tire fitter overrule this card. Soft tires at speed overheat and fail; air back before pavement.';

/** A rig on one page as it stands today: its tires, the load on each wheel and its limit; the case of today first. `now` is a time as Date.toISOString writes it. */
export function rigCard(rig: RigRow, gauges: readonly GaugeRow[], units: Units, now: string): Sheet {
  const family = familyOf(rig.family);
  const today = loadCaseOf(rig);
  const loads = today && rigLoads(rig, today);
  const speedKmh = rig.topSpeedKmh ?? family.roadSpeedKmh;
  const findings = findingsOf(factsOf(rig, today, gauges, gaugeStepKpa(units)));
  const others = rig.loadCases.filter((each) => each !== today);
  return {
    title: rig.name,
    about: [
      FAMILY_WORDS[rig.family].name,
      today ? `loaded: ${today.name}` : 'no load entered yet',
      ...(speedKmh === null ? [] : [`road ${speed(speedKmh, units)}`]),
      day(now),
    ].join(' · '),
    parts: [
      ...rig.axles.map((axle, index) => {
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
        return { title: axleName(axle.position, family.kind), lines };
      }),
      ...(rig.loadCases.length > 0
        ? [
            {
              title: 'Load cases, axle by axle',
              lines: [...(today ? [today] : []), ...others].map((loadCase): [string, string] => {
                const worked = rigLoads(rig, loadCase);
                return [loadCase.name, worked.ok ? axleLoads(worked.value, units) : 'not all entered'];
              }),
            },
          ]
        : []),
      {
        title: 'Look at',
        bullets: findings.map((finding) => {
          const { what, todo } = findingWords(finding, family.kind, units);
          return `${what} ${todo}`;
        }),
      },
    ],
    foot: FOOT,
  };
}

const axleLoads = ({ axles, totalKg }: RigLoads, units: Units): string =>
  `${axles.map(({ loadKg }) => mass(loadKg, units)).join(' + ')} = ${mass(totalKg, units)}`;
