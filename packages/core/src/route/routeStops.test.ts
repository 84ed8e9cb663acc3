import { fillPlan } from '../air/airUp';
import { drainPlan } from '../air/letOut';
import { AT_ROAD, sampleTools } from '../testing/sampleDay';
import { inToolOf } from '../tools/registry';
import { psi } from '../units/units';
import { routeStops, type RouteTools, type Setting } from './routeStops';

const both = (front: number, rear = front): Setting => [
  { position: 'front', pressureKpa: psi(front) },
  { position: 'rear', pressureKpa: psi(rear) },
];
const SETTINGS = [AT_ROAD, both(16, 18), both(12)];
const stops = (change: Partial<RouteTools> = {}) => routeStops(sampleTools(change), SETTINGS);
const withPump = (code: 'handheldPump' | 'onBoardCompressor') => {
  const { pump, setUpS, wheelsAtOnce } = inToolOf(code)!;
  return { in: { pump, setUpS, wheelsAtOnce, rate: 1 } };
};

describe('routeStops', () => {
  it('takes what letting out and pumping take in Air, and the place to stop', () => {
    const tools = sampleTools();
    const wheels = (from: number, to: number) =>
      tools.wheels.map((wheel) => ({
        ...wheel,
        fromKpa: SETTINGS[from]!.find(({ position }) => position === wheel.position)!.pressureKpa,
        toKpa: SETTINGS[to]!.find(({ position }) => position === wheel.position)!.pressureKpa,
      }));
    const down = drainPlan(tools.out.tool, tools.out.rate, wheels(0, 1), tools.outsideKpaAbs, 1).totalS;
    const up = fillPlan({ ...tools.in, wheels: wheels(1, 0), outsideKpaAbs: tools.outsideKpaAbs }).totalS;
    expect(stops().stop(0, 1, 0, false)!.minutes).toBeCloseTo(2 + down / 60, 9);
    expect(stops().stop(1, 0, 0, false)!.minutes).toBeCloseTo(2 + up / 60, 9);
  });

  it('leaves a pump warm that may not run for ever, which takes rests longer, and cools on the way', () => {
    const { stop, rested } = stops();
    const first = stop(2, 0, 0, false)!;
    expect(first.pump).toBeGreaterThan(0);
    expect(stop(2, 0, 6, false)!.minutes).toBeGreaterThan(first.minutes);
    expect(rested(first.pump, 120)).toBe(0);
    expect(rested(6, 5)).toBeGreaterThan(0);
  });

  it('has no way up where a charge is used up, and driving does not bring it back', () => {
    // 300 L: enough from 12 psi to 16 and 18 (82 L), not to the road (400 L).
    const pump = withPump('handheldPump').in;
    const { stop, rested } = stops({
      in: { ...pump, pump: { ...pump.pump, budget: { kind: 'liters', liters: 300 } } },
    });
    expect(stop(2, 0, 0, false)).toBeNull();
    const little = stop(2, 1, 0, false)!;
    expect(little.pump).toBe(6);
    expect(rested(little.pump, 600)).toBe(6);
    expect(stop(0, 2, 20, false)).not.toBeNull();
  });

  it('is quick where air is to be had, and leaves the pump as it was', () => {
    const { stop } = stops(withPump('handheldPump'));
    expect(stop(2, 0, 13, true)).toMatchObject({ pump: 13 });
    expect(stop(2, 0, 13, true)!.minutes).toBeLessThan(stops().stop(2, 0, 0, false)!.minutes);
  });

  it('takes no time with central inflation', () => {
    expect(stops({ central: true }).stop(2, 0, 0, false)).toEqual({ minutes: 0, pump: 0 });
  });
});
