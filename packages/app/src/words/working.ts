import { REFERENCE_RIG, writeMarking, type Source, type ValueName, type WorkingStep } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { pressure } from './format';

const SYMBOLS: Record<ValueName, string> = {
  aspectPercent: 'AR',
  beadFloorKpa: 'bead',
  carcassFactor: 'c',
  chordMm: 'chord',
  contactConstant: 'k',
  contactConstantError: 'spread of k',
  contactLengthMm: 'length',
  deflectionMm: 'δ',
  deflectionShare: 'share',
  flexFloorKpa: 'sidewall',
  groundPressureKpa: 'ground pressure',
  leftLoadKg: 'left',
  lowestKpa: 'floor',
  outerDiameterMm: 'OD',
  pressureKpa: 'p',
  referencePressureKpa: 'p of the trade',
  referenceRoadKpa: 'its road',
  rightLoadKg: 'right',
  roadKpa: 'road',
  sectionHeightMm: 'SH',
  sectionWidthMm: 'SN',
  startKpa: 'start',
  stiffnessKgPerMm: 'Kz',
  treadWidthMm: 'width',
  wantedKpa: 'wanted',
  wheelLoadKg: 'load',
  windowHighKpa: 'high end',
  windowLowKpa: 'low end',
};

const UNIT_ENDS: readonly (readonly [string, string])[] = [
  ['KgPerMm', 'kg/mm'],
  ['Percent', '%'],
  ['Kpa', 'kPa'],
  ['Kg', 'kg'],
  ['Mm', 'mm'],
];

const unitOf = (name: string): string => UNIT_ENDS.find(([end]) => name.endsWith(end))?.[1] ?? '';

/** Enough figures to follow with pencil and paper, no more. */
const figures = (name: string, value: number): string => {
  if (name === 'deflectionMm' || name === 'stiffnessKgPerMm') return value.toFixed(2);
  if (name === 'deflectionShare') return value.toFixed(4);
  if (name.startsWith('contactConstant')) return value.toFixed(3);
  if (name === 'aspectPercent' || name === 'carcassFactor') return String(Number(value.toFixed(2)));
  return value.toFixed(1);
};

const referenceName = `${writeMarking(REFERENCE_RIG.build.tire)} with ${REFERENCE_RIG.loadKg}\u00a0kg on it`;

const TITLES: Record<WorkingStep['code'], string> = {
  wheelLoad: 'The heavier wheel decides',
  tireSize: 'Sidewall height from the marking',
  referenceShare: `How far the trade lets a ${referenceName} settle here, as a share of its sidewall`,
  targetDeflection: 'The same share of this sidewall: equal deflection',
  stiffnessNeeded: 'Stiffness that holds the wheel there',
  wantedPressure: 'Pressure that gives this stiffness',
  tablePressure: 'The table has the same number for every rig',
  shareOfRoad: `The share of road pressure that the table has on a ${referenceName}`,
  placardRules: 'On the road the placard rules',
  floors: 'The lowest it will go to',
  start: 'Held between floor and road pressure',
  windowLow: 'Low end of the window, carried over the same way and held',
  windowHigh: 'High end of the window',
  stiffnessAtStart: 'Stiffness at the start pressure',
  deflectionAtStart: 'How far the wheel settles',
  chord: 'The flat it makes',
  contactLength: 'Contact length',
  groundPressure: 'Pressure on the ground',
};

const FORMULAS: Record<WorkingStep['code'], string> = {
  wheelLoad: 'the larger of left and right',
  tireSize: 'SH = SN · AR / 100',
  referenceShare: 'share = load / (0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c) / SH',
  targetDeflection: 'δ = share · SH',
  stiffnessNeeded: 'Kz = load / δ',
  wantedPressure: 'p = (Kz − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))',
  tablePressure: 'wanted = p of the trade',
  shareOfRoad: 'wanted = road · p of the trade / its road',
  placardRules: 'start = road',
  floors: 'the higher of bead and sidewall',
  start: 'wanted, not below floor, not above road',
  windowLow: 'equal deflection at p of the trade, held',
  windowHigh: 'equal deflection at p of the trade, held',
  stiffnessAtStart: 'Kz = 0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c',
  deflectionAtStart: 'δ = load / Kz',
  chord: 'chord = 2·√(OD·δ − δ²)',
  contactLength: 'length = k · chord',
  groundPressure: 'load · 9.80665 / (length · width)',
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
  }
}

export interface StepWords {
  readonly title: string;
  readonly formula: string;
  readonly inputs: string;
  readonly result: string;
  readonly source: string;
}

/** One step of a working as it is read: the rule, the values put in, what comes out, and where the rule is from. */
export function stepWords({ code, inputs, result, source }: WorkingStep, units: Units): StepWords {
  const value = (name: ValueName, amount: number): string => {
    const unit = unitOf(name);
    return `${SYMBOLS[name]} = ${figures(name, amount)}${unit && `\u00a0${unit}`}`;
  };
  const inOwnUnit =
    result.name.endsWith('Kpa') && units.pressure !== 'kPa' ? ` (${pressure(result.value, units)})` : '';
  return {
    title: TITLES[code],
    formula: FORMULAS[code],
    inputs: (Object.entries(inputs) as [ValueName, number][]).map(([name, amount]) => value(name, amount)).join(', '),
    result: value(result.name, result.value) + inOwnUnit,
    source: sourceText(source),
  };
}
