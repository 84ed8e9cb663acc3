import {
  fromCanonical,
  HANDLING,
  psi,
  SPEED_PAIRS,
  REFERENCE_RIG,
  writeMarking,
  type Source,
  type ValueName,
  type WorkingStep,
} from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { pressure } from './format';

const SYMBOLS: Record<ValueName, string> = {
  addedKpa: 'added',
  aspectPercent: 'AR',
  baseKpa: 'base',
  beadFloorKpa: 'bead',
  behindKpa: 'stays below',
  carcassFactor: 'c',
  casingKpa: 'casing',
  chordMm: 'chord',
  classKpa: 'of the trade',
  classLoadKg: 'usual load',
  contactConstant: 'k',
  contactFactor: 'yours',
  contactLengthMm: 'length',
  deflectionCounts: 'its power',
  deflectionKpa: 'by deflection',
  deflectionMm: 'δ',
  deflectionShare: 'share',
  dirtKpa: 'on dirt',
  dropFactor: 'yours',
  dropKpa: 'by drop',
  dropShare: 'drop',
  exponent: 'n',
  firmerKpa: 'firmer p',
  firmerLoadKg: 'its load',
  flexFloorKpa: 'sidewall',
  flexShare: 'its share',
  gravelKpa: 'on gravel',
  groundPressureKpa: 'ground pressure',
  groundShare: 'share',
  handlingFloorKpa: 'to hold a line',
  highestKpa: 'ceiling',
  leftLoadKg: 'left',
  loadFloorKpa: 'load',
  loadShare: 'by load',
  lowestKpa: 'floor',
  markedKpa: 'marked p',
  markedLoadKg: 'marked load',
  mostShare: 'most at all',
  outerDiameterMm: 'OD',
  ownFloorKpa: 'your own',
  pairFactor: 'pair',
  pastTrade: 'how much further',
  pointKpa: 'by the points',
  pressureKpa: 'p',
  ratedLoadKg: 'rated load',
  referencePressureKpa: 'p of the trade',
  referenceRoadKpa: 'its road',
  referenceSnowKpa: 'its snow',
  riderKg: 'rider',
  rightLoadKg: 'right',
  roadKpa: 'road',
  schoolKpa: 'the default here',
  sectionHeightMm: 'SH',
  sectionWidthMm: 'SN',
  shareCounts: 'its power',
  shareKpa: 'by share',
  shiftPsi: 'shift',
  sidewallMaxKpa: 'sidewall maximum',
  sidewallMinKpa: 'sidewall minimum',
  snowKpa: 'on snow',
  softerKpa: 'softer p',
  softerLoadKg: 'its load',
  speedFactor: 'by speed',
  squaredFactor: 'squared up',
  speedKmh: 'speed',
  startKpa: 'start',
  stepKpa: 'step',
  steps: 'steps',
  stiffnessKgPerMm: 'Kz',
  strikeFloorKpa: 'rim',
  roomKpa: 'room at',
  struckKpa: 'struck at',
  tireWidthMm: 'w',
  trailShare: 'how far to 40 mm',
  treadWidthMm: 'width',
  targetKpa: 'wanted',
  wheelLoadKg: 'load',
  provedKpa: 'proved',
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
  'deflectionCounts',
  'flexShare',
  'groundShare',
  'loadShare',
  'mostShare',
  'pastTrade',
  'shareCounts',
  'trailShare',
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

/** A table of speeds and pressures in a line: `6 psi at 5 km/h, 12 at 20`. */
const pairsText = (pairs: typeof SPEED_PAIRS): string =>
  pairs
    .map(([kmh, kpa], index) => {
      const figure = Math.round(kpa / psi(1));
      return index === 0 ? `${figure} psi at ${kmh} km/h` : `${figure} at ${kmh}`;
    })
    .join(', ');

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
  betweenTheTwo: [
    'Between the two, the road pressure a little more than the deflection',
    'wanted = by deflection^0.4 · by share^0.6; by deflection at least 2 psi',
  ],
  sidewallOnSnow: [
    'What quads run on snow by their sidewall’s rating',
    'straight lines through 8 → 5, 22 → 15, 44 → 25 psi',
  ],
  snowByLoad: ['By its load, gently, and at most 0.8 of the road pressure', 'on snow = base · by load'],
  fromSnow: [
    'Softer ground in the proportion it has to snow; firmer ground between snow and gravel',
    'wanted = on snow · p of the trade / its snow; on gravel √(on snow · 1.4 · 28/36 · road)',
  ],
  classByLoad: [
    'What the class starts with, 3 psi more behind, by the load on this wheel',
    'on dirt = of the trade · (load / usual load)^0.4, at most 0.9 of the maker’s figure',
  ],
  classShare: ['Its share for this ground', 'base = of the trade · share'],
  makersSteps: ['The maker’s figure, steps of 5 psi down', 'wanted = road − steps · step'],
  trialSteps: ['What is in it, steps up or down', 'wanted = road + steps · step'],
  tradePoint: [
    'What a rider of 80 kg starts with on hardpack at this width',
    'straight in the logarithms between 42.5 mm 30/35 psi, 2.2 in 25/26.5, 2.4 in 23/24, 2.6 in 21.5/23, 3.0 in 15/16.5, 4.0 in 8.5/9.3; 1/width below',
  ],
  pointByLoad: [
    'Nearly in proportion to the load',
    'by the points = of the trade · (load / load of the 80 kg rider, 94 kg in all)^0.9',
  ],
  dropOrPoint: [
    'The drop to 32 mm, the points from 40, blended between',
    'base = by drop + (by the points − by drop) · how far to 40 mm',
  ],
  dropPressure: ['Pressure at which it drops so far', 'p (psi) = load (lb) · 0.15 · 153.6 / (drop · w^1.5785) − 7.17'],
  bodyWeight: ['A fifth of the weight in pounds, as psi', 'base (psi) = 0.2 · rider (lb)'],
  sidewallMiddle: ['The place in the range on the sidewall', 'from minimum to maximum'],
  nearMaximum: ['Near the maximum', 'wanted = 0.9 · sidewall maximum'],
  adjusted: [
    'With what ground, tube, insert, casing, rim and riding add: at 24 psi, elsewhere in proportion; on narrow tires as they stand',
    'wanted = base · share + added; share = 1 + shift / 24 from 40 mm on',
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
  figureForSpeed: [
    'What the trade runs on the reference rig at this speed',
    `${pairsText(SPEED_PAIRS)}; straight between`,
  ],
  flexFloor: [
    'The same bend on this wheel, a fifth less off pavement, at most what the default gives it or 0.95 of the road; never past 0.35 of its height',
    'p = share · (load / (its share · SH) − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))',
  ],
  handlingFloor: [
    'With less air a sidewall does not hold a line at this speed',
    `loose ground ${pairsText(HANDLING.loose)}; pavement ${pairsText(HANDLING.paved)}`,
  ],
  roadEvidence: ['On pavement never below what you drive with', 'as you gave it'],
  freeRolling: ['Wheels that only roll, without a data sheet', '80 kPa'],
  strikeFloor: [
    'Where the harder worked wheel drops so much further than at its start that the rim is struck or it folds',
    'p = (base + casing) / how much further − casing; 1.4, with a tube 1.15, an insert 1.6, 0.1 less on square edges',
  ],
  rimTried: [
    'What you tried on an edge or in a ride, carried to this load',
    'each run with room lets it down a step, no lower than was tried; each strike raises it a step',
  ],
  sidewallMinimum: ['The sidewall’s minimum', 'as marked'],
  placardCeiling: ['No firmer than on the road', 'as you gave it'],
  belowRoad: ['Off pavement a little is always let out', 'ceiling = 0.95 · road'],
  hooklessRim: ['A rim without hooks holds no more', '5 bar'],
  rimUnknown: ['Nobody said whether the rim has hooks', '5 bar until somebody does'],
  unreadSidewall: ['No higher before the sidewall is read', 'by width, straight in the logarithms'],
  lowestRidden: ['The lowest that such a tire can be ridden on', 'by width, casing and rim'],
  firstRow: ['Its data sheet promises nothing below its first row', 'as marked'],
  farmBend: [
    'No sidewall is bent further than this',
    'p = (load / (most · SH) − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))',
  ],
  sidewallMaximum: ['The sidewall’s maximum', 'as marked'],
  lastOfCurve: ['The firmest its table speaks of', 'as marked'],
  lowest: ['The lowest it will go to', 'the highest of the floors'],
  proved: ['Proved on this ground, within today’s limits', 'what was proved, not below floor, not above ceiling'],
  start: ['Kept between floor and ceiling', 'wanted, not below floor, not above ceiling nor what it stays below'],
  windowLow: ['Low end of the range, the same way', 'with the low figure of the ground'],
  windowHigh: ['High end of the range', 'with the high figure of the ground'],
  stiffnessAtStart: ['Stiffness at the start pressure', 'Kz = 0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c'],
  deflectionAtStart: ['How far the wheel settles', 'δ = load / Kz'],
  chord: ['The flat it makes', 'chord = 2·√(OD·δ − δ²)'],
  contactLength: ['Contact length; below 15 psi a print squares up', 'length = k · chord · squared up'],
  treadWidth: ['Tread width, measured', 'width = k · SN · squared up'],
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
const IN_POUNDS: ReadonlySet<WorkingStep['code']> = new Set(['bodyWeight', 'dropPressure', 'dropAtStart']);

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
