import type { Found, RigRow, RouteBody, RouteStretchBody, Sheet, SheetBar } from '@dunlinmoss/contract';
import {
  familyOf,
  ROUTE_PLANS,
  type Robustness,
  type RouteAnswer,
  type RouteLeg,
  type RoutePlan,
  type RoutePlanCode,
  type Setting,
  type Sureness,
} from '@dunlinmoss/core';
import type { RouteTrouble, StartKnown } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { duration } from './air';
import { axleName } from './axles';
import { ofHundred, percent, pressure, pressureNumber, speed } from './format';
import { groundName } from './grounds';
import { noPlanText } from './limits';
import { waitingText } from './noPlan';
import { way } from './way';

export const PLAN_WORDS: Record<RoutePlanCode, { readonly name: string; readonly note: string }> = {
  quickest: { name: 'Quickest', note: 'The least time, with getting stuck counted in' },
  fewestStops: { name: 'Fewest stops', note: 'As long as no stretch is likelier than one in five to hold you' },
  surest: { name: 'Surest', note: 'Stuck as seldom as can be, whatever it takes' },
};

export const SURENESS_WORDS: Record<Sureness, string> = {
  known: 'I know it',
  usual: 'As such ground mostly is',
  doubtful: 'Not sure at all',
};

export const FOUND_WORDS: Record<Found, string> = { firmer: 'Firmer', asThought: 'As thought', softer: 'Softer' };

/** `48 min`, `2 h 22 min`: whole minutes, one at least. */
export const minutesText = (min: number): string => duration(60 * Math.max(1, Math.round(min)));

/** `14:05` of minutes since midnight, also past the next one. */
export function clockText(min: number): string {
  const whole = Math.round(min) % (24 * 60);
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes since midnight of a time as people type it: `7`, `7:30`, `07.30`, `730`; undefined where it is none. */
export function clockMin(text: string): number | undefined {
  const [, hours, minutes = '0'] = /^\s*(\d{1,2})(?:\s*[:.h]?\s*(\d{2}))?\s*$/.exec(text) ?? [];
  if (hours === undefined) return undefined;
  const value = Number(hours) * 60 + Number(minutes);
  return Number(minutes) < 60 && value < 24 * 60 ? value : undefined;
}

/** `14 psi`, or `front 14, rear 16 psi` where they differ on the gauge. */
export function settingText(setting: Setting, units: Units): string {
  const numbers = setting.map(({ pressureKpa }) => pressureNumber(pressureKpa, units));
  if (new Set(numbers).size === 1) return pressure(setting[0]!.pressureKpa, units);
  return `${setting.map(({ position }, axle) => `${position === 'rear2' ? 'rear 2' : position} ${numbers[axle]}`).join(', ')}\u00a0${units.pressure}`;
}

const stopsText = (stops: number): string => (stops === 0 ? 'no stop' : stops === 1 ? 'one stop' : `${stops} stops`);

/** `2 h 22 min, 4 stops`. */
export const planFigure = ({ totalMin }: RoutePlan): string => minutesText(totalMin);
export const planNote = ({ stops, bogChance }: RoutePlan): string =>
  `${stopsText(stops)}${bogChance < 0.01 ? '' : `; gets through ${ofHundred(bogChance)}`}`;

/** What it begins with was not read by anybody; undefined where it was. */
export const startText = (known: StartKnown): string | undefined =>
  ({
    known: undefined,
    road: 'Not every wheel was read: the others are taken to be at road pressure.',
    ground: 'No tire was read: they are taken to begin at the pressure of the first ground.',
  })[known];

/** Where each minute goes; what takes none is left out. */
export function minutesLines(plan: RoutePlan): readonly (readonly [string, string])[] {
  const lines: [string, number][] = [
    ['Driving', plan.driveMin],
    [plan.stops === 1 ? 'One stop' : `${plan.stops} stops`, plan.stopsMin],
    ['Waiting', plan.waitMin],
    ['Stuck, on average', plan.bogMin],
  ];
  return lines.filter(([, minutes]) => minutes >= 0.5).map(([name, minutes]) => [name, minutesText(minutes)]);
}

/** What a plan costs beside minutes, each in its own measure; only what is worth saying. */
export function wearLines({ wear }: RoutePlan, units: Units): readonly (readonly [string, string])[] {
  const lines: [string, number][] = [
    ['Shaken: harder than the ground asks for', wear.harshKm],
    ['Pressed: harder than the field asks for', wear.pressedKm],
    ['Bent: softer than the ground asks for', wear.softKm],
  ];
  return lines
    .filter(([, length]) => length >= 0.1)
    .map(([name, length]) => [name, `as ${way(1000 * length, units)} at twice that`]);
}

/** What there is to do, in one sentence. */
export function verdictText({ plans, onePressure }: RouteAnswer, chosen: RoutePlan, units: Units): string {
  const { quickest } = plans;
  if (chosen.late) return '';
  if (chosen === quickest && quickest.stops === 0) {
    return 'Don’t change anything: a stop takes more than it brings.';
  }
  const settings = new Set(chosen.legs.map(({ setting }) => settingText(setting, units)));
  if (settings.size === 1) return `One pressure all day, ${[...settings][0]}: set it first, and don’t stop again.`;
  if (!onePressure) return 'No single pressure is safe all day: you have to stop.';
  const saved = onePressure.totalMin - chosen.totalMin;
  return saved < 1
    ? `${settingText(onePressure.legs[0]!.setting, units)} all day would be as quick; this one is softer on the way.`
    : `${minutesText(saved)} less than ${settingText(onePressure.legs[0]!.setting, units)} all day.`;
}

/** What there is no plan of, and why. */
export const missingLines = ({ onePressure, tradeTable }: RouteAnswer): readonly string[] => [
  ...(onePressure
    ? []
    : ['There is no one pressure for all of it: what one stretch must not go below is more than another may have.']),
  ...(tradeTable
    ? []
    : ['Each ground by its own table is not possible: one can’t stop where it would have to change.']),
];

/** How wrong it can be, and where to if the ground is not as thought. */
export function robustText(
  { worstMin, stretch, setting, ifSofter, ifFirmer }: Robustness,
  stretches: readonly RouteStretchBody[],
  units: Units,
): string {
  const [own, softer, firmer] = [setting, ifSofter, ifFirmer].map((each) => settingText(each, units));
  const ground = groundName(stretches[stretch]!.groundCode).toLowerCase();
  const wrong =
    worstMin < 1
      ? `However soft the ${ground} turns out, ${own} is right.`
      : `${capital(own!)} on ${ground} is never more than ${minutesText(worstMin)} wrong.`;
  const other = [
    softer === own ? '' : `Take ${softer} if you fear it is softer`,
    firmer === own ? '' : `${softer === own ? 'Take' : 'take'} ${firmer} if you know it is firmer`,
  ].filter((text) => text !== '');
  return other.length === 0 ? wrong : `${wrong} ${capital(other.join('; '))}.`;
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What is not in time, and by how much. */
export const lateText = ({ late }: RoutePlan, stretches: readonly RouteStretchBody[]): string | undefined =>
  late
    ? `Too late for ${late.stretch + 1}. ${groundName(stretches[late.stretch]!.groundCode).toLowerCase()}: it closes ${minutesText(Math.max(1, late.minutes))} before you are through. Leave that much earlier, or leave it out.`
    : undefined;

/** What a person has to know of a leg beside its pressures: below the ground's own floor, or soft on pavement. */
export function legWarning({ belowFloor, limps, kmh }: RouteLeg, units: Units): string | undefined {
  if (limps) return `Too little air: soft on pavement, ${speed(kmh, units)} at most. Stop when a tire feels hot.`;
  if (belowFloor.length === 0) return undefined;
  const most = Math.max(...belowFloor.map(({ floorKpa }) => floorKpa));
  return `Below the floor of ${pressure(most, units)} that Ground has here: that is why it is driven at ${speed(kmh, units)}.`;
}

/** Why rough ground is driven harder than it asks for: the stop would not be worth it. */
export const keptHard = ({ wear, stopMin }: RouteLeg): boolean => stopMin === null && wear.harshKm > 1;
export const KEPT_HARD = 'Kept harder than this ground asks for: a stop would take longer than it saves.';

/** What is done before a stretch; undefined where nothing is. */
export function stopText(legs: readonly RouteLeg[], index: number, before: Setting, units: Units): string | undefined {
  const { setting, stopMin } = legs[index]!;
  if (stopMin === null) return undefined;
  const from = index === 0 ? before : legs[index - 1]!.setting;
  const up = setting.some(({ pressureKpa }, axle) => pressureKpa > from[axle]!.pressureKpa + 0.5);
  const down = setting.some(({ pressureKpa }, axle) => pressureKpa < from[axle]!.pressureKpa - 0.5);
  const deed = up && down ? 'Change' : up ? 'Pump up' : 'Let out';
  return `${deed} to ${settingText(setting, units)}${stopMin < 0.05 ? ' while driving' : `, ${minutesText(Math.max(1, stopMin))}`}`;
}

const loadName = ({ loadCases }: RigRow, id: string | null): string | undefined =>
  loadCases.find((each) => each.id === id)?.name;

/** How a rig is loaded on a stretch: `as it stands`, `Full to Empty`. */
export function loadText({ loadCaseId, endLoadCaseId }: RouteStretchBody, rig: RigRow): string {
  const [begins, ends] = [loadName(rig, loadCaseId) ?? 'as it stands', loadName(rig, endLoadCaseId)];
  return ends === undefined ? begins : `${begins} to ${ends}`;
}

/** What a stretch is, but for its ground: `2 km, climbs 3°, no stopping`. */
export function stretchText(stretch: RouteStretchBody, rig: RigRow, units: Units): string {
  return [
    way(stretch.lengthM, units),
    stretch.climbDeg >= 0.5 ? `climbs ${stretch.climbDeg.toFixed(0)}°` : undefined,
    stretch.loadCaseId === null && stretch.endLoadCaseId === null ? undefined : loadText(stretch, rig),
    stretch.speedKmh === null ? undefined : `at most ${speed(stretch.speedKmh, units)}`,
    stretch.noStopping ? 'no stopping' : undefined,
    stretch.freeAir ? 'air at its start' : undefined,
    stretch.opensAtMin === null ? undefined : `from ${clockText(stretch.opensAtMin)}`,
    stretch.closesAtMin === null ? undefined : `through by ${clockText(stretch.closesAtMin)}`,
    stretch.sureness === 'usual' ? undefined : SURENESS_WORDS[stretch.sureness].toLowerCase(),
    stretch.found === null || stretch.found === 'asThought'
      ? undefined
      : `was ${FOUND_WORDS[stretch.found].toLowerCase()}`,
  ]
    .filter((part) => part !== undefined)
    .join(', ');
}

/** Why there is no plan, and on which stretch. */
export function routeTroubleText(trouble: RouteTrouble, route: RouteBody, rig: RigRow, units: Units): string {
  const { kind } = familyOf(rig.family);
  const stretch = route.stretches[trouble.stretch];
  const where = stretch ? `${trouble.stretch + 1}. ${groundName(stretch.groundCode)}: ` : '';
  switch (trouble.code) {
    case 'noStretch':
      return 'Nothing to drive yet: tap the first ground of the day.';
    case 'noStopBefore':
      return `${where}what it asks for can’t be had without a stop where one can’t stop. Allow a stop before it.`;
    case 'notEnoughAir':
      return `${where}the air that it takes is not there: your pump has not enough. Take another one, or say where air is to be had.`;
    case 'loads':
    case 'doubtfulLoad':
    case 'doubtfulRoad':
      return waitingText(trouble, rig.family, units);
    case 'roadMissing':
      return `${axleName(trouble.position, kind)}: its road pressure is missing. Say it on the rig.`;
    default:
      return `${where}${noPlanText(trouble, kind, units)}`;
  }
}

/** Pressure along the way, to scale, for paper. */
function barsOf({ stretches }: RouteBody, plan: RoutePlan, before: Setting, units: Units): SheetBar[] {
  const totalM = stretches.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const highest = ({ setting }: RouteLeg): number => Math.max(...setting.map(({ pressureKpa }) => pressureKpa));
  const most = Math.max(...plan.legs.map(highest));
  return stretches.map(({ lengthM }, index) => {
    const leg = plan.legs[index]!;
    return {
      share: lengthM / totalM,
      level: highest(leg) / most,
      name: [...new Set(leg.setting.map(({ pressureKpa }) => pressureNumber(pressureKpa, units)))].join('/'),
      foot: String(index + 1),
      post: stopText(plan.legs, index, before, units) !== undefined,
    };
  });
}

/** Every way side by side: what each takes, and where the time goes. */
export function sideBySide(
  { plans, onePressure, tradeTable }: RouteAnswer,
  units: Units,
): {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
} {
  const minutes = (min: number): string => (min < 0.5 ? '–' : minutesText(min));
  const row = (name: string, plan: RoutePlan): string[] => [
    name,
    minutesText(plan.totalMin),
    minutes(plan.driveMin),
    plan.stops === 0 ? '–' : `${plan.stops} × ${minutes(plan.stopsMin / plan.stops)}`,
    minutes(plan.bogMin),
  ];
  return {
    head: ['', 'In all', 'Driving', 'Stops', 'Stuck'],
    rows: [
      ...ROUTE_PLANS.map((code) => row(PLAN_WORDS[code].name, plans[code])),
      ...(onePressure ? [row(`${settingText(onePressure.legs[0]!.setting, units)} all day`, onePressure)] : []),
      ...(tradeTable ? [row('Each ground by its own table', tradeTable)] : []),
    ],
  };
}

/** The day on one page: what to set where, by the clock where it is known when it begins. */
export function daySheet(
  route: RouteBody,
  rig: RigRow,
  answer: RouteAnswer,
  plan: RoutePlan,
  before: Setting,
  units: Units,
): Sheet {
  const at = (min: number): string =>
    route.startsAtMin === null ? minutesText(min) : clockText(route.startsAtMin + min);
  const late = lateText(plan, route.stretches);
  return {
    title: route.name.trim() === '' ? 'A day’s route' : route.name,
    about: `${rig.name} · ${PLAN_WORDS[route.plan].name.toLowerCase()}: ${planFigure(plan)}, ${planNote(plan)}${route.startsAtMin === null ? '' : ` · begins at ${clockText(route.startsAtMin)}`}`,
    parts: [
      ...(late === undefined ? [] : [{ bullets: [late] }]),
      { bars: barsOf(route, plan, before, units) },
      {
        head: ['Stretch', 'In the tires', 'Drive', route.startsAtMin === null ? 'After' : 'Through'],
        rows: route.stretches.map((stretch, index) => {
          const leg = plan.legs[index]!;
          return [
            `${index + 1}. ${groundName(stretch.groundCode)}, ${stretchText(stretch, rig, units)}`,
            stopText(plan.legs, index, before, units) ?? settingText(leg.setting, units),
            `${speed(leg.kmh, units)}${leg.bogChance >= 0.01 ? `; may hold you, ${percent(leg.bogChance)}` : ''}`,
            at(leg.untilMin),
          ];
        }),
      },
      { title: 'Where the time goes', lines: [...minutesLines(plan)] },
      { title: 'Side by side', ...sideBySide(answer, units) },
      ...(answer.robustness && plan === answer.plans.quickest
        ? [
            {
              title: 'If the ground is not as thought',
              lines: [['', robustText(answer.robustness, route.stretches, units)]] as const,
            },
          ]
        : []),
    ],
    foot: 'Cold pressures, computed. Soft tires go slow, and never onto pavement. Sidewall, placard, local law and a qualified tire fitter overrule this sheet.',
  };
}
