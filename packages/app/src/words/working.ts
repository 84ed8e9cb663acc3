import {
  fromCanonical,
  REFERENCE_RIG,
  writeMarking,
  type Source,
  type ValueName,
  type WorkingStep,
} from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { pressure } from './format';

const SYMBOLS: Record<ValueName, string> = {
  aspectPercent: 'AR',
  baseKpa: 'base',
  beadFloorKpa: 'bead',
  carcassFactor: 'c',
  casingKpa: 'casing',
  chordMm: 'chord',
  classKpa: 'class, low end',
  contactConstant: 'k',
  contactFactor: 'yours',
  contactLengthMm: 'length',
  deflectionMm: 'δ',
  deflectionShare: 'share',
  dropFactor: 'yours',
  dropShare: 'drop',
  exponent: 'n',
  firmerKpa: 'firmer p',
  firmerLoadKg: 'its load',
  flexFloorKpa: 'sidewall',
  flexShare: 'most share',
  groundPressureKpa: 'ground pressure',
  groundShare: 'share of the ground',
  highestKpa: 'ceiling',
  leftLoadKg: 'left',
  loadFloorKpa: 'load',
  lowestKpa: 'floor',
  markedKpa: 'marked p',
  markedLoadKg: 'marked load',
  outerDiameterMm: 'OD',
  ownFloorKpa: 'your own',
  pairFactor: 'pair',
  pressureKpa: 'p',
  ratedLoadKg: 'rated load',
  referencePressureKpa: 'p of the trade',
  referenceRoadKpa: 'its road',
  referenceSnowKpa: 'its snow',
  riderKg: 'rider',
  rightLoadKg: 'right',
  roadKpa: 'road',
  sectionHeightMm: 'SH',
  sectionWidthMm: 'SN',
  shiftPsi: 'shift',
  sidewallMaxKpa: 'sidewall maximum',
  sidewallMinKpa: 'sidewall minimum',
  snowKpa: 'on snow',
  softerKpa: 'softer p',
  softerLoadKg: 'its load',
  speedFactor: 'by speed',
  speedKmh: 'speed',
  startKpa: 'start',
  stepKpa: 'step',
  steps: 'steps',
  stiffnessKgPerMm: 'Kz',
  strikeFloorKpa: 'rim',
  tireWidthMm: 'w',
  treadWidthMm: 'width',
  wantedKpa: 'wanted',
  wheelLoadKg: 'load',
  windowHighKpa: 'high end',
  widthShare: 'k',
  windowLowKpa: 'low end',
};

const UNIT_ENDS: readonly (readonly [string, string])[] = [
  ['KgPerMm', 'kg/mm'],
  ['Percent', '%'],
  ['Kpa', 'kPa'],
  ['Psi', 'psi'],
  ['Kmh', 'km/h'],
  ['Kg', 'kg'],
  ['Mm', 'mm'],
];

const unitOf = (name: string): string => UNIT_ENDS.find(([end]) => name.endsWith(end))?.[1] ?? '';

const PLAIN: ReadonlySet<string> = new Set([
  'aspectPercent',
  'flexShare',
  'groundShare',
  'shiftPsi',
  'speedKmh',
  'steps',
]);

/** Enough figures to follow with pencil and paper, no more. */
const figures = (name: string, value: number): string => {
  if (name === 'deflectionMm' || name === 'stiffnessKgPerMm') return value.toFixed(2);
  if (name === 'deflectionShare' || name === 'dropShare' || name === 'exponent') return value.toFixed(4);
  if (['contactConstant', 'contactFactor', 'dropFactor', 'widthShare'].includes(name)) return value.toFixed(3);
  if (name.endsWith('Factor')) return String(Number(value.toFixed(3)));
  if (PLAIN.has(name)) return String(Number(value.toFixed(2)));
  return value.toFixed(1);
};

const referenceName = `${writeMarking(REFERENCE_RIG.build.tire)} with ${REFERENCE_RIG.loadKg}\u00a0kg on it`;

/** What each step is, and the rule it goes by. */
const STEPS: Record<WorkingStep['code'], readonly [title: string, formula: string]> = {
  wheelLoad: ['The heavier wheel decides', 'the larger of left and right'],
  tireSize: ['Sidewall height from the marking', 'SH = SN · AR / 100'],
  referenceShare: [
    `How far the trade lets a ${referenceName} settle here, as a share of its sidewall`,
    'share = load / (0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c) / SH',
  ],
  targetDeflection: ['The same share of this height', 'δ = share · height'],
  stiffnessNeeded: ['Stiffness that holds the wheel there', 'Kz = load / δ'],
  wantedPressure: ['Pressure that gives this stiffness', 'p = (Kz − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))'],
  tablePressure: ['The table has the same number for every rig', 'wanted = p of the trade'],
  shareOfRoad: [
    `The share of road pressure that the table has on a ${referenceName}`,
    'wanted = road · p of the trade / its road',
  ],
  sidewallOnSnow: [
    'What quads run on snow by their sidewall’s rating',
    'straight lines through 8 → 5, 22 → 15, 44 → 25 psi',
  ],
  fromSnow: ['In the proportion that this ground has to snow', 'wanted = on snow · p of the trade / its snow'],
  classShare: [
    'What the class starts with, and its share for this ground',
    'base = class, low end · share of the ground',
  ],
  makersSteps: ['The maker’s figure, steps of 5 psi down', 'wanted = road − steps · step'],
  trialSteps: ['What is in it, steps up or down', 'wanted = road + steps · step'],
  tradeDrop: [
    'How far the trade lets a tire of this width drop under a rider of 80 kg',
    'from 30/35 psi at 40–45 mm, 25/26.5 at 2.2 in, 23/24 at 2.4 in, 21.5/23 at 2.6 in',
  ],
  dropPressure: ['Pressure at which it drops so far', 'p (psi) = load (lb) · 0.15 · 153.6 / (drop · w^1.5785) − 7.17'],
  bodyWeight: ['A fifth of the weight in pounds, as psi', 'base (psi) = 0.2 · rider (lb)'],
  sidewallMiddle: ['The place in the range on the sidewall', 'from minimum to maximum'],
  nearMaximum: ['Near the maximum', 'wanted = 0.9 · sidewall maximum'],
  adjusted: [
    'With what ground, tube, insert, casing, rim and riding add, told at 24 psi',
    'wanted = base · (1 + shift / 24)',
  ],
  ratedLoad: ['The load against the tire’s rating', 'rated load = load / (by speed · pair)'],
  pressureOnCurve: [
    'Along the tire’s load curve',
    'p = marked p · (rated load / marked load)^(1/n); between two lines n = ln(loads) / ln(pressures)',
  ],
  pressureOnRows: ['Between the rows of the data sheet, in a straight line', 'from the softer row to the firmer'],
  placardRules: ['On the road the placard rules', 'start = road'],
  beadFloor: ['The bead’s floor', 'what the trade holds, or what you hold'],
  ownFloor: ['Your own floor', 'the lowest you accept'],
  flexShare: [
    'How far a sidewall may bend at this speed',
    '0.35 to 40 km/h, 0.25 at 80, 0.15 from 110; straight between',
  ],
  flexFloor: [
    'Pressure at which it bends so far',
    'p = (load / (most share · SH) − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))',
  ],
  strikeShare: [
    'How far it may drop before the rim is struck or it folds',
    'the trade’s rear drop · 1.4 (tube 1.15, insert 1.6), 0.1 less on square edges',
  ],
  strikeFloor: [
    'Pressure at which the heavier wheel drops so far',
    'p (psi) = load (lb) · 0.15 · 153.6 / (drop · w^1.5785) − 7.17',
  ],
  sidewallMinimum: ['The sidewall’s minimum', 'as marked'],
  placardCeiling: ['No firmer than on the road', 'as told'],
  sidewallMaximum: ['The sidewall’s maximum', 'as marked'],
  lastOfCurve: ['The firmest its table speaks of', 'as marked'],
  lowest: ['The lowest it will go to', 'the highest of the floors'],
  start: ['Held between floor and ceiling', 'wanted, not below floor, not above ceiling'],
  windowLow: ['Low end of the window, by the same school and held', 'with the low figure of the ground'],
  windowHigh: ['High end of the window', 'with the high figure of the ground'],
  stiffnessAtStart: ['Stiffness at the start pressure', 'Kz = 0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c'],
  deflectionAtStart: ['How far the wheel settles', 'δ = load / Kz'],
  chord: ['The flat it makes', 'chord = 2·√(OD·δ − δ²)'],
  contactLength: ['Contact length', 'length = k · chord'],
  treadWidth: ['Tread width, measured', 'width = k · SN'],
  groundPressure: ['Pressure on the ground', 'load · 9.80665 / (length · width)'],
  dropAtStart: [
    'How far it drops at the start pressure',
    'drop = 0.15 · load (lb) · 153.6 / ((p (psi) + 7.17) · w^1.5785)',
  ],
  skinPressure: ['It presses with its air and what the casing adds', 'ground pressure = p + casing'],
  ellipse: [
    'An ellipse of that pressure, as long to wide as its chords',
    'area = load · 9.80665 / ground pressure; length² = 4/π · area · chord / (2·√(w·δ − δ²))',
  ],
};

/** Where a figure comes from, in words. */
export function sourceText(source: Source): string {
  switch (source.mark) {
    case 'published':
      return `Published: ${source.reference} (from memory)`;
    case 'commonPractice':
      return 'Common practice, no source';
    case 'exact':
      return 'Exact';
    case 'assumption':
      return 'Our assumption';
    case 'marked':
      return 'From your tire, placard or data sheet';
    case 'measured':
      return 'Measured by you';
    case 'chosen':
      return 'Chosen by you';
  }
}

export interface StepWords {
  readonly title: string;
  readonly formula: string;
  readonly inputs: string;
  readonly result: string;
  readonly source: string;
}

/** Steps whose published rule is in pounds and psi: there the values are put in so. */
const IN_POUNDS: ReadonlySet<WorkingStep['code']> = new Set([
  'bodyWeight',
  'dropPressure',
  'strikeFloor',
  'dropAtStart',
]);

function valueText(code: WorkingStep['code'], name: ValueName, amount: number): string {
  const symbol = SYMBOLS[name];
  if (IN_POUNDS.has(code) && name.endsWith('Kg'))
    return `${symbol} = ${fromCanonical('mass', 'lb', amount).toFixed(1)}\u00a0lb`;
  if (IN_POUNDS.has(code) && name.endsWith('Kpa'))
    return `${symbol} = ${fromCanonical('pressure', 'psi', amount).toFixed(2)}\u00a0psi`;
  const unit = unitOf(name);
  return `${symbol} = ${figures(name, amount)}${unit && `\u00a0${unit}`}`;
}

/** One step of a working as it is read: the rule, the values put in, what comes out, and where the rule is from. */
export function stepWords({ code, inputs, result, source }: WorkingStep, units: Units): StepWords {
  const [title, formula] = STEPS[code];
  const inOwnUnit =
    result.name.endsWith('Kpa') && units.pressure !== 'kPa' && !(IN_POUNDS.has(code) && units.pressure === 'psi')
      ? ` (${pressure(result.value, units)})`
      : '';
  return {
    title,
    formula,
    inputs: (Object.entries(inputs) as [ValueName, number][])
      .map(([name, amount]) => valueText(code, name, amount))
      .join(', '),
    result: valueText(code, result.name, result.value) + inOwnUnit,
    source: sourceText(source),
  };
}
