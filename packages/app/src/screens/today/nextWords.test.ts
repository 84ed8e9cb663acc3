import type { BoardStep } from '@dunlinmoss/contract';
import { familyOf, psi } from '@dunlinmoss/core';
import type { BoardEntry } from '@dunlinmoss/domain';
import { sampleBicycle, sampleRig } from '@dunlinmoss/domain/testing';

import { nextWords } from './nextWords';

const planned = [
  { position: 'front' as const, pressureKpa: psi(16) },
  { position: 'rear' as const, pressureKpa: psi(19) },
];
const entry = (step: BoardStep, change: object = {}): BoardEntry =>
  ({
    rig: sampleRig(),
    outing: { groundCode: 'softSand', pressures: planned },
    airing: { way: 'out' },
    wheels: [],
    step,
    ...change,
  }) as unknown as BoardEntry;
const say = (one: BoardEntry, known: object = {}) =>
  nextWords(one, { planned, waiting: 'No load yet.', tested: false, ...known });

describe('nextWords', () => {
  const STEPS: readonly BoardStep[] = [
    'goOn',
    'standsLow',
    'backUp',
    'setPressures',
    'test',
    'decide',
    'airUp',
    'endOuting',
  ];

  it.each(STEPS)('%s: one sentence and one button, on four wheels and on two', (step) => {
    for (const rig of [sampleRig(), sampleBicycle()]) {
      const { sentence, button } = say(entry(step, { rig }));
      expect(sentence).toMatch(/^[A-Z].*\.$/);
      expect(button).toMatch(/^[A-Z]/);
      // Nobody rides a bicycle to pavement to pump it up.
      if (familyOf(rig.family).kind === 'bicycle' && step === 'airUp') expect(sentence).not.toContain('pavement');
    }
  });

  it('never calls a machine ready that stands low, whatever the outing says', () => {
    const low = say(entry('standsLow', { outing: undefined }));
    expect(low.sentence).toContain('stands low');
    expect(low.numbers.map(({ pressureKpa }) => Math.round(pressureKpa / psi(1)))).toEqual([36, 36]);
    expect(low.button).toContain('Put it back');
  });

  it('says what is missing where there is no plan, and leaves pavement at road pressure', () => {
    expect(say(entry('setPressures'), { planned: null })).toMatchObject({ sentence: 'No load yet.', numbers: [] });
    expect(say(entry('setPressures', { outing: { groundCode: 'pavement', pressures: [] } })).sentence).toBe(
      'Pavement ahead. Stay at road pressure.',
    );
    expect(say(entry('setPressures')).numbers).toEqual(planned);
  });

  it('says which way the air goes that is under way', () => {
    expect(say(entry('goOn')).button).toBe('Go on letting out');
    expect(say(entry('goOn', { airing: { way: 'in' } })).button).toBe('Go on putting in');
  });
});
