import type { DeviceSetup } from '@dunlinmoss/contract';

import type { AirJob } from '../../hooks/useAirJob';

/** So long have the simulated wheels been like this when they are switched on, ms: two hours to look back on. */
const LOOK_BACK_MS = 2 * 3_600_000;

/** The simulated stand-ins of a rig with what is known to be in its tires. */
export function setupOf({ wheels, known, conditions }: AirJob, driving: boolean): DeviceSetup {
  return {
    // Any would do; the day's gives every day its own noise.
    seed: Math.floor(Date.now() / 86_400_000),
    ambientC: conditions.coldTempC,
    altitudeM: conditions.altitudeM,
    driving,
    since: new Date(Date.now() - LOOK_BACK_MS).toISOString(),
    wheels: wheels.map((wheel) => ({
      position: wheel.position,
      wheel: wheel.wheel,
      volumeL: wheel.volumeL,
      coldKpa: known(wheel)?.coldKpa ?? wheel.axle.roadKpa ?? 100,
    })),
  };
}
