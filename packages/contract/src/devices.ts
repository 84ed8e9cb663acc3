import { z } from 'zod';

import { altitudeM, conductanceLPerS, pressureKpa, someLitersPerMin, tempC, timestamp, volumeL } from './quantities';
import { wheelRef } from './resources/wheelRef';

/*
 * The simulated stand-ins: tire-pressure monitors, a gauge, a compressor and a central-inflation controller on one rig.
 * They speak plain JSON over HTTP and server-sent events; docs/devices.md tells it in words.
 */

/** What can go wrong with a monitor or its wheel. */
export const FAULT_KINDS = ['slowLeak', 'burst', 'silent', 'stuck', 'wrongClock'] as const;

/** Seconds between two packets of a monitor, live. */
export const PACKET_S = 5;

export const deviceFault = z.strictObject({
  ...wheelRef,
  kind: z.enum(FAULT_KINDS),
  since: timestamp,
});

export const deviceFaults = z.strictObject({ faults: z.array(deviceFault).max(60) });
export const deviceDriving = z.strictObject({ driving: z.boolean() });

const deviceWheel = z.strictObject({
  ...wheelRef,
  volumeL,
  coldKpa: pressureKpa,
});

/** Switches the stand-ins of a rig on: what is in its tires, and how warm the day is. */
export const deviceSetup = z.strictObject({
  /** Any whole number: the same one gives the same noise. */
  seed: z.int().min(0).max(2_000_000_000),
  ambientC: tempC,
  altitudeM,
  driving: z.boolean(),
  /** The wheels have been like this since then, so that there is something to look back on. */
  since: timestamp,
  wheels: z.array(deviceWheel).min(1).max(24),
});

export const deviceState = deviceSetup.extend({ faults: z.array(deviceFault) });

/** One packet of one monitor, by the sensor's own clock. */
export const monitorPacket = z.strictObject({
  ...wheelRef,
  sequence: z.int(),
  sensedAt: timestamp,
  pressureKpa: z.number(),
  tempC: z.number(),
});

export const monitorPackets = z.strictObject({ packets: z.array(monitorPacket) });

/** What one event of the stream carries. */
export const sentPackets = z.strictObject({ sentAt: timestamp, packets: z.array(monitorPacket) });

/** What the gauge shows when it is pressed on a valve. */
export const gaugeShows = z.strictObject({ readAt: timestamp, pressureKpa: z.number(), tempC: z.number() });

/** Air on its way out of a wheel or into it. */
export const deviceFlow = z.discriminatedUnion('flow', [
  z.strictObject({ flow: z.literal('none') }),
  z.strictObject({ flow: z.literal('out'), conductanceLPerS }),
  z.strictObject({ flow: z.literal('in'), litersPerMin: someLitersPerMin }),
]);

export const centralTarget = z.strictObject({
  axles: z
    .array(z.strictObject({ position: wheelRef.position, coldKpa: pressureKpa }))
    .min(1)
    .max(6),
  outLPerS: conductanceLPerS,
  supplyLPerMin: someLitersPerMin,
});

export const centralState = z.strictObject({
  axles: z.array(
    z.strictObject({
      position: wheelRef.position,
      coldKpa: z.number(),
      targetKpa: z.number().nullable(),
      doing: z.enum(['holding', 'lettingOut', 'puttingIn']),
    }),
  ),
});

export type DeviceSetup = z.infer<typeof deviceSetup>;
export type DeviceState = z.infer<typeof deviceState>;
export type DeviceFault = z.infer<typeof deviceFault>;
export type FaultKind = (typeof FAULT_KINDS)[number];
export type MonitorPacket = z.infer<typeof monitorPacket>;
export type GaugeShows = z.infer<typeof gaugeShows>;
export type DeviceFlow = z.infer<typeof deviceFlow>;
export type CentralTarget = z.infer<typeof centralTarget>;
export type CentralState = z.infer<typeof centralState>;

/** What the simulated soil probe is asked: what the two tracks were driven at. */
export const probeQuery = z.strictObject({
  trackAKpa: z.coerce.number().min(0).max(2_000),
  trackBKpa: z.coerce.number().min(0).max(2_000),
});

/** One push of the simulated probe into each of three places, depth by depth. */
export const probeProfile = z.strictObject({
  readings: z.array(
    z.strictObject({ track: z.enum(['untouched', 'trackA', 'trackB']), depthMm: z.number(), coneKpa: z.number() }),
  ),
});
