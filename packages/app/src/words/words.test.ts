import { rig as rigSchema, fieldProblems } from '@dunlinmoss/contract';
import { ofHundred } from './format';
import {
  AIR_TOOLS,
  CAUTION_CODES,
  FAMILIES,
  familyOf,
  GROUND_CODES,
  groundOf,
  groundsFor,
  MODIFIER_CODES,
  modifiersFor,
  LOAD_POSITIONS,
  planGround,
  psi,
  questionOf,
  SCHOOLS,
  schoolsFor,
  type Finding,
  type FindingCode,
  type GroundCode,
  type GroundPlan,
  type LoadPositionCode,
  type PlanInput,
  type PlanProblem,
  type Remark,
} from '@dunlinmoss/core';
import { gaugeErrorKpa, marginInputs, planInput } from '@dunlinmoss/domain';

import { FIRST_UNITS, type Units } from '../settings/preferences';
import { SAMPLE_RIGS, sampleBicycle, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { cautionText, speedGuide } from './cautions';
import { FAMILY_WORDS, LOAD_POSITION_WORDS } from './families';
import { findingWords } from './findings';
import { GROUND_WORDS } from './grounds';
import { aloneText, cutText, decidedBy, floorText, noPlanText, setPressureText } from './limits';
import { readBack } from './marking';
import { dayText, MODIFIER_WORDS } from './modifiers';
import { waitingText } from './noPlan';
import { fieldText } from './problems';
import { questionText } from './questions';
import { isAlarming, printNote, remarkText } from './remarks';
import { SCHOOL_WORDS } from './schools';
import { contactText } from './proof/tape';
import { TOOL_WORDS } from './tools';
import { stepWords } from './working';

const units: Units = FIRST_UNITS;
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');
const loaded = (loadKg: number) =>
  sampleCase({
    weighed: (['front', 'rear'] as const).map((position) => ({ position, part: 'axle', loadKg: 2 * loadKg })),
  });
const input = (ground: GroundCode, loadKg = 600, change: Partial<PlanInput> = {}): PlanInput => {
  const result = planInput(sampleRig({ loadCases: [loaded(loadKg)] }), [], { ground, modifiers: [], speedKmh: null });
  if (!result.ok) throw new Error(result.problem.code);
  return { ...result.value, ...change };
};
const planOf = (...args: Parameters<typeof input>): GroundPlan => {
  const result = planGround(input(...args));
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};

/** Every ground of a rig of every kind, by every school, with all that can be said of the day. */
const everyPlan = (): GroundPlan[] =>
  Object.values(SAMPLE_RIGS).flatMap((rig) => {
    const family = familyOf(rig.family);
    return groundsFor(family).flatMap((ground) =>
      schoolsFor(family).flatMap((school) => {
        const modifiers = modifiersFor(family.kind, groundOf(ground));
        const asked = planInput({ ...rig, school }, [], { ground, modifiers, speedKmh: null, stuckAccepted: true });
        const plan = asked.ok ? planGround(asked.value) : asked;
        return plan.ok ? [plan.value] : [];
      }),
    );
  });

describe('cautionText', () => {
  it('has a sentence for every caution of every ground of every kind', () => {
    const met = new Set<string>();
    for (const plan of everyPlan()) {
      for (const code of plan.cautions) {
        met.add(code);
        expect(cautionText(code, plan, units)).toMatch(/^[A-Z].*\.$/);
      }
    }
    // The rest want a rig that is wrong in some way.
    const rest = [
      'notForHighway',
      'fasterThanGuide',
      'stiffCarcass',
      'tubePinch',
      'sustainedTorque',
      'mixedTires',
      'loadUnknown',
    ];
    expect(CAUTION_CODES.filter((code) => !met.has(code))).toEqual(CAUTION_CODES.filter((code) => rest.includes(code)));
    for (const code of CAUTION_CODES) expect(cautionText(code, planOf('softSand'), units)).toMatch(/^[A-Z].*\.$/);
  });

  it('puts the numbers of the plan in', () => {
    const plan = planOf('softSand');
    expect(plain(cautionText('speedAndHeat', plan, units))).toBe(
      'Hold 30 km/h or less. Soft tires at speed overheat and fail.',
    );
    expect(plain(cautionText('clearanceLost', plan, units))).toBe(
      'You stand 19 mm lower in front and 19 mm lower at the rear.',
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
    const guide = speedGuide(planOf(ground), units);
    expect(guide && plain(guide)).toBe(text);
  });
});

describe('the floor and what it holds', () => {
  it('names the bead, its locks or the heat', () => {
    expect(floorText(planOf('verySoftSand').axles[0]!, false)).toContain('bead may leave the rim');
    expect(floorText(planOf('verySoftSand', 300).axles[0]!, true)).toContain('locks');
    expect(floorText(planOf('softSand').axles[0]!, false)).toContain('bends the sidewall too far');
    expect(floorText(planOf('gravel', 300).axles[0]!, false)).toContain('does not hold a line');
  });

  it('says what the school alone would have', () => {
    expect(aloneText(planOf('softSand').axles[0]!, 'deflectionAndShare', units)).toBeUndefined();
    expect(plain(aloneText(planOf('verySoftSand', 500).axles[0]!, 'deflectionAndShare', units)!)).toMatch(
      /^by load, tire and road pressure alone: \d+ psi$/,
    );
    expect(
      aloneText({ ...planOf('softSand').axles[0]!, clampedBy: 'bead', targetKpa: -3 }, 'equalDeflection', units),
    ).toBe('by load and tire alone: no air at all');
  });

  it('speaks up when what was set lies outside', () => {
    const axle = planOf('verySoftSand').axles[0]!;
    expect(setPressureText(axle, psi(12), units)).toBeUndefined();
    expect(setPressureText(axle, psi(36), units)).toBeUndefined();
    expect(setPressureText(axle, undefined, units)).toBeUndefined();
    expect(plain(setPressureText(axle, psi(11), units)!)).toContain('Below the floor of 12 psi');
    expect(plain(setPressureText(axle, psi(40), units)!)).toContain('Above the road pressure of 36 psi');
  });

  it('says why there is no number, with what it would take', () => {
    const problem = (change: Partial<PlanInput>, ground: GroundCode = 'gravel', loadKg = 600): string => {
      const result = planGround(input(ground, loadKg, change));
      return result.ok ? '' : plain(noPlanText(result.problem, 'car', units));
    };
    const axles = (change: object) => input('gravel').axles.map((axle) => ({ ...axle, ...change }));
    expect(problem({ ownFloorKpa: psi(45) })).toMatch(/^Front axle: .* 45 psi, .* 36 psi/);
    expect(problem({ axles: axles({ roadKpa: psi(14), leftLoadKg: 900 }) })).toMatch(
      /^Front axle: no safe pressure\. 900 kg .* needs \d+ psi/,
    );
    expect(problem({ axles: axles({ minKpa: psi(40) }) })).toContain('minimum of 40 psi is above');
    expect(problem({ axles: axles({ maxKpa: psi(30) }) })).toContain(
      "36 psi is above the sidewall's maximum of 30 psi",
    );
    expect(problem({ axles: axles({ roadKpa: null }) }, 'pavement')).toContain('it is missing');
    expect(problem({ speedKmh: 250 })).toContain('made for 190 km/h at the most, and 250 km/h');
    expect(problem({}, 'pavement', 1300)).toContain('its tire carries 1120 kg at the most');
    expect(problem({ axles: axles({ roadKpa: psi(15) }) }, 'pavement')).toMatch(
      /needs \d+ psi at this speed, above the road pressure of 15 psi/,
    );
    expect(problem({ ground: 'bikePark' })).toContain('Choose another ground');
  });

  it('says what a rig would have to tell before any school can answer', () => {
    const asked = planInput(
      {
        ...SAMPLE_RIGS.farm,
        axles: [...SAMPLE_RIGS.farm.axles].map((axle) => ({ ...axle, tireMarking: '480/80R50', roadKpa: null })),
      },
      [],
      {
        ground: 'lane',
        modifiers: [],
        speedKmh: null,
      },
    );
    const plan = asked.ok ? planGround(asked.value) : asked;
    expect(!plan.ok && noPlanText(plan.problem as PlanProblem, 'farm', units)).toContain('rows of the data sheet');
  });
});

describe('readBack', () => {
  it.each([
    ['245/75R16 111T', true, 'section 245 mm, sidewall 75 %, 16 in rim, carries 1090 kg at 190 km/h'],
    ['31x10.50-15', true, 'section 267 mm, sidewall 76 %, 15 in rim, bias'],
    ['7.50R16', true, 'section 191 mm, sidewall taken as high as the section is wide, 16 in rim'],
    ['VF380/90R46 173D', true, 'section 380 mm, sidewall 90 %, 46 in rim, VF, carries 6500 kg at 65 km/h'],
    [
      '480/80R50 159A8/B',
      true,
      'section 480 mm, sidewall 80 %, 50 in rim, carries 4375 kg at 40 km/h, 4375 kg at 50 km/h',
    ],
    [
      'LT285/70R17 121/118Q E',
      true,
      'section 285 mm, sidewall 70 %, 17 in rim, carries 1450 kg alone at 160 km/h, 1320 kg as one of a pair, load range E',
    ],
    ['29x2.40', true, '61 mm wide by its name, 622 mm bead seat (29 in, 28 in, 700C)'],
    ['AT25x8-12 ***', true, 'section 203 mm, sidewall 81 %, 12 in rim, bias, 3 stars, 6 ply'],
    [
      '800/70R32 CFO 182A8',
      true,
      'section 800 mm, sidewall 70 %, 32 in rim, for cyclic field work, carries 8500 kg at 40 km/h',
    ],
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
    '480/80R50 159D/B',
    '16.9-30 60PR',
    '26x1 3/8',
    '650x47',
    '42-600',
  ])('%p: says what is expected', (marking) => {
    const back = readBack(marking, units);
    expect(back.ok).toBe(false);
    expect(back.text).toMatch(/[Ee]xpected|Copy|like|letter/);
  });
});

describe('fieldText', () => {
  const problemsOf = (change: object) => {
    const checked = rigSchema.safeParse({
      id: 'x',
      revision: 0,
      family: 'fourWheel',
      name: '',
      axles: [],
      ...change,
    });
    return checked.success ? [] : fieldProblems(checked.error);
  };

  it('tells a bound in the unit of the person', () => {
    const field = { path: '/axles/0/roadKpa', code: 'too_big', message: '', limit: 700 };
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
  it('has words for every step of every plan, and no empty place', () => {
    for (const plan of everyPlan()) {
      for (const step of plan.axles.flatMap(({ working }) => working)) {
        const { inputs, ...words } = stepWords(step, units);
        for (const text of Object.values(words)) expect(text).not.toMatch(/undefined|NaN|^$/);
        expect(inputs).not.toMatch(/undefined|NaN/);
      }
    }
  });

  it('puts values into a rule of pounds and psi in pounds and psi', () => {
    const rig = { ...sampleBicycle(), school: 'fifteenDrop' } as const;
    const asked = planInput(rig, [], { ground: 'hardpack', modifiers: [], speedKmh: null });
    const plan = asked.ok ? planGround(asked.value) : asked;
    if (!plan.ok) throw new Error(plan.problem.code);
    const steps = plan.value.axles[0]!.working.map((step) => stepWords(step, units));
    const pressureStep = steps.find(({ title }) => title === 'Pressure at which it drops so far')!;
    expect(plain(pressureStep.inputs)).toMatch(/^load = 90\.\d lb, w = 61\.0 mm, drop = 0\.1500$/);
    expect(plain(pressureStep.result)).toMatch(/^base = 1\d\.\d\d psi$/);
  });

  it('can be followed with pencil and paper', () => {
    const steps = planOf('softSand').axles[0]!.working.map((step) => stepWords(step, units));
    const settle = steps.find(({ title }) => title === 'How far the wheel settles')!;
    expect(plain(settle.inputs)).toMatch(/^load = 600\.0 kg, Kz = 15\.\d\d kg\/mm$/);
    expect(plain(settle.result)).toMatch(/^δ = 38\.\d\d mm$/);
  });
});

describe('the schools in words', () => {
  it('tell each apart, with who holds it and where it breaks', () => {
    const texts = SCHOOLS.map(({ code }) => SCHOOL_WORDS[code]);
    expect(new Set(texts.map(({ name }) => name)).size).toBe(SCHOOLS.length);
    for (const { who, right, breaks } of texts)
      expect(`${who}${right}${breaks}`).toMatch(/^[A-Z].*Right .*Breaks .*\.$/);
  });

  it('say which limit cut one off', () => {
    const [axle] = planOf('verySoftSand', 1000, {}).axles;
    const table = axle!.schools.find(({ code }) => code === 'fixedTable')!;
    if (!table.ok) throw new Error('silent');
    expect(cutText(table, units)).toBe('asks 12, cut off by load at speed');
    expect(cutText({ ...table, clampedBy: null }, units)).toBeUndefined();
    expect(cutText({ ...table, targetKpa: -3 }, units)).toContain('asks no air');
  });
});

describe('what stands beside a number', () => {
  it('is said in a sentence, every remark', () => {
    const remarks: readonly Remark[] = [
      { code: 'groundsOnFloor', floor: 'bead', grounds: ['snow', 'softSand', 'verySoftSand'] },
      { code: 'schoolsApart', softest: 'fixedTable', softestKpa: psi(16), firmest: 'shareOfRoad', firmestKpa: psi(29) },
      { code: 'bendUnlikely', deflectionShare: 0.55, mostShare: 0.28 },
      { code: 'gainsLess', lessShare: 0.4 },
      { code: 'roadTooLow', roadKpa: psi(22), neededKpa: psi(30) },
      { code: 'ratingUnread', needs: 'pressureBesideLoad', roadLoadKg: 3000 },
      { code: 'practiceLower', lowKpa: psi(18), highKpa: psi(30), floor: 'heatAndSpeed', speedKmh: 5 },
      { code: 'softerOnCorrugations', lowKpa: psi(24), highKpa: psi(28), speedKmh: 60 },
      { code: 'noAirNear', homeKmh: 30, raisedKpa: psi(24), raisedForKmh: 60, bogChance: 0.4 },
      { code: 'noAirNear', homeKmh: 80, raisedKpa: null, raisedForKmh: 60, bogChance: null },
    ];
    for (const remark of remarks) expect(remarkText(remark, 'car', units)).toMatch(/^[A-Z].*\.$/);
    expect(remarkText(remarks[0]!, 'car', units)).toBe(
      'Snow, soft sand and very soft or steep sand end on this floor; bead locks or a lower floor of your own open more.',
    );
    expect(remarkText(remarks[0]!, 'quad', units)).toContain('floats already');
    expect(remarks.filter(isAlarming).map(({ code }) => code)).toEqual([
      'bendUnlikely',
      'roadTooLow',
      'noAirNear',
      'noAirNear',
    ]);
    expect(plain(remarkText(remarks[8]!, 'car', units))).toContain('stuck here 40 % of the time');
  });

  it('says under a soft print of a car, unless its own was measured, that it squares up, by estimate', () => {
    const [soft, firm] = [planOf('verySoftSand', 400, {}), planOf('gravel')];
    expect(soft.axles[0]!.startKpa).toBeLessThan(psi(15));
    expect(printNote(soft, units)).toContain('squares up, longer and wider');
    expect(printNote(firm, units)).toBeNull();
    expect(printNote({ ...soft, family: 'tractor' }, units)).toBeNull();
    expect(printNote({ ...soft, axles: [{ ...soft.axles[0]!, own: {} as never }] }, units)).toBeNull();
  });

  it('names the deciding figure in plain words', () => {
    const by = (...args: Parameters<typeof planOf>): string => {
      const plan = planOf(...args);
      return decidedBy(plan.axles[0]!, plan.school);
    };
    expect(by('pavement')).toBe('your road pressure');
    expect(by('softSand')).toContain('what the trade runs');
    expect(by('verySoftSand', 400)).toContain('for the bead');
  });
});

describe('what is said of the day', () => {
  it('stands in one line', () => {
    expect(dayText([], null, units)).toBe('An ordinary day');
    expect(plain(dayText(['heat', 'steep'], 50, units))).toBe('Hot day, steep, 50 km/h needed');
  });

  it('has a name for everything, and none twice', () => {
    const names = MODIFIER_CODES.map((code) => MODIFIER_WORDS[code].name);
    expect(new Set(names).size).toBe(MODIFIER_CODES.length);
  });
});

describe('how sure it is', () => {
  it('never rounds up to a certainty', () => {
    expect(ofHundred(0)).toBe('100 of 100');
    expect(ofHundred(0.0001)).toBe('99 of 100');
    expect(ofHundred(0.021)).toBe('97 of 100');
  });

  it('goes by how the load is known and by the gauge', () => {
    const asked = input('softSand');
    const plan = planOf('softSand');
    const [front, rear] = marginInputs({ input: asked, plan, standings: ['weighed', 'estimated'], gaugeKpa: 5, units });
    expect(front!.spreads).toMatchObject({ loadShare: 0.02, gaugeKpa: 5, widthShare: 0.02 });
    expect(rear!.spreads.loadShare).toBe(0.1);
    expect(front!.setKpa).toBeCloseTo(psi(16), 9);
    expect(gaugeErrorKpa(undefined, plan, units)).toBe(7);
    const gauge = { fromKpa: 0, fullScaleKpa: 250, gradePercent: 1.6, comparisons: [] };
    expect(gaugeErrorKpa(gauge as never, plan, units)).toBe(4);
  });
});

describe('contactText', () => {
  it('never claims to be surer than a tape is', () => {
    expect(contactText({ contactConstant: 0.64, standardError: 0.0001 })).toBe('0.64 ± 0.01 of the chord');
    expect(contactText({ contactConstant: 0.64 })).toContain('a third reading');
    expect(contactText({})).toBeUndefined();
  });
});

describe('GROUND_WORDS', () => {
  it('names every ground differently', () => {
    expect(new Set(GROUND_CODES.map((code) => GROUND_WORDS[code].name)).size).toBe(GROUND_CODES.length);
  });
});

describe('findingWords', () => {
  const every: Record<FindingCode, Finding> = {
    overTire: { code: 'overTire', position: 'front', loadKg: 1200, mostKg: 1090 },
    overAtPressure: {
      code: 'overAtPressure',
      position: 'rear',
      at: 'road',
      pressureKpa: psi(28),
      loadKg: 1000,
      carriesKg: 900,
      extrapolated: true,
      neededKpa: psi(33),
    },
    belowFirstRow: { code: 'belowFirstRow', position: 'trailer', at: 'present', pressureKpa: 80, firstKpa: 120 },
    tooFast: { code: 'tooFast', position: 'rear', speedKmh: 60, topKmh: 50 },
    overAxleRating: { code: 'overAxleRating', position: 'rear2', loadKg: 9000, ratingKg: 8000 },
    uneven: { code: 'uneven', position: 'front', leftKg: 500, rightKg: 620, measured: true },
    mixedConstruction: { code: 'mixedConstruction', radial: 'front', bias: 'rear' },
    drivenDiameters: { code: 'drivenDiameters', front: 'front', rear: 'rear', frontMm: 776, rearMm: 860 },
    rimWidth: { code: 'rimWidth', position: 'front', rimInnerMm: 22, tireMm: 61, lowMm: 25, highMm: 30 },
    pressureOutsideSidewall: {
      code: 'pressureOutsideSidewall',
      position: 'front',
      at: 'road',
      pressureKpa: psi(60),
      limit: 'max',
      limitKpa: psi(51),
    },
    noGaugeReads: { code: 'noGaugeReads', position: 'front', pressureKpa: psi(8) },
    partsDontSum: { code: 'partsDontSum', sumKg: 2400, wholeKg: 2500, toleranceKg: 25 },
  };

  it.each(Object.values(every).map((finding) => [finding.code, finding] as const))(
    'says what is wrong and what to do: %s',
    (_, finding) => {
      const { what, todo } = findingWords(finding, 'car', units);
      for (const text of [what, todo]) {
        expect(text).toMatch(/^[A-Z0-9].*\.$/);
        expect(text).not.toMatch(/undefined|NaN/);
      }
    },
  );

  it('puts the number that would do', () => {
    expect(plain(findingWords(every.overAtPressure, 'car', units).todo)).toBe(
      'Inflate to 33 psi before the road, or unload.',
    );
    const never = { ...every.overAtPressure, neededKpa: null } as Finding;
    expect(findingWords(never, 'car', units).todo).toContain('No pressure carries it');
  });
});

describe('questionText', () => {
  it('asks with the likely slip', () => {
    const question = questionOf(80, { low: 400, high: 18_000 }, [])!;
    expect(plain(questionText('mass', question, units))).toBe(
      '80 kg here? Likely is 400 kg to 18000 kg. Did you mean 800 kg? Check the decimal point.',
    );
    const metres = questionOf(2.85, { low: 1800, high: 5000 }, [1000])!;
    expect(plain(questionText('length', metres, units))).toContain('2.85 mm here?');
    expect(plain(questionText('length', metres, units))).toContain('Did you mean 2850 mm? Check another unit.');
  });
});

describe('waitingText', () => {
  it('says what is missing', () => {
    const doubtful = { code: 'doubtfulRoad', position: 'rear', pressureKpa: psi(240) } as const;
    expect(plain(waitingText(doubtful, 'fourWheel', units))).toMatch(/^Rear axle: 240 psi .*Which is it\?$/);
    expect(
      waitingText({ code: 'loads', problem: { code: 'noSpacing', body: 'vehicle' } }, 'fourWheel', units),
    ).toContain('hub to hub');
  });
});

describe('the words of every registry', () => {
  it.each([
    ['families', FAMILIES.map(({ code }) => FAMILY_WORDS[code].name)],
    ['places', Object.keys(LOAD_POSITIONS).map((code) => LOAD_POSITION_WORDS[code as LoadPositionCode])],
    ['tools', AIR_TOOLS.map(({ code }) => TOOL_WORDS[code].name)],
  ])('name each of the %s', (_, names) => {
    expect(names.every((name) => name.length > 2)).toBe(true);
  });

  it('call no two families or tools alike', () => {
    for (const names of [
      FAMILIES.map(({ code }) => FAMILY_WORDS[code].name),
      AIR_TOOLS.map(({ code }) => TOOL_WORDS[code].name),
    ]) {
      expect(new Set(names).size).toBe(names.length);
    }
  });
});
