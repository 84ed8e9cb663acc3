import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { isOver, psi, rehearse, softnessSeen, USUAL_SOFTNESS, type RehearsalInput } from '@dunlinmoss/core';

import { sampleAxle, sampleCase, sampleRig, SAMPLE_RIGS } from '../testing/sampleRig';
import { limpInput } from './limpInput';
import { rehearsalInput } from './rehearsalInput';

const rig = sampleRig();
const tractor = sampleRig({
  family: 'tractor',
  hitchMm: 3_600,
  topSpeedKmh: 40,
  axles: [
    sampleAxle('front', { tireMarking: '480/65R28 136D', roadKpa: 120, trackMm: 1_800, loadRange: 'standard' }),
    sampleAxle('rear', { tireMarking: '600/65R38 153D', roadKpa: 160, trackMm: 1_800, behindMm: 2_700 }),
    sampleAxle('trailer', {
      tireMarking: '600/50R22.5 159D',
      roadKpa: 220,
      trackMm: 1_850,
      behindMm: 4_500,
      driven: false,
    }),
  ],
  loadCases: [
    sampleCase({
      weighed: [
        { position: 'front', part: 'axle', loadKg: 2_600 },
        { position: 'rear', part: 'axle', loadKg: 5_200 },
        { position: 'trailer', part: 'axle', loadKg: 6_400 },
      ],
    }),
  ],
});
const context = (of: RigRow = rig, change: object = {}) => ({
  rig: of,
  tests: [],
  airings: [],
  outTool: { kind: 'stick' as const, tool: undefined },
  inTool: { kind: 'onBoardCompressor' as const, tool: undefined },
  altitudeM: 0,
  withProof: <Asked>(asked: Asked): Asked => asked,
  ...change,
});
const inputFor = (
  code: Parameters<typeof rehearsalInput>[0],
  of: RigRow = rig,
  tests: readonly ProofTestRow[] = [],
): RehearsalInput => {
  const input = rehearsalInput(code, context(of, { tests }));
  if (!input.ok) throw new Error(input.problem.code);
  return input.value;
};

describe('rehearsalInput', () => {
  it('takes a rig as it is loaded: its wheels, what is driven, road pressure, the ground’s number and its floor', () => {
    const { axles, roadKpa, fromKpa, askedKpa, lowKpa } = inputFor('firstBeach');
    expect(axles.map(({ position, wheels, driven }) => [position, wheels, driven])).toEqual(
      rig.axles.map(({ position, wheels, driven }) => [position, wheels, driven]),
    );
    expect(fromKpa).toEqual(roadKpa);
    askedKpa.forEach((kpa, index) => {
      expect(kpa).toBeLessThan(roadKpa[index]!);
      expect(lowKpa[index]!).toBeLessThanOrEqual(kpa);
    });
  });

  it('begins at what the ground before asked for, where a lesson says so', () => {
    const exit = inputFor('softExit');
    exit.fromKpa.forEach((kpa, index) => {
      expect(kpa).toBeLessThan(exit.roadKpa[index]!);
      expect(kpa).toBeGreaterThan(exit.askedKpa[index]!);
    });
  });

  it('has a trailer follow behind its coupling, measured or not', () => {
    expect(inputFor('wetField', tractor).axles.map(({ behindM }) => behindM)).toEqual([0, 2.7, 8.1]);
    expect(inputFor('wetField', { ...tractor, hitchMm: null }).axles[2]!.behindM).toBeCloseTo(8.3, 9);
    expect(inputFor('wetField', tractor).axles[2]!.driven).toBe(false);
  });

  it('refuses what it does not hold for, and says why', () => {
    expect(rehearsalInput('firstBeach', context(SAMPLE_RIGS.bicycle))).toMatchObject({
      ok: false,
      problem: { code: 'otherKind' },
    });
    const trailer = { ...tractor, family: 'farmTrailer' as const, hitchMm: null, axles: tractor.axles.slice(2) };
    expect(rehearsalInput('wetField', context(trailer))).toMatchObject({ ok: false, problem: { code: 'notDriven' } });
    const bare = { ...rig, loadCases: [], axles: rig.axles.map((axle) => ({ ...axle, roadKpa: null })) };
    expect(rehearsalInput('firstBeach', context(bare)).ok).toBe(false);
  });

  it('can be played to its end', () => {
    const lesson = rehearse(inputFor('wetField', tractor), 2);
    let scene = lesson.begin;
    for (let turn = 0; turn < 8 && !isOver(scene.moment); turn++) {
      scene = lesson.take(scene, lesson.choices(scene)[0]!)!;
      if (turn > 3) scene = lesson.take(scene, lesson.choices(scene).at(-1)!) ?? scene;
    }
    expect(isOver(scene.moment)).toBe(true);
  });
});

describe('groundAttempts', () => {
  const test = (kind: string, of: RigRow, setup: object, runs: readonly object[], change: object = {}): ProofTestRow =>
    ({
      id: `${kind} 1`,
      rigId: of.id,
      kind,
      counts: true,
      performedAt: '2026-11-20T10:00:00.000Z',
      details: {
        wheel: 'rear left',
        tireMarking: of.axles[1]!.tireMarking,
        loadRange: of.axles[1]!.loadRange,
        wheelLoadKg: 700,
        widthMm: null,
        gauge: null,
        setup,
        runs,
        note: '',
      },
      ...change,
    }) as unknown as ProofTestRow;
  const climbed = (pressurePsi: number, result: string, setup: object = { slopeDeg: 9, soil: 'drySand' }) =>
    test('climb', rig, setup, [{ pressureKpa: psi(pressurePsi), result, distanceM: null, brokeLoose: null }]);
  const seen = (tests: readonly ProofTestRow[]) => softnessSeen(inputFor('firstBeach', rig, tests));

  it('expects firmer ground after a firm pressure went up, softer after a soft one stopped', () => {
    expect(seen([])).toEqual({ softness: USUAL_SOFTNESS, climbs: 0, ruts: 0 });
    const firmer = seen([climbed(36, 'reached')]);
    expect(firmer).toMatchObject({ climbs: 1, ruts: 0 });
    expect(firmer.softness.shift).toBeLessThan(-0.05);
    expect(seen([climbed(10, 'stopped')]).softness.shift).toBeGreaterThan(0.05);
  });

  it('changes the lesson with it: what stopped on usual sand goes through where 36 psi was climbed with', () => {
    const input = inputFor('firstBeach');
    const firm = inputFor('firstBeach', rig, [climbed(40, 'reached'), climbed(38, 'reached')]);
    const halted = (of: RehearsalInput): number => {
      const lesson = rehearse(of, 3);
      return lesson.expect(lesson.begin, lesson.choices(lesson.begin)[0]!).halted;
    };
    expect(halted(firm)).toBeLessThan(halted(input));
  });

  it('takes nothing from a climb without its angle, on other soil, or left out', () => {
    const none = [
      climbed(36, 'reached', { slopeDeg: null, soil: 'drySand' }),
      climbed(36, 'reached', { slopeDeg: 9, soil: 'heavyClay' }),
      climbed(36, 'reached', { slopeDeg: 9 }),
      { ...climbed(36, 'reached'), counts: false },
    ];
    expect(seen(none)).toMatchObject({ climbs: 0, softness: USUAL_SOFTNESS });
  });

  it('takes the other axle as it was written down, in proportion where it was not', () => {
    const run = { pressureKpa: psi(20), mateKpa: psi(22), result: 'reached', distanceM: null, brokeLoose: null };
    const of = (change: object) =>
      inputFor('firstBeach', rig, [test('climb', rig, { slopeDeg: 9, soil: 'drySand' }, [{ ...run, ...change }])]);
    const written = of({ otherAxleKpa: psi(12) }).attempts[0]!.pressuresKpa;
    expect(written[0]).toBe(psi(12));
    expect(written[1]).toBeCloseTo(psi(21), 9);
    const { askedKpa, attempts } = of({});
    expect(attempts[0]!.pressuresKpa[1]).toBeCloseTo(psi(21), 9);
    expect(attempts[0]!.pressuresKpa[0]).toBeCloseTo((psi(21) * askedKpa[0]!) / askedKpa[1]!, 9);
  });

  it('takes ruts of farm machines on their field', () => {
    const rut = (rutMm: number) =>
      softnessSeen(
        inputFor('wetField', tractor, [test('rut', tractor, {}, [{ pressureKpa: 120, rutMm, lugMm: null }])]),
      );
    expect(rut(150)).toMatchObject({ ruts: 1, climbs: 0 });
    expect(rut(150).softness.shift).toBeGreaterThan(rut(20).softness.shift);
  });
});

describe('limpInput', () => {
  it('allows on pavement what the softest axle’s pressure does everywhere else', () => {
    const input = limpInput(context());
    if (!input.ok) throw new Error(input.problem.code);
    expect(input.value.pressureKpa).toBeLessThan(psi(20));
    expect(input.value.allowedKmh).toBeGreaterThan(10);
    expect(input.value.allowedKmh).toBeLessThan(45);
    expect(input.value.outsideKpaAbs).toBeCloseTo(101.325, 3);
  });
});
