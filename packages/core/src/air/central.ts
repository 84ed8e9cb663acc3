import type { AxlePosition } from '../loads/geometry';
import type { Pump } from '../tools/pump';
import { flowAtLPerMin } from './compressor';
import { drainTau } from './deflate';
import { joined, type Hose, type Vessel } from './joined';

/** An axle with central inflation. Gauge pressures. */
export interface CentralAxle {
  readonly position: AxlePosition;
  readonly wheels: number;
  readonly volumeL: number;
  readonly roadKpa: number;
  readonly fieldKpa: number;
}

export interface CentralInput {
  readonly axles: readonly CentralAxle[];
  /** What the valve on each wheel lets out, L/s of the tire's air while choked. */
  readonly outLPerS: number;
  /** What the line to each wheel lets through on the way in. */
  readonly lineLPerS: number;
  readonly supply: Pump['flow'];
  /** The tank between compressor and wheels, and the pressure it is held at. */
  readonly tankL: number;
  readonly tankKpa: number;
  readonly outsideKpaAbs: number;
}

export interface CentralTimes {
  /** Road to field. */
  readonly downS: number;
  /** Field to road; null where there is no figure, and why. */
  readonly upS: number | null;
  readonly upProblem: UpProblem | null;
}

/** Why there is no time for the way up. */
export type UpProblem =
  /** Not within an hour, or never. */
  | 'overAnHour'
  /** The tank is so small against its lines that the computation would take too many steps. */
  | 'tankTooSmall';

/** Longer than this nobody waits, s. */
const MOST_S = 3600;
/** Over the last stretch below the tank's pressure the compressor unloads, kPa. Assumption. */
const UNLOADING_KPA = 10;
/** Full is within this of the target, kPa: what a controller can tell. Assumption. */
const FULL_KPA = 1;

/**
 * How long central inflation takes each way. All wheels let go at once through their own valves: exact. On the way up
 * they share the tank and what the compressor puts into it: integrated.
 */
export function centralTimes(input: CentralInput): CentralTimes {
  const { axles, outLPerS, lineLPerS, supply, tankL, tankKpa, outsideKpaAbs } = input;
  const downS = Math.max(
    0,
    ...axles.map(({ volumeL, roadKpa, fieldKpa }) => (volumeL / outLPerS) * drainTau(roadKpa, fieldKpa, outsideKpaAbs)),
  );
  // All that the tank holds and the compressor could ever give may be less than is missing: then nothing need be integrated.
  const missing = axles.reduce(
    (sum, { wheels, volumeL, fieldKpa, roadKpa }) =>
      sum + wheels * volumeL * Math.max(0, roadKpa - FULL_KPA - fieldKpa),
    0,
  );
  const mostLPerMin = Math.max(...supply.map(({ litersPerMin }) => litersPerMin));
  if (missing > tankL * tankKpa + (mostLPerMin / 60) * MOST_S * outsideKpaAbs) {
    return { downS, upS: null, upProblem: 'overAnHour' };
  }
  // The wheels of an axle do the same: one vessel as large as all of them, on as many lines.
  const vessels: Vessel[] = [
    { volumeL: tankL, pressureKpa: tankKpa },
    ...axles.map(({ wheels, volumeL, fieldKpa }) => ({ volumeL: wheels * volumeL, pressureKpa: fieldKpa })),
  ];
  const hoses: Hose[] = axles.map(({ wheels, roadKpa }, index) => ({
    from: 0,
    to: index + 1,
    conductanceLPerS: wheels * lineLPerS,
    shutAtKpa: roadKpa,
  }));
  const up = joined({
    vessels,
    hoses,
    // Let go bit by bit at the top, where a real one switches on and off: the same on average.
    supplyLPerMin: (kpa) => flowAtLPerMin(supply, kpa) * Math.max(0, Math.min(1, (tankKpa - kpa) / UNLOADING_KPA)),
    outsideKpaAbs,
    done: (pressures) => axles.every(({ roadKpa }, index) => pressures[index + 1]! >= roadKpa - FULL_KPA),
    mostS: MOST_S,
  });
  const upProblem = up.end === 'done' ? null : up.end === 'tooManySteps' ? 'tankTooSmall' : 'overAnHour';
  return { downS, upS: upProblem === null ? up.seconds : null, upProblem };
}

export interface CentralDay {
  /** Metres from where the change may begin to the gate, at what speed. */
  readonly distanceM: number;
  readonly speedKmh: number;
  /** Times a day from the road to the field and back. */
  readonly cycles: number;
}

export interface CentralCost {
  readonly doneBeforeGate: boolean;
  /** How far before the gate it must begin, m. */
  readonly beginM: number;
  /** Standing and waiting, each way, s. */
  readonly waitDownS: number;
  readonly waitUpS: number;
  readonly minutesADay: number;
}

/** Whether the change is done by the gate at this speed, and what waiting for the rest costs in a day. Exact. */
export function centralCost(
  { downS, upS }: { readonly downS: number; readonly upS: number },
  day: CentralDay,
): CentralCost {
  const mPerS = day.speedKmh / 3.6;
  const rolling = day.distanceM / mPerS;
  const waitDownS = Math.max(0, downS - rolling);
  const waitUpS = Math.max(0, upS - rolling);
  return {
    doneBeforeGate: waitDownS === 0,
    beginM: downS * mPerS,
    waitDownS,
    waitUpS,
    minutesADay: (day.cycles * (waitDownS + waitUpS)) / 60,
  };
}
