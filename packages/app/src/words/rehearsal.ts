import {
  LIMP_KM,
  LOOK_MIN,
  ofPlaces,
  type AxlePosition,
  type Choice,
  type Expected,
  type LessonCode,
  type LimpChoice,
  type LimpInput,
  type LimpScene,
  type Mechanism,
  type Moment,
  type OwnSoftness,
  type Pace,
  type Scene,
  type Verdict,
} from '@dunlinmoss/core';
import type { NoRehearsal } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { distance, length, pressure, pressureFine, pressureNumber, speed } from './format';
import { minutesText } from './route';
import { way } from './way';

/** Every drive there is: those on ground that gives way, and the one home. */
export type DriveCode = LessonCode | 'limpHome';

interface DriveWords {
  readonly name: string;
  /** What one sees from where one stands. */
  readonly ahead: (units: Units) => string;
}

export const DRIVE_WORDS: Record<DriveCode, DriveWords> = {
  firstBeach: {
    name: 'First beach',
    ahead: () => 'The track ends. Soft sand from here, and a rise of about 10° with three more like it behind.',
  },
  softExit: {
    name: 'The soft way off',
    ahead: () => 'Packed damp sand, the tide behind you. Ahead the soft rim of the beach, about 12° at its top.',
  },
  wetField: {
    name: 'Wet hollow',
    ahead: () => 'A headland that holds, then a wet hollow across the way, and one more behind it.',
  },
  plowSnow: {
    name: 'Plow the lane',
    ahead: () => 'Fresh snow on the lane, the blade down, a little uphill at the end.',
  },
  readTread: {
    name: 'Read the tread',
    ahead: () => 'Snow ahead and no gauge at hand. You roll a length and get off to look at the tread’s print.',
  },
  limpHome: {
    name: 'Home on soft tires',
    ahead: (units) => `The sand is behind you, ${way(1000 * LIMP_KM, units)} of pavement ahead, and no air on the way.`,
  },
};

const PACE_WORDS: Record<Pace, string> = {
  idle: 'at idle, lowest gear',
  steady: 'steadily',
  runUp: 'with a run-up',
};

/** `16 / 19 psi`: of each axle, the first one first. */
export const axlesText = (kpa: readonly number[], units: Units): string =>
  `${kpa.map((each) => pressureNumber(each, units)).join(' / ')}\u00a0${units.pressure}`;

interface Asking {
  readonly choice: Choice;
  readonly scene: Pick<Scene, 'moment' | 'pressuresKpa'>;
  /** More than one pace can be chosen. */
  readonly paces: boolean;
  /** Nobody has a gauge. */
  readonly byTread: boolean;
  readonly units: Units;
}

/** A choice as it stands on its button. */
export function choiceText({ choice: { code, toKpa, pace }, scene, paces, byTread, units }: Asking): string {
  const how = paces ? `, ${PACE_WORDS[pace]}` : '';
  switch (code) {
    case 'drive':
      if (scene.moment === 'stands') return 'Try once more as it is';
      return byTread ? 'It is right: drive on' : `Drive on as it is${how}`;
    case 'letOut':
      return byTread && scene.moment === 'edge'
        ? 'It is too hard: let some out'
        : `Let out to ${axlesText(toKpa ?? [], units)}${how}`;
    case 'keepOn':
      return 'Keep your foot down';
    case 'lift':
      return 'Lift off and stop';
    case 'dig':
      return 'Dig it out, boards under the wheels';
    case 'backOut':
      return 'Back out in your own tracks';
    case 'around':
      return 'Leave it: another way';
    case 'help':
      return 'Wait for somebody who pulls';
  }
}

const deepText = ({ drive, run }: Scene, units: Units): string =>
  length(1000 * Math.max(...(run?.frames.at(-1)?.sunkM ?? drive.dugM)), units);

/** Where it stands, in a sentence. */
type Axles = readonly { readonly position: AxlePosition }[];

export const MOMENT_TEXT: Record<Moment, (scene: Scene, axles: Axles, units: Units) => string> = {
  edge: ({ pressuresKpa, decisions }, axles, units) =>
    `${decisions > 0 ? 'Back where you began, with' : 'You come with'} ${axles
      .map(({ position }, index) => `${AXLE_WORDS[position].toLowerCase()} ${pressure(pressuresKpa[index]!, units)}`)
      .join(', ')} in the tires, cold.`,
  spins: (scene, _, units) => `The wheels turn faster than it goes. They stand ${deepText(scene, units)} deep.`,
  stands: (scene, _, units) => `It stands. The wheels are ${deepText(scene, units)} deep.`,
  stuck: (scene, _, units) =>
    scene.drive.aground
      ? `It stands on its belly, the wheels ${deepText(scene, units)} deep.`
      : `Dug in, ${deepText(scene, units)} deep.`,
  through: ({ minutes }) => `Through, after ${minutesText(minutes)}.`,
  around: ({ minutes }) => `Round it, ${minutesText(minutes)} in all.`,
  pulledOut: ({ minutes }) => `Pulled out, after ${minutesText(minutes)}.`,
};

/** What the tread's print shows: common practice, no source. */
export const treadText = (fromKpa: number, askedKpa: number): string =>
  fromKpa > 1.1 * askedKpa
    ? 'Its middle is pressed in hard, its edges hardly mark the snow.'
    : fromKpa < 0.9 * askedKpa
      ? 'Its edges are pressed in, its middle hardly marks the snow.'
      : 'It is flat across: middle and edges mark the snow alike.';

const placesText = (share: number): string => {
  const { count, of } = ofPlaces(share);
  return `${count} of ${of}`;
};

interface Judged {
  readonly verdict: Verdict;
  readonly expected: Pick<Expected, 'minutes' | 'halted'>;
  /** The choice that costs the least, as it stands on its button. */
  readonly best: string;
  /** What is likely told of: places, or tires. */
  readonly of?: 'places' | 'tires';
}

/** What a choice was worth, by what could be known. */
export function verdictText({ verdict, expected, best, of = 'places' }: Judged): string {
  const { costsMin } = verdict;
  const often =
    of === 'places'
      ? `came to a halt on ${placesText(expected.halted)} places that look like this one`
      : `lost a tire on ${Math.round(100 * expected.halted)} of 100 such drives`;
  return costsMin === 0
    ? `As good as any here: about ${minutesText(expected.minutes)} on average until the air is back in. It ${often}.`
    : `On average it costs ${minutesText(costsMin)} more than “${best}”. It ${often}.`;
}

export const LUCK_WORDS: Record<NonNullable<Verdict['luck']>, string> = {
  lucky: 'This once it went well: that was luck.',
  unlucky: 'The right call, and this once it went wrong.',
};

/** What made the difference on this very place. */
export function mechanismText(mechanism: Mechanism, other: string, units: Units): string {
  const mm = (value: number): string => length(value, units);
  switch (mechanism.code) {
    case 'spun':
      return `Spun ${mechanism.spunS.toFixed(1)} s: ${mm(mechanism.dugMm)} deeper. “${other}” leaves ${mm(mechanism.otherDugMm)}.`;
    case 'spared':
      return `Dug ${mm(mechanism.dugMm)}. “${other}” spins ${mechanism.otherSpunS.toFixed(1)} s and digs ${mm(mechanism.otherDugMm)}.`;
    case 'sank':
      return `Rolling it sank ${mm(mechanism.sinkMm)}; “${other}” ${mm(mechanism.otherSinkMm)}.`;
    case 'speed':
      return mechanism.mine
        ? `Its speed alone carries it ${distance(mechanism.heightM, units)} up.`
        : `The speed of “${other}” alone carries it ${distance(mechanism.heightM, units)} up.`;
    case 'same':
      return `On this very place “${other}” does no different.`;
  }
}

/** Where the softness is from. */
export function softnessText({ climbs, ruts, softness }: OwnSoftness): string {
  const seen = [
    ...(climbs > 0 ? [climbs === 1 ? 'your climb' : `your ${climbs} attempts at climbs`] : []),
    ...(ruts > 0 ? [`your ${ruts === 1 ? 'rut' : `${ruts} ruts`}, as wet as it was then,`] : []),
  ];
  if (seen.length === 0) return 'As soft as such ground usually is: our assumption, until you climb a measured slope.';
  const how = Math.abs(softness.shift) < 0.05 ? 'as' : softness.shift > 0 ? 'softer than' : 'firmer than';
  return `By ${seen.join(' and ')} ${how === 'as' ? 'as soft as' : how} such ground usually is.`;
}

export function noRehearsalText(problem: NoRehearsal): string {
  if (problem.code === 'otherKind') {
    return 'Practice drives are for machines on three wheels or more: on two it is balance that decides.';
  }
  if (problem.code === 'notDriven')
    return 'Practice drives are for machines that drive themselves: choose the one that pulls it.';
  return problem.code === 'roadUnknown'
    ? 'It needs the road pressure of every axle.'
    : 'It needs a load, tires and a pressure for this ground first.';
}

/** The way home: a choice as it stands on its button. */
export function limpChoiceText({ code, kmh }: LimpChoice, units: Units): string {
  switch (code) {
    case 'traffic':
      return `With the traffic, ${speed(kmh ?? 0, units)}`;
    case 'between':
      return `Somewhat slower, ${speed(kmh ?? 0, units)}`;
    case 'allowed':
      return `What these tires allow, ${speed(kmh ?? 0, units)}`;
    case 'goOn':
      return `Go on at ${speed(kmh ?? 0, units)}`;
    case 'cool':
      return `Let them cool, then ${speed(kmh ?? 0, units)}`;
    case 'wait':
      return 'Wait for somebody with a pump';
  }
}

/** Where it stands on the way home. */
export function limpMomentText({ moment, frames, minutes }: LimpScene, input: LimpInput, units: Units): string {
  const rise = frames.at(-1)?.riseKpa ?? 0;
  switch (moment) {
    case 'edge':
      return `In the tire that allows the least speed, cold: ${pressureFine(input.pressureKpa, units)}.`;
    case 'looked':
      return `You stop and read: ${pressureFine(input.pressureKpa + rise, units)}, ${pressureFine(rise, units)} over cold after ${LOOK_MIN} min.`;
    case 'home':
      return `Home after ${minutesText(minutes)}, ${pressureFine(rise, units)} over cold at the end.`;
    case 'failed':
      return `The tire came apart, ${pressureFine(rise, units)} over cold: ${minutesText(minutes)} with the wait for another.`;
    case 'waited':
      return `Aired up after ${minutesText(minutes)}.`;
  }
}

/** How a run ended, in a word or two under its picture. */
export function endText({ run }: Scene): string {
  if (!run) return 'it stands';
  return {
    through: 'through',
    spins: 'its wheels spin',
    stands: 'it stands',
    dugIn: 'dug in',
    aground: 'on its belly',
  }[run.end];
}

/** Whose figures drives go by. */
export const DRIVE_SOURCES: readonly (readonly [step: string, source: string])[] = [
  ['Sinking, and what the rut costs', 'published: Bekker; Wong, Theory of Ground Vehicles (from memory)'],
  ['What a slipping wheel pushes with', 'published: Janosi and Hanamoto (from memory)'],
  [
    'What a second wheel finds in a rut, digging while it spins, getting out',
    'our assumptions, set on the points of the trade (common practice, no source)',
  ],
  ['How soft it is from place to place', 'our assumption, or your own climbs and ruts'],
];
