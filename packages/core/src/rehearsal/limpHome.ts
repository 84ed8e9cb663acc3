import { CELSIUS_ZERO_K } from '../units/units';
import { normalDraw } from './softness';
import type { Expected } from './scene';

/*
 * Pavement on soft tires, with no air near: how fast? The speed that a pressure allows is the one of every other place
 * (`limits/speedAtPressure`). What too much speed does is told by the gauge: a tire that is run faster than that warms past
 * the few psi that an hour's drive adds.
 */

/** At the speed that its pressure allows a tire warms by this, °C: the 4 psi over a cold 36 beyond which it is too low for load and speed. Common practice, no source. */
export const FIT_WARMTH_C = 23;
/** How soon it is as warm as it gets, min. Assumption. */
const WARMS_MIN = 12;
/** Warmer than so many times that a tire comes apart or leaves its rim; how that differs from tire to tire. Assumptions. */
const FAILS = { times: 1.9, scatter: 0.2 };
/** What a tire that failed costs, and waiting for a pump instead, min. Assumptions. */
const FAILED_MIN = 180;
const WAIT_MIN = 60;
/** Looked at again on the way after so long, and how long it cools then, min. */
export const LOOK_MIN = 8;
const COOL_MIN = 20;
/** Traffic's own speed, km/h. */
const TRAFFIC_KMH = 80;
/** How far it is, km. */
export const LIMP_KM = 25;
const STEP_MIN = 0.1;
const FRAME_STEPS = 5;
const PLACES = 64;

export interface LimpInput {
  /** What the pressure allows on pavement of the wheel that allows the least, km/h. */
  readonly allowedKmh: number;
  /** Of that wheel, cold. */
  readonly pressureKpa: number;
  readonly outsideKpaAbs: number;
  readonly outsideC: number;
}

export type LimpMoment = 'edge' | 'looked' | 'home' | 'failed' | 'waited';
export const limpIsOver = (moment: LimpMoment): boolean => moment !== 'edge' && moment !== 'looked';

export type LimpCode = 'traffic' | 'between' | 'allowed' | 'goOn' | 'cool' | 'wait';

export interface LimpChoice {
  readonly code: LimpCode;
  /** Driven so fast; null where it stands. */
  readonly kmh: number | null;
}

/** Where it was, how warm, and what the gauge said. */
export interface LimpFrame {
  readonly minutes: number;
  readonly atKm: number;
  readonly warmC: number;
  readonly kmh: number;
  /** Over cold, kPa. */
  readonly riseKpa: number;
}

export interface LimpScene {
  readonly moment: LimpMoment;
  readonly minutes: number;
  readonly atKm: number;
  readonly warmC: number;
  readonly kmh: number;
  /** Since the last decision. */
  readonly frames: readonly LimpFrame[];
}

export interface Limp {
  readonly begin: LimpScene;
  readonly choices: (scene: LimpScene) => readonly LimpChoice[];
  readonly take: (scene: LimpScene, choice: LimpChoice, place?: number) => LimpScene;
  readonly expect: (scene: LimpScene, choice: LimpChoice) => Expected;
}

/** What a gauge reads over cold on a tire that is so much warmer, kPa. Exact: constant volume. */
export const riseKpa = ({ pressureKpa, outsideKpaAbs, outsideC }: LimpInput, warmC: number): number =>
  ((pressureKpa + outsideKpaAbs) * warmC) / (outsideC + CELSIUS_ZERO_K);

/** The way home on one tire; the seed says how much that one bears, which nobody knows. */
export function limpHome(input: LimpInput, seed: number): Limp {
  const { allowedKmh } = input;
  const bearsC = (place: number): number => FIT_WARMTH_C * FAILS.times * Math.exp(FAILS.scatter * normalDraw(place, 3));
  const begin: LimpScene = { moment: 'edge', minutes: 0, atKm: 0, warmC: 0, kmh: 0, frames: [] };
  const between = Math.round((TRAFFIC_KMH + allowedKmh) / 2 / 5) * 5;

  const choices = ({ moment, kmh }: LimpScene): readonly LimpChoice[] => {
    const allowed: LimpChoice = { code: 'allowed', kmh: allowedKmh };
    if (moment === 'edge') {
      return [
        { code: 'traffic', kmh: TRAFFIC_KMH },
        { code: 'between', kmh: between },
        allowed,
        { code: 'wait', kmh: null },
      ];
    }
    if (moment !== 'looked') return [];
    return [
      { code: 'goOn', kmh },
      ...(kmh > allowedKmh + 1 ? [allowed, { code: 'cool' as const, kmh: allowedKmh }] : []),
      { code: 'wait', kmh: null },
    ];
  };

  const take = (scene: LimpScene, { code, kmh }: LimpChoice, place = seed): LimpScene => {
    if (kmh === null) return { ...scene, moment: 'waited', minutes: scene.minutes + WAIT_MIN, frames: [] };
    let { minutes, atKm, warmC } = scene;
    if (code === 'cool') {
      minutes += COOL_MIN;
      warmC *= Math.exp(-COOL_MIN / WARMS_MIN);
    }
    const looksAt = scene.moment === 'edge' ? minutes + LOOK_MIN : Number.POSITIVE_INFINITY;
    const evenC = FIT_WARMTH_C * (kmh / allowedKmh);
    const frames: LimpFrame[] = [];
    let moment: LimpMoment = 'home';
    for (let step = 0; atKm < LIMP_KM; step++) {
      if (step % FRAME_STEPS === 0) frames.push({ minutes, atKm, warmC, kmh, riseKpa: riseKpa(input, warmC) });
      minutes += STEP_MIN;
      atKm += (kmh * STEP_MIN) / 60;
      warmC += ((evenC - warmC) * STEP_MIN) / WARMS_MIN;
      if (warmC > bearsC(place)) {
        moment = 'failed';
        minutes += FAILED_MIN;
        break;
      }
      if (minutes >= looksAt) {
        moment = 'looked';
        break;
      }
    }
    frames.push({ minutes, atKm, warmC, kmh, riseKpa: riseKpa(input, warmC) });
    return { moment, minutes, atKm: Math.min(LIMP_KM, atKm), warmC, kmh, frames };
  };

  const expect = (scene: LimpScene, choice: LimpChoice): Expected => {
    let [minutes, clean] = [0, 0];
    for (let place = 1; place <= PLACES; place++) {
      // A tire that has borne this much is none of those that bear less.
      if (bearsC(place) <= scene.warmC) continue;
      let at = take(scene, choice, place);
      // Whoever looks and goes on learns nothing here: the rest is judged as it was begun.
      if (at.moment === 'looked') at = take(at, { code: 'goOn', kmh: at.kmh }, place);
      minutes += at.minutes - scene.minutes;
      clean += at.moment === 'failed' ? 0 : 1;
    }
    const borne = Array.from({ length: PLACES }, (_, place) => bearsC(place + 1)).filter((c) => c > scene.warmC).length;
    const of = Math.max(1, borne);
    return { minutes: minutes / of, clean: clean / of, halted: 1 - clean / of };
  };
  return { begin, choices, take, expect };
}
