import type { probeProfile } from '@dunlinmoss/contract/api';
import type { z } from 'zod';

type Profile = z.infer<typeof probeProfile>;

const DEPTHS_MM = [0, 50, 100, 150, 200, 250, 300, 350, 400, 450];
/** Radius of the contact that pressed on the soil, mm. Invented: a farm tire's. */
const CONTACT_MM = 250;
/** What each kPa of stress leaves on the cone. Invented. */
const LEFT_BEHIND = 4;
/** Söhne's factor for moist soil. Published: Söhne 1953 (from memory). */
const CONCENTRATION = 5;

/** An invented meadow: looser above, an old plow pan at a spade's depth. */
const untouchedKpa = (depthMm: number): number => 500 + 2.2 * depthMm + 900 * Math.exp(-(((depthMm - 280) / 60) ** 2));

/** What a wheel's stress leaves behind at a depth, kPa on the cone. */
function pressedKpa(tireKpa: number, depthMm: number): number {
  const beta = Math.atan(CONTACT_MM / Math.max(1, depthMm));
  return LEFT_BEHIND * tireKpa * (1 - Math.cos(beta) ** CONCENTRATION);
}

/** The same for the same seed: a little unevenness that belongs to the place. */
const unevenness = (seed: number, index: number): number => {
  const wave = Math.sin(seed * 12.9898 + index * 78.233) * 43758.5453;
  return 0.94 + 0.12 * (wave - Math.floor(wave));
};

/** What the simulated soil probe reads beside two tracks and in them. It is invented, and only for trying the screen. */
export function simulatedProbe(seed: number, trackAKpa: number, trackBKpa: number): Profile {
  const tracks = [
    { track: 'untouched', tireKpa: 0 },
    { track: 'trackA', tireKpa: trackAKpa },
    { track: 'trackB', tireKpa: trackBKpa },
  ] as const;
  return {
    readings: tracks.flatMap(({ track, tireKpa }, place) =>
      DEPTHS_MM.map((depthMm, index) => ({
        track,
        depthMm,
        coneKpa: Math.round((untouchedKpa(depthMm) + pressedKpa(tireKpa, depthMm)) * unevenness(seed + place, index)),
      })),
    ),
  };
}
