import { KINDS } from '../families/family';
import { FAMILIES } from '../families/registry';
import { GROUNDS, groundOf, groundsFor } from '../grounds/registry';
import type { Ground } from '../grounds/ground';
import { figuresFor, isLike, stepsFor } from '../grounds/ground';
import { bicycleAxles, sampleAxle } from '../testing/samplePlan';
import type { Modifier } from './modifier';
import { MODIFIERS, modifiersFor, modifiersOn } from './registry';

const all: readonly Modifier[] = MODIFIERS;

describe('the registry of modifiers', () => {
  it('asks for what some ground is like that its kinds meet', () => {
    for (const { code, kinds, on } of all) {
      if (!on) continue;
      const met = FAMILIES.some(
        (family) => kinds.includes(family.kind) && groundsFor(family).some((each) => isLike(groundOf(each), on)),
      );
      expect([code, on, met]).toEqual([code, on, true]);
    }
  });

  it('has something to do, or a caution that speaks of it', () => {
    const silent = all.filter(
      ({ shift, startAt, speedShare, highTorque }) => !shift && !startAt && !speedShare && !highTorque,
    );
    expect(silent.map(({ code }) => code)).toEqual(['seedbed', 'farFromAir']);
  });

  it('keeps low below start below high', () => {
    for (const { shift } of all) {
      if (!shift) continue;
      expect(shift.low).toBeLessThanOrEqual(shift.start);
      expect(shift.start).toBeLessThanOrEqual(shift.high);
    }
  });
});

describe('modifiersFor', () => {
  it('offers what a person can say, never what the rig tells by itself', () => {
    expect(modifiersFor('bicycle', groundOf('rock'))).toEqual(['wet', 'fast', 'gentle']);
    expect(modifiersFor('farm', groundOf('fieldWet'))).toEqual(['pullingHard', 'seedbed']);
    expect(modifiersFor('car', groundOf('softSand'))).toEqual(['heat', 'steep', 'towing', 'farFromAir']);
  });

  it('has nothing to say on pavement', () => {
    for (const kind of KINDS) expect(modifiersFor(kind, groundOf('pavement'))).toEqual([]);
  });
});

describe('modifiersOn', () => {
  const [front] = bicycleAxles('29x2.40', 94, 0.375, { tube: true, casing: 'thin', rimInnerMm: 21 });
  it('counts what was chosen and what the rig tells', () => {
    expect(modifiersOn('bicycle', groundOf('rock'), ['fast', 'heat'], front!)).toEqual([
      'fast',
      'tube',
      'thinCasing',
      'narrowRim',
    ]);
  });

  it('leaves a car alone with its tubes', () => {
    expect(modifiersOn('car', groundOf('softSand'), [], sampleAxle({ tube: true }))).toEqual([]);
  });
});

describe('the registry of grounds', () => {
  it('gives every kind the figures that its school goes by', () => {
    for (const ground of GROUNDS as readonly Ground[]) {
      for (const kind of ground.kinds) {
        const figures = figuresFor(ground, kind, 'front');
        expect([ground.code, kind, figures !== null]).toEqual([ground.code, kind, kind !== 'farm' && !ground.paved]);
        if (kind === 'motorcycle' && !ground.paved) expect(ground.makerSteps).toBeGreaterThan(0);
        if (!figures) continue;
        expect(figures.low).toBeLessThanOrEqual(figures.start);
        expect(figures.start).toBeLessThanOrEqual(figures.high);
      }
    }
  });

  it('tells steps up and down on bicycles alone, the rear its own where it differs', () => {
    expect(stepsFor(groundOf('mud'), 'motorcycle', 'front')).toBeNull();
    expect(stepsFor(groundOf('climb'), 'bicycle', 'front')!.start).toBe(0);
    expect(stepsFor(groundOf('climb'), 'bicycle', 'behind')!.start).toBe(-3);
    expect(stepsFor(groundOf('mud'), 'bicycle', 'behind')).toBe(stepsFor(groundOf('mud'), 'bicycle', 'front'));
  });

  it('has a speed for each ground that is driven slowly', () => {
    for (const family of FAMILIES.filter(({ speedGuide }) => speedGuide)) {
      for (const code of groundsFor(family)) {
        expect([code, groundOf(code).speedGuideKmh === null]).toEqual([code, code === 'pavement']);
      }
    }
  });
});
