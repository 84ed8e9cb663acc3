import { psi, warmAdvice } from '@dunlinmoss/core';
import type { BoardEntry, InTire } from '@dunlinmoss/domain';

import { FIRST_UNITS } from '../settings/preferences';
import { movedText } from './moved';
import { warmText } from './warm';
import { inTiresText, knownText } from './wheelState';

const units = FIRST_UNITS;
const nowMs = Date.parse('2026-11-27T12:00:00Z');
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');
const inTire = (change: Partial<InTire> = {}): InTire => ({
  position: 'front',
  wheel: 'left',
  coldKpa: psi(16),
  known: 'read',
  from: 'reading',
  at: '2026-11-20T07:40:00.000Z',
  low: true,
  ...change,
});

describe('knownText', () => {
  it('never says read of what nobody read', () => {
    expect(knownText(undefined, nowMs)).toBe('not read');
    expect(knownText(inTire({ known: 'letOut' }), nowMs)).toMatch(/^let out, not read since, 20 Nov, /);
    expect(knownText(inTire({ known: 'assumed', at: null }), nowMs)).toBe('not read: road pressure assumed');
    expect(knownText(inTire({ from: 'rig', at: null }), nowMs)).toBe('as the rig has it, day not known');
    expect(knownText(inTire({ at: '2025-11-20T07:40:00.000Z' }), nowMs)).toBe('read, 20 Nov 2025');
  });
});

describe('inTiresText', () => {
  const wheels = (...all: (InTire | undefined)[]): Pick<BoardEntry, 'wheels'> => ({
    wheels: all.map((now, index) => ({
      wheel: { position: index < 2 ? 'front' : 'rear', wheel: index % 2 === 0 ? 'left' : 'right' } as never,
      now,
    })),
  });
  const say = (...all: (InTire | undefined)[]): string => plain(inTiresText(wheels(...all), units, psi(1), nowMs));

  it('has one figure an axle, and the least sure of its wheels', () => {
    const set = inTire({ known: 'set' });
    expect(say(set, set, set, set)).toMatch(/^front 16 psi, rear 16 psi · set, not read since, 20 Nov/);
    const soft = inTire({ known: 'letOut', coldKpa: psi(12) });
    expect(say(inTire(), soft, inTire(), inTire())).toBe(
      'front from 12 psi, rear 16 psi · front: let out, not read since, rear: read',
    );
    expect(say(inTire(), undefined, inTire(), inTire())).toContain('front not known');
  });
});

describe('warmText', () => {
  const say = (shownPsi: number, justDriven: boolean): string => {
    const question = { setKpa: psi(16), shownKpa: psi(shownPsi), justDriven, airTempC: 20, altitudeM: 0 };
    return plain(warmText(warmAdvice({ ...question, stepKpa: psi(1) }), psi(16), justDriven, units));
  };

  it.each([
    [19, true, 'Warm from driving: still the 16 psi that was set. Leave it.'],
    [19, false, 'More than the 16 psi that was set: let out 3 psi.'],
    [16, false, 'As set, 16 psi. Leave it.'],
    [12, true, '4 psi less than the 16 psi that was set: it leaks, or it was let down since.'],
  ] as const)('reads %d, just driven %s', (shown, driven, text) => expect(say(shown, driven)).toBe(text));
});

describe('movedText', () => {
  const at = (front: number, rear: number) => [
    { position: 'front' as const, startKpa: psi(front) },
    { position: 'rear' as const, startKpa: psi(rear) },
  ];

  it('says what a refinement changed, and what it did not', () => {
    expect(plain(movedText(at(16, 16), at(17, 16), units))).toBe('Kept. Front 17 psi, was 16; Rear 16 psi, as before.');
    expect(movedText(at(16, 16), undefined, units)).toContain('no safe pressure');
  });
});
