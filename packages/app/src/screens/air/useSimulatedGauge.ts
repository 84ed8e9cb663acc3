import { gaugeShows, type GaugeShows } from '@dunlinmoss/contract';
import { outToolOf, type WheelRef } from '@dunlinmoss/core';
import { pumpOf, type ToolUsed } from '@dunlinmoss/domain';

import { request } from '../../data/client';
import { useDevices } from '../../data/monitors';

/** The simulated gauge and compressor of a rig, where they are switched on. */
export interface Shows {
  readonly on: boolean;
  /** What the gauge shows on a wheel, and how warm it is; undefined where it can't be reached. */
  readonly gauge: (wheel: WheelRef) => Promise<GaugeShows | undefined>;
  readonly flow: (wheels: readonly WheelRef[], flow: 'out' | 'in' | 'none', used: ToolUsed) => Promise<void>;
}

export function useSimulatedGauge(rigId: string): Shows {
  const { state } = useDevices(rigId);
  const on = state !== undefined;
  const path = ({ position, wheel }: WheelRef): string => `/devices/rigs/${rigId}/wheels/${position}/${wheel}/flow`;
  return {
    on,
    async gauge({ position, wheel }) {
      try {
        const told = await request('GET', `/devices/rigs/${rigId}/gauge/${position}/${wheel}`);
        return gaugeShows.parse(told);
      } catch {
        return undefined;
      }
    },
    async flow(wheels, flow, used) {
      if (!on) return;
      const body =
        flow === 'none'
          ? { flow }
          : flow === 'out'
            ? { flow, conductanceLPerS: outToolOf(used.kind)?.conductanceLPerS ?? 1 }
            : { flow, litersPerMin: pumpOf(used).flow[0].litersPerMin };
      await Promise.all(wheels.map((wheel) => request('PUT', path(wheel), body).catch(() => undefined)));
    },
  };
}
