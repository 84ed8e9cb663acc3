import type { Airing } from '@dunlinmoss/contract';
import { gaugeNowKpa, sameWheel } from '@dunlinmoss/core';
import type { WheelProgress } from '@dunlinmoss/domain';

import type { AirJob } from '../../hooks/useAirJob';

/** The wheel on the staff, all of it as the gauge reads now. */
export function staffOf(job: AirJob, airing: Airing, { wheel }: WheelProgress, levelKpa: number) {
  const place = job.wheels.find((each) => sameWheel(each, wheel));
  const planned = place && job.planned(place);
  const warm = (kpa: number): number => gaugeNowKpa(kpa, airing);
  const road = place?.axle.roadKpa;
  const roadKpa = road ? warm(road) : null;
  return airing.way === 'out' && planned
    ? {
        name: 'now',
        startKpa: levelKpa,
        lowKpa: warm(planned.lowKpa),
        highKpa: warm(planned.highKpa),
        floorKpa: warm(planned.floorKpa),
        roadKpa,
      }
    : {
        name: 'now',
        startKpa: levelKpa,
        lowKpa: wheel.targetKpa,
        highKpa: wheel.targetKpa,
        floorKpa: planned ? warm(planned.floorKpa) : 0,
        roadKpa,
      };
}
