import { rig as rigSchema, fieldProblems } from '@dunlinmoss/contract';
import {
  GROUND_CODES,
  planGround,
  psi,
  readMarking,
  type GroundCode,
  type GroundPlan,
  type PlanInput,
} from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { cautionText, speedGuide } from './cautions';
import { GROUND_WORDS } from './grounds';
import { floorText, heldText, noPlanText, setPressureText } from './limits';
import { readBack } from './marking';
import { fieldText } from './problems';
import { contactText } from './tape';
import { stepWords } from './working';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');
const reading = readMarking('265/65R17 112T');
if (!reading.ok) throw new Error('265/65R17 112T');
const input = (ground: GroundCode, loadKg = 600, change: Partial<PlanInput> = {}): PlanInput => ({
  ground,
  beadLocks: false,
  stuckAccepted: false,
  axles: (['front', 'rear'] as const).map((position) => ({
    position,
    tire: reading.value,
    loadRange: 'standard',
    leftLoadKg: loadKg,
    rightLoadKg: loadKg,
    placardKpa: psi(36),
  })),
  ...change,
});
const planOf = (...args: Parameters<typeof input>): GroundPlan => {
  const result = planGround(input(...args));
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};

describe('cautionText', () => {
  it('has a sentence for every caution of every ground', () => {
    for (const ground of GROUND_CODES) {
      const plan = planOf(ground);
      for (const code of plan.cautions) expect(cautionText(code, plan, units)).toMatch(/^[A-Z].*\.$/);
    }
  });

  it('puts the numbers of the plan in', () => {
    const plan = planOf('softSand');
    expect(plain(cautionText('speedAndHeat', plan, units))).toBe(
      'Hold 30 km/h or less. Soft tires at speed overheat and fail.',
    );
    expect(plain(cautionText('clearanceLost', plan, units))).toBe(
      'You stand 19 mm lower in front and 19 mm lower in the rear.',
    );
  });
});

describe('speedGuide', () => {
  it.each([
    ['softSand', '30 km/h'],
    ['forestMud', '25–40 km/h'],
    ['stuck', 'walking pace'],
    ['pavement', undefined],
  ] as const)('%s: %s', (ground, text) => {
    const guide = speedGuide(planOf(ground));
    expect(guide && plain(guide)).toBe(text);
  });
});

describe('the floor and what it holds', () => {
  it('names the bead, the bead locks or the sidewall', () => {
    expect(floorText(planOf('softSand').axles[0]!, false)).toContain('bead may leave the rim');
    expect(floorText(planOf('softSand', 300, { beadLocks: true }).axles[0]!, true)).toContain('bead locks');
    expect(floorText(planOf('softSand', 1000).axles[0]!, false)).toContain('35 %');
  });

  it('says what equal deflection asked for', () => {
    expect(heldText(planOf('softSand').axles[0]!, units)).toBeUndefined();
    expect(heldText(planOf('verySoftSand', 500).axles[0]!, units)).toMatch(/asks for \d+; held at the floor/);
    expect(heldText(planOf('gravel', 900).axles[0]!, units)).toContain('stay at road pressure');
  });

  it('speaks up when what was set lies outside', () => {
    const axle = planOf('softSand').axles[0]!;
    expect(setPressureText(axle, psi(12), units)).toBeUndefined();
    expect(setPressureText(axle, psi(36), units)).toBeUndefined();
    expect(setPressureText(axle, undefined, units)).toBeUndefined();
    expect(plain(setPressureText(axle, psi(11), units)!)).toContain('Below the floor of 12 psi');
    expect(plain(setPressureText(axle, psi(40), units)!)).toContain('Above the road pressure of 36 psi');
  });

  it('says why there is no number, with what it would take', () => {
    const result = planGround(input('gravel', 2000));
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(plain(noPlanText(result.problem, units))).toMatch(/^Front: no safe pressure\. 2000 kg .* take \d+ psi/);
  });
});

describe('readBack', () => {
  it.each([
    ['245/75R16 111T', true, 'section 245 mm, sidewall 75 %, 16 in rim, carries 1090 kg alone, up to 190 km/h'],
    ['31x10.50-15', true, 'section 267 mm, sidewall 76 %, 15 in rim, bias'],
    ['7.50R16', true, 'section 191 mm, sidewall taken as high as the section is wide, 16 in rim'],
  ])('%s', (marking, ok, text) => {
    const back = readBack(marking, units);
    expect({ ok: back.ok, text: plain(back.text) }).toEqual({ ok, text });
  });

  it.each([
    '',
    'x',
    '3/75R16',
    '245/5R16',
    '245/75R60',
    '455/120R26',
    '245/75R16 250T',
    '245/75R16 111X',
    'LT285/70R17 118/121Q',
  ])('%p: says what is expected', (marking) => {
    const back = readBack(marking, units);
    expect(back.ok).toBe(false);
    expect(back.text).toMatch(/expected|Copy|like/);
  });
});

describe('fieldText', () => {
  const problemsOf = (change: object) => {
    const checked = rigSchema.safeParse({
      id: 'x',
      revision: 0,
      family: 'fourWheel',
      name: '',
      beadLocks: false,
      axles: [],
      ...change,
    });
    return checked.success ? [] : fieldProblems(checked.error);
  };

  it('tells a bound in the unit of the person', () => {
    const field = { path: '/axles/0/placardKpa', code: 'too_big', message: '', limit: 700 };
    expect(plain(fieldText(field, units))).toBe('Expected 102 psi or less. Check the unit.');
    expect(
      plain(fieldText({ ...field, path: '/x/leftLoadKg', code: 'too_small', limit: 50 }, { ...units, mass: 'lb' })),
    ).toBe('Expected 110 lb or more. Check the unit.');
  });

  it('tells an empty name', () => {
    const name = problemsOf({}).find(({ path }) => path === '/name')!;
    expect(fieldText(name, units)).toBe('Expected at least a letter or two here.');
  });
});

describe('stepWords', () => {
  it('has words for every step of every ground, and no empty place', () => {
    for (const ground of GROUND_CODES) {
      for (const step of planOf(ground).axles[0]!.working) {
        const words = stepWords(step, units);
        for (const text of Object.values(words)) expect(text).not.toMatch(/undefined|NaN|^$/);
      }
    }
  });

  it('can be followed with pencil and paper', () => {
    const steps = planOf('softSand').axles[0]!.working.map((step) => stepWords(step, units));
    const settle = steps.find(({ title }) => title === 'How far the wheel settles')!;
    expect(plain(settle.inputs)).toMatch(/^load = 600\.0 kg, Kz = 15\.\d\d kg\/mm$/);
    expect(plain(settle.result)).toMatch(/^δ = 38\.\d\d mm$/);
  });
});

describe('contactText', () => {
  it('never claims to be surer than a tape is', () => {
    expect(contactText({ contactConstant: 0.64, standardError: 0.0001 })).toBe('0.64 ± 0.01 of the chord');
    expect(contactText({ contactConstant: 0.64, standardError: null })).toContain('a third reading');
  });
});

describe('GROUND_WORDS', () => {
  it('names every ground differently', () => {
    expect(new Set(GROUND_CODES.map((code) => GROUND_WORDS[code].name)).size).toBe(GROUND_CODES.length);
  });
});
