import { psi } from '../units/units';
import { sampleLesson } from '../testing/sampleLesson';
import { sampleTools } from '../testing/sampleDay';
import { LESSONS, lessonsFor } from './lessons/registry';
import { isOver, rehearse, type Choice, type ChoiceCode, type Rehearsal, type Scene } from './scene';
import { mechanismOf, twinOf, verdictOn } from './verdict';

const of = (choices: readonly Choice[], code: ChoiceCode): Choice => choices.find((choice) => choice.code === code)!;
const codes = (choices: readonly Choice[]): ChoiceCode[] => choices.map(({ code }) => code);
function play(lesson: Rehearsal, ...path: readonly ChoiceCode[]): Scene {
  let scene = lesson.begin;
  for (const code of path) scene = lesson.take(scene, of(lesson.choices(scene), code))!;
  return scene;
}

describe('rehearse', () => {
  const beach = rehearse(sampleLesson(), 3);

  it('is the same place again with the same seed, and another with another', () => {
    const again = rehearse(sampleLesson(), 3);
    expect(play(again, 'drive')).toEqual(play(beach, 'drive'));
    expect(play(rehearse(sampleLesson(), 4), 'drive').drive.atM).not.toBe(play(beach, 'drive').drive.atM);
  });

  it('asks before, when the wheels spin, and where it stands; until it is over', () => {
    expect(codes(beach.choices(beach.begin))).toEqual(['drive', 'letOut', 'letOut', 'around']);
    const spins = play(beach, 'drive');
    expect(spins.moment).toBe('spins');
    expect(codes(beach.choices(spins))).toEqual(['keepOn', 'lift']);
    const stands = play(beach, 'drive', 'lift');
    expect(codes(beach.choices(stands))).toEqual(['drive', 'letOut', 'dig', 'backOut', 'help']);
    const stuck = play(beach, 'drive', 'keepOn');
    expect(stuck).toMatchObject({ moment: 'stuck', wasStuck: true });
    expect(codes(beach.choices(stuck))).not.toContain('backOut');
    const out = play(beach, 'drive', 'keepOn', 'help');
    expect(isOver(out.moment)).toBe(true);
    expect(out.minutes).toBeGreaterThan(beach.lesson.helpMin);
  });

  it('backs out to where it began, its ruts left where they are, and goes through on the right pressure', () => {
    const back = play(beach, 'drive', 'lift', 'backOut');
    expect(back).toMatchObject({ moment: 'edge', pressuresKpa: [psi(36), psi(36)] });
    expect(back.drive.atM).toBe(beach.lesson.startM);
    const softer = beach.choices(back).filter(({ code }) => code === 'letOut');
    expect(beach.take(back, softer.at(-1)!)!.moment).toBe('through');
  });

  it('counts what letting out takes, with these tools', () => {
    const slow = rehearse(sampleLesson('firstBeach', { tools: sampleTools({ pullOverMin: 30 }) }), 3);
    expect(play(slow, 'letOut').minutes - play(beach, 'letOut').minutes).toBeCloseTo(28, 6);
  });

  it('judges by places that look the same: as it is costs more than what the ground asks for', () => {
    const choices = beach.choices(beach.begin);
    const expected = choices.map((choice) => beach.expect(beach.begin, choice));
    const asked = choices.findIndex(({ toKpa }) => toKpa?.[0] === psi(16));
    expect(verdictOn(expected, 0, true)).toMatchObject({ best: asked, luck: null });
    expect(verdictOn(expected, 0, true).costsMin).toBeGreaterThan(5);
    expect(verdictOn(expected, asked, false)).toEqual({ best: asked, costsMin: 0, luck: null });
    expect(expected[asked]!.clean).toBeGreaterThan(0.9);
    expect(expected[0]!.halted).toBeGreaterThan(0.9);
  });

  it('has the same judgement for the same choice however this place turns out', () => {
    const judged = (seed: number) => {
      const lesson = rehearse(sampleLesson(), seed);
      return lesson.choices(lesson.begin).map((choice) => lesson.expect(lesson.begin, choice));
    };
    expect(judged(4)).toEqual(judged(3));
  });

  it('expects what a person saw: on ground they know as firm nothing has to be let out', () => {
    const firm = rehearse(sampleLesson(), 3, { shift: -0.6, scatter: 0.05 });
    expect(play(firm, 'drive').moment).toBe('through');
    const choices = firm.choices(firm.begin);
    const expected = choices.map((choice) => firm.expect(firm.begin, choice));
    expect(verdictOn(expected, 0, false).best).toBe(0);
  });

  it('makes a layer of snow as deep as it takes to stop what is in the tires', () => {
    const snow = rehearse(sampleLesson('readTread'), 1, { shift: 0, scatter: 0.001 });
    expect(snow.lesson.lie.depthM).toBeGreaterThan(0.12);
    expect(play(snow, 'drive').moment).not.toBe('through');
  });

  it.each(LESSONS.map(({ code }) => code))('%s can be played to its end by every first choice', (code) => {
    const lesson = rehearse(sampleLesson(code), 5);
    for (const first of lesson.choices(lesson.begin)) {
      let scene = lesson.take(lesson.begin, first)!;
      for (let turn = 0; turn < 8 && !isOver(scene.moment); turn++) {
        const choices = lesson.choices(scene);
        expect(choices.length).toBeGreaterThan(1);
        scene = lesson.take(scene, choices.at(-1)!)!;
      }
      expect(isOver(scene.moment)).toBe(true);
    }
  });

  it('has a lesson for every kind that can be rehearsed with', () => {
    expect((['car', 'quad', 'farm'] as const).map((kind) => lessonsFor(kind).length)).toEqual([2, 2, 1]);
  });
});

describe('twinOf', () => {
  const choice = (code: ChoiceCode): Choice => ({ code, toKpa: null, pace: 'idle' });
  const expected = (minutes: number) => ({ minutes, clean: 1, halted: 0 });

  it('is the one that costs the least of the others that are driven; none beside one that is not', () => {
    const choices = [choice('drive'), choice('letOut'), choice('dig'), choice('around')];
    const costs = [9, 5, 7, 1].map(expected);
    expect(twinOf(choices, costs, 0)).toBe(1);
    expect(twinOf(choices, costs, 1)).toBe(2);
    expect(twinOf(choices, costs, 3)).toBeNull();
    expect(twinOf([choice('drive'), choice('help')], [1, 2].map(expected), 0)).toBeNull();
  });
});

describe('verdictOn', () => {
  const expected = (minutes: number, halted: number) => ({ minutes, clean: 1, halted });

  it('tells a poor choice that went well, and a good one that did not, for what they are', () => {
    const costs = [expected(40, 0.9), expected(20, 0.1)];
    expect(verdictOn(costs, 0, false)).toEqual({ best: 1, costsMin: 20, luck: 'lucky' });
    expect(verdictOn(costs, 1, true)).toEqual({ best: 1, costsMin: 0, luck: 'unlucky' });
    expect(verdictOn(costs, 0, true).luck).toBeNull();
    expect(verdictOn(costs, 0, null).luck).toBeNull();
  });

  it('makes nothing of what so many places can’t tell apart', () => {
    expect(verdictOn([expected(20, 0), expected(21.5, 0)], 1, false).costsMin).toBe(0);
    expect(verdictOn([expected(20, 0), expected(24, 0)], 1, false).costsMin).toBe(4);
  });
});

describe('mechanismOf', () => {
  const beach = rehearse(sampleLesson(), 3);
  const spins = play(beach, 'drive');
  const [kept, lifted] = (['keepOn', 'lift'] as const).map((code) =>
    beach.take(spins, of(beach.choices(spins), code)),
  ) as [Scene, Scene];

  it('says by what two runs of one place differ, from either side', () => {
    expect(mechanismOf(kept, lifted)).toMatchObject({ code: 'spun', spunS: kept.run!.spunS });
    expect(mechanismOf(lifted, kept)).toMatchObject({ code: 'spared', dugMm: 1000 * lifted.run!.dugM });
    const through = play(rehearse(sampleLesson('firstBeach', { fromKpa: [psi(14), psi(14)] }), 3), 'drive');
    expect(mechanismOf(through, through)).toEqual({ code: 'same' });
    expect(mechanismOf(kept, { ...lifted, run: null })).toBeNull();
  });

  it('tells how deep they sank where neither dug, and what speed carries where that differs', () => {
    const softer = beach.take(beach.begin, beach.choices(beach.begin)[2]!)!;
    const asItIs = { ...spins, run: { ...spins.run!, spunS: 0 } };
    expect(mechanismOf(asItIs, softer)).toMatchObject({ code: 'sank' });
    const exit = rehearse(sampleLesson('softExit', { fromKpa: [psi(18), psi(18)] }), 2);
    const [idle, run] = exit.choices(exit.begin).map((choice) => exit.take(exit.begin, choice)!);
    // 30 km/h carry it 3.5 m up. Exact: v²/2g.
    expect(mechanismOf(run!, idle!)).toMatchObject({ code: 'speed', mine: true });
    expect((mechanismOf(run!, idle!) as { heightM: number }).heightM).toBeCloseTo(3.51, 2);
  });
});
