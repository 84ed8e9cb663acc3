import { deflectionShare } from '../contact/deflection';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { psi } from '../units/units';
import { nextTime, type Proved } from './nextTime';

const { build } = REFERENCE_RIG;
const proved = (change: Partial<Proved> = {}): Proved => ({
  at: '2026-05-02T08:00:00.000Z',
  pressureKpa: psi(16),
  wheelLoadKg: 600,
  decided: 'keep',
  by: 'drive',
  carriedFrom: null,
  id: 'outing',
  ...change,
});
const next = (all: readonly Proved[], loadKg = 600) => nextTime(all, build, loadKg, psi(2), psi(18));
const inPsi = (kpa: number | undefined): number => kpa! / psi(1);

describe('nextTime', () => {
  it('says nothing where nothing was proved', () => {
    expect(next([])).toBeNull();
  });

  it.each([
    ['keep', 16],
    ['lower', 14],
    ['higher', 18],
  ] as const)('begins by what was decided: %s', (decided, expected) => {
    expect(inPsi(next([proved({ decided })])?.pressureKpa)).toBeCloseTo(expected, 9);
  });

  it('goes by the newest, and by a trial of the same day before a drive', () => {
    const older = proved({ at: '2026-04-01T08:00:00.000Z', pressureKpa: psi(20) });
    expect(inPsi(next([older, proved()])?.pressureKpa)).toBeCloseTo(16, 9);
    const trial = proved({ at: '2026-05-02T07:00:00.000Z', pressureKpa: psi(15), by: 'trial' });
    expect(inPsi(next([proved(), trial])?.pressureKpa)).toBeCloseTo(15, 9);
    expect(inPsi(next([proved({ at: '2026-05-03T08:00:00.000Z' }), trial])?.pressureKpa)).toBeCloseTo(16, 9);
  });

  it('goes by a climb of the day before a drive, and by another test only where there is nothing else', () => {
    const at = '2026-05-02T06:00:00.000Z';
    const climb = proved({ at, pressureKpa: psi(14), by: 'climb' });
    const chalk = proved({ at: '2026-06-30T08:00:00.000Z', pressureKpa: psi(13), by: 'test' });
    expect(inPsi(next([proved(), climb, chalk])?.pressureKpa)).toBeCloseTo(14, 9);
    expect(inPsi(next([chalk])?.pressureKpa)).toBeCloseTo(13, 9);
  });

  it('carries over to another load by equal deflection, and says how much that makes', () => {
    const heavier = next([proved()], 750)!;
    expect(deflectionShare(build, 750, heavier.pressureKpa)).toBeCloseTo(deflectionShare(build, 600, psi(16)), 9);
    expect(heavier.byLoadKpa).toBeGreaterThan(0);
    expect(heavier.againstRuleKpa).toBeCloseTo(heavier.pressureKpa - psi(18), 9);
    expect(next([proved()], 605)!.byLoadKpa).toBe(0);
  });
});
