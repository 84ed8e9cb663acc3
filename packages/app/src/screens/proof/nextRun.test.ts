import type { OutingRow } from '@dunlinmoss/contract';
import { psi, routineOf, wheelKey } from '@dunlinmoss/core';
import type { TestedWheel } from '@dunlinmoss/domain';

import { FIRST_UNITS } from '../../settings/preferences';
import { asQuantityText, valueOf, type RunText } from './fieldText';
import { filledIn, isUnread, nextRun, pressureFor, setOn, type RunsSoFar } from './nextRun';

const places = [
  { position: 'front', wheel: 'left' },
  { position: 'front', wheel: 'right' },
  { position: 'rear', wheel: 'left' },
  { position: 'rear', wheel: 'right' },
] as const;
const wheels = places.map((place): TestedWheel => ({
  ...place,
  key: wheelKey(place),
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  wheelLoadKg: 600,
  widthMm: null,
  roadKpa: psi(place.position === 'front' ? 36 : 42),
}));
const keys = wheels.map(({ key }) => key);
/** Two axles at two pressures. */
const outing = {
  pressures: [
    { position: 'front', pressureKpa: psi(16) },
    { position: 'rear', pressureKpa: psi(19) },
  ],
} as unknown as OutingRow;
const line = (key: string, pressure: string): RunText => ({
  wheel: key,
  pressureKpa: { text: pressure, unit: 'psi' },
  middle: 'worn',
});
const chalk = (runs: RunText[]): RunsSoFar => ({
  code: 'chalk',
  runs,
  wheels,
  outing,
  units: FIRST_UNITS,
});
const psiOf = (typed: RunText[string] | undefined): number | null => {
  const kpa = valueOf(routineOf('chalk').run.pressureKpa!, typed ?? null);
  return typeof kpa === 'number' ? Math.round((kpa / psi(1)) * 10) / 10 : null;
};

describe('what is filled in for a run', () => {
  it('is what was set on the axle of its wheel, and nothing where nobody set anything', () => {
    expect(wheels.map((wheel) => setOn(outing, wheel)! / psi(1))).toEqual([16, 16, 19, 19]);
    // What is run on the road was read by nobody today.
    expect(setOn(undefined, wheels[0]!)).toBeNull();
    expect(psiOf(pressureFor({ ...chalk([]), outing: undefined }, keys[2]!))).toBeNull();
    expect(psiOf(pressureFor(chalk([]), keys[2]!))).toBe(19);
    expect(psiOf(pressureFor(chalk([]), 'of another rig'))).toBeNull();
  });

  it('is never what another axle has', () => {
    const runs = [line(keys[0]!, '15'), line(keys[1]!, '15.5')];
    const next = nextRun(chalk(runs), null);
    expect(next.wheel).toBe(keys[2]);
    expect(psiOf(next.pressureKpa)).toBe(19);
    expect(psiOf(nextRun({ ...chalk(runs), outing: undefined }, null).pressureKpa)).toBeNull();
    expect(psiOf(nextRun({ ...chalk(runs.slice(0, 1)), outing: undefined }, null).pressureKpa)).toBe(15);
  });

  it('is marked until somebody types, and counts as unread until then', () => {
    const next = nextRun(chalk([line(keys[0]!, '15')]), null);
    expect(asQuantityText(next.pressureKpa).filledIn).toBe(true);
    expect(isUnread(next)).toBe(true);
    expect(isUnread({ ...next, pressureKpa: { text: '15', unit: 'psi' } })).toBe(false);
    expect(isUnread({ ...next, pressureKpa: { text: ' ', unit: 'psi' } })).toBe(true);
    // A run that is measured alone has nothing to mark, and an empty field is no filled one.
    expect(filledIn({ lengthMm: '3' })).toEqual({ lengthMm: '3' });
    expect(asQuantityText(filledIn({ pressureKpa: { text: '', unit: '' } }).pressureKpa).filledIn).toBeUndefined();
  });

  it('is not taken from a run that nobody read', () => {
    const unread = filledIn(line(keys[0]!, '30'));
    expect(psiOf(pressureFor(chalk([unread]), keys[1]!))).toBe(16);
  });
});

describe('nextRun', () => {
  it('goes round the wheels, and then to what is to be tried', () => {
    const round = keys.map((key) => line(key, '20'));
    expect(nextRun(chalk(round.slice(0, 1)), psi(18)).wheel).toBe(keys[1]);
    // The mate is looked at as it stands first.
    expect(psiOf(nextRun(chalk(round.slice(0, 1)), psi(18)).pressureKpa)).toBe(20);
    expect(nextRun(chalk(round), psi(18))).toMatchObject({ wheel: keys[0] });
    expect(psiOf(nextRun(chalk(round), psi(18)).pressureKpa)).toBe(18);
  });

  it('changes the sides over where they are apart', () => {
    const runs = [
      { pressureKpa: { text: '12', unit: 'psi' }, otherKpa: { text: '20', unit: 'psi' }, slippedFirst: 'left' },
    ];
    const next = nextRun({ ...chalk(runs), code: 'split' }, null);
    expect([psiOf(next.pressureKpa), psiOf(next.otherKpa)]).toEqual([20, 12]);
    expect(isUnread(next, 'otherKpa')).toBe(true);
    expect(isUnread({ ...next, otherKpa: { text: '12', unit: 'psi' } }, 'otherKpa')).toBe(false);
    expect(next.slippedFirst).toBe('');
  });

  it('takes what a clock gave, and the same track again where it gave none', () => {
    const runs: RunText[] = [{ track: 'trackA', atS: '60' }];
    expect(nextRun({ ...chalk(runs), code: 'infiltration' }, null)).toMatchObject({ track: 'trackA' });
    const looked = nextRun({ ...chalk(runs), code: 'infiltration' }, null, { track: 'trackB', atS: 120 });
    expect(looked).toMatchObject({ track: 'trackB' });
    expect(valueOf(routineOf('infiltration').run.atS!, looked.atS!)).toBe(120);
  });

  it('begins as a first run does where all were removed', () => {
    expect(nextRun(chalk([]), psi(18))).toMatchObject({ wheel: keys[0] });
    expect(psiOf(nextRun(chalk([]), psi(18)).pressureKpa)).toBe(16);
    expect(psiOf(nextRun({ ...chalk([]), code: 'split' }, null).pressureKpa)).toBeNull();
  });
});
