import { FIRST_UNITS } from '../settings/preferences';
import { duration, hoursText, runProblemText, wheelName } from './air';
import { logEndText } from './log';
import { watchText } from './watch';

const units = FIRST_UNITS;
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');

describe('duration', () => {
  it.each([
    [0, '0 s'],
    [48.4, '48 s'],
    [60, '1 min'],
    [200, '3 min 20 s'],
    [1500, '25 min'],
    [3600, '1 h'],
    [3900, '1 h 5 min'],
    [Number.POSITIVE_INFINITY, 'never'],
  ])('%d s: %s', (seconds, text) => expect(plain(duration(seconds))).toBe(text));
  it('tells days of a slow leak', () => expect(plain(hoursText(75))).toBe('3 days'));
});

describe('wheelName', () => {
  it('is as one would call it', () => {
    expect(wheelName({ position: 'rear', wheel: 'leftOuter' })).toBe('Rear left outer');
    expect(wheelName({ position: 'front', wheel: 'single' })).toBe('Front');
  });
});

describe('runProblemText', () => {
  it('says what was read and that it is not counted', () => {
    const text = plain(runProblemText({ code: 'roseWhileLettingOut', beforeKpa: 110.3, afterKpa: 117.2 }, units));
    expect(text).toMatch('17 psi after 16 psi');
    expect(text).toMatch('not counted');
  });
});

describe('watchText', () => {
  it('tells a leak with its rate and the time to count on', () => {
    const reason = { code: 'leak', lossKpaPerH: 6.9, floor: { hours: 2, soonestHours: 1.5 } } as const;
    const text = plain(watchText(reason, units, Date.parse('2026-11-20T10:00:00Z')));
    expect(text).toMatch('1.0 psi an hour');
    expect(text).toMatch('in 2 h');
    expect(text).toMatch(/count on \d\d:30/);
  });
  it('keeps warmth from being let out', () =>
    expect(plain(watchText({ code: 'warmUp', riseKpa: 13.8, coldKpa: 110.3 }, units, 0))).toBe(
      'It reads 2.0 psi more because it is warm: cold it is still 16 psi. Let nothing out.',
    ));
});

describe('logEndText', () => {
  it('says what came in, and what was there', () => {
    const done = { done: { added: 1200, alreadyThere: 3, from: null, to: null } };
    expect(logEndText(done)).toMatchObject({
      good: true,
      text: '1,200 readings taken in. 3 were there already and are counted once.',
    });
  });
  it('says line by line what was expected, and that nothing was taken', () => {
    const told = logEndText({
      problem: { code: 'linesRefused', refused: 2, lines: [{ line: 3, problem: 'time', text: '20 Nov' }] },
    });
    expect(told.text).toBe('2 lines can’t be read. Nothing of it was taken in.');
    expect(told.lines[0]).toMatch('Line 3: expected a time with its zone');
    expect(logEndText(undefined).good).toBe(false);
  });
});
