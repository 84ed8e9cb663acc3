import { readMarking } from '../tires/readMarking';
import { psi } from '../units/units';
import { bindingFloor } from './floors';
import type { LimitContext } from './limit';

const reading = readMarking('265/65R17');
if (!reading.ok) throw new Error('265/65R17 must read');
const context = (change: Partial<LimitContext>): LimitContext => ({
  build: { tire: reading.value, carcass: 1 },
  wheelLoadKg: 600,
  beadLocks: false,
  heldFloorKpa: null,
  stuck: false,
  ...change,
});

describe('bindingFloor', () => {
  it.each([
    ['an ordinary load without bead locks', {}, 'bead', 12],
    ['a light wheel with bead locks', { beadLocks: true, wheelLoadKg: 400 }, 'bead', 6],
    ['a cautious person', { heldFloorKpa: psi(20) }, 'bead', 20],
    ['years on the beach', { heldFloorKpa: psi(10), wheelLoadKg: 400 }, 'bead', 10],
    ['a cautious person, stuck', { heldFloorKpa: psi(20), stuck: true, wheelLoadKg: 400 }, 'bead', 6],
    ['a light wheel, stuck', { stuck: true, wheelLoadKg: 400 }, 'bead', 6],
  ] as const)('%s', (_, change, code, floorPsi) => {
    const floor = bindingFloor(context(change));
    expect(floor.code).toBe(code);
    expect(floor.pressureKpa).toBeCloseTo(psi(floorPsi), 9);
  });

  it('is the sidewall for a heavy wheel, and higher the heavier it is', () => {
    const heavy = bindingFloor(context({ wheelLoadKg: 1000 }));
    expect(heavy.code).toBe('sidewallFlex');
    expect(bindingFloor(context({ wheelLoadKg: 1100 })).pressureKpa).toBeGreaterThan(heavy.pressureKpa);
  });

  it('lists every floor with its pressure', () => {
    expect(bindingFloor(context({})).all.map(({ code }) => code)).toEqual(['bead', 'sidewallFlex']);
  });
});
