import type { AirToolRow } from '@dunlinmoss/contract';
import { psi, type AirToolCode } from '@dunlinmoss/core';

import { sampleJob } from '../../testing/sampleJob';
import { comparedTools } from './comparedTools';

const tool = (kind: AirToolCode, change: Partial<AirToolRow> = {}): AirToolRow =>
  ({
    id: `0192f000-0000-7000-8000-0000000005${kind.length}`,
    name: 'Mine',
    kind,
    wheelsAtOnce: 1,
    flow: [],
    duty: null,
    budget: null,
    setKpa: null,
    valves: [],
    ...change,
  }) as AirToolRow;
const car = sampleJob();
const bicycle = (read: number | undefined) => ({
  ...car,
  family: { kind: 'bicycle' } as typeof car.family,
  known: (wheel: (typeof car.wheels)[number]) =>
    read === undefined ? undefined : { ...car.known(wheel)!, coldKpa: psi(read) },
  planned: (wheel: (typeof car.wheels)[number]) => ({ ...car.planned(wheel)!, startKpa: psi(32) }),
});
const names = (job: typeof car, way: 'out' | 'in') => comparedTools(job, way).tools.map(({ code }) => code);

describe('comparedTools', () => {
  it('goes to what a route asks for instead, up or down', () => {
    const onRoute = { ...car, ordered: new Map([['front' as const, psi(24)]]) };
    for (const way of ['out', 'in'] as const) {
      const { from } = comparedTools(onRoute, way);
      const front = from.filter(({ position }) => position === 'front');
      expect(front.every(({ toKpa }) => Math.abs(toKpa - psi(24)) < 0.01)).toBe(true);
    }
  });

  it('lets a wagon down from road pressure, and back up to it from the plan', () => {
    expect(comparedTools(car, 'out').from.every(({ fromKpa, toKpa }) => fromKpa > toKpa)).toBe(true);
    const home = comparedTools(car, 'in').from;
    expect(home).toHaveLength(4);
    for (const { toKpa } of home) expect(toKpa).toBeCloseTo(psi(36), 6);
  });

  it('pumps a bicycle up to what the ground asks for: from flat where not read, else from what was read', () => {
    const flat = comparedTools(bicycle(undefined), 'in').from;
    expect(flat.every(({ fromKpa, toKpa }) => fromKpa === 0 && Math.abs(toKpa - psi(32)) < 1)).toBe(true);
    expect(comparedTools(bicycle(25), 'in').from.every(({ fromKpa }) => Math.abs(fromKpa - psi(25)) < 1)).toBe(true);
  });

  it('leaves a wheel alone that has what it is to have, while another lacks air', () => {
    const one = {
      ...bicycle(25),
      known: (wheel: (typeof car.wheels)[number]) => ({
        ...car.known(wheel)!,
        coldKpa: psi(wheel.position === 'front' ? 25 : 33),
      }),
    };
    expect(comparedTools(one, 'in').from.every(({ position }) => position === 'front')).toBe(true);
    expect(comparedTools(bicycle(33), 'in').from.every(({ fromKpa }) => fromKpa === 0)).toBe(true);
  });

  it('offers a bicycle no manifold, and a wagon no bicycle pump and no workshop, a bicycle one’s own in any case', () => {
    expect(names(bicycle(undefined), 'out')).not.toContain('hoseManifold');
    expect(names(bicycle(undefined), 'in')).toContain('bicycleFloorPump');
    expect(names(car, 'in')).not.toContain('bicycleHandPump');
    expect(names(car, 'in')).not.toContain('workshopCompressor');
    const mine = tool('batteryClipCompressor');
    expect(names({ ...bicycle(undefined), tools: [mine] }, 'in')).toContain(mine.id);
  });

  it('says of a charge that ends how much is short, puts it last, and says that a label is not entered', () => {
    const mine = tool('handheldPump', { budget: { kind: 'liters', liters: 60 } });
    const { tools } = comparedTools({ ...car, tools: [mine] }, 'in');
    const own = tools.find(({ code }) => code === mine.id)!;
    expect(own.time).toBe('not enough');
    expect(own.short).toMatch(/runs out at .*: \d+\u00a0L short/);
    expect(own.about).toContain('label is not entered');
    const enough = tools.filter(({ short }) => short === undefined);
    expect(tools.slice(0, enough.length)).toEqual(enough);
  });

  it('says which valve wants an adapter', () => {
    const mine = tool('bicycleFloorPump', { valves: ['schrader'] });
    const [own] = comparedTools({ ...bicycle(undefined), tools: [mine] }, 'in').tools.filter(
      ({ code }) => code === mine.id,
    );
    // The sample rig is a wagon under a bicycle's name: its usual valve fits.
    expect(own!.adapter).toBeUndefined();
    const presta = tool('handheldPump', { valves: ['presta'] });
    const [other] = comparedTools({ ...car, tools: [presta] }, 'in').tools.filter(({ code }) => code === presta.id);
    expect(other!.adapter).toContain('needs an adapter');
  });
});
