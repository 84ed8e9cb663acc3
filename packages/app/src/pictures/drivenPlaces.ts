import { FRAME_S, type Frame } from '@dunlinmoss/core';

/** A machine as it is drawn from the side, m. */
export interface DrivenShape {
  readonly axles: readonly {
    readonly behindM: number;
    readonly radiusM: number;
    /** How far its tires settle at this pressure. */
    readonly bendM: number;
    readonly trailer: boolean;
  }[];
  readonly bellyM: number;
  /** A cab stands on it. */
  readonly cab: boolean;
}

/** A drive to be drawn: its frames, and the height of the way. */
export interface Driven {
  readonly frames: readonly Frame[];
  readonly shape: DrivenShape;
  readonly heightM: (atM: number) => number;
}

export const DRIVEN = { width: 340, height: 138, groundPx: 92, aheadM: 4.2, behindM: 1.9 };

/** Left of all that is drawn, px. */
export const FAR_PX = 1000;

/** How many px a meter is: the whole machine and a bit of the way are seen. */
export function pxPerM({ axles }: DrivenShape): number {
  const spreadM = axles.at(-1)!.behindM;
  return Math.min(46, DRIVEN.width / (spreadM + DRIVEN.aheadM + DRIVEN.behindM));
}

/** The frame at a time, straight between those that are kept; before the first and after the last it stands. */
export function frameAt(frames: readonly Frame[], timeS: number): Frame {
  const first = frames[0]!;
  const place = Math.min(frames.length - 1, Math.max(0, (timeS - first.timeS) / FRAME_S));
  const index = Math.min(frames.length - 1, Math.floor(place));
  const [a, b] = [frames[index]!, frames[Math.min(frames.length - 1, index + 1)]!];
  const share = place - index;
  const mix = (from: number, to: number): number => from + (to - from) * share;
  return {
    timeS,
    atM: mix(a.atM, b.atM),
    speedMs: mix(a.speedMs, b.speedMs),
    wheelMs: mix(a.wheelMs, b.wheelMs),
    sunkM: a.sunkM.map((each, axle) => mix(each, b.sunkM[axle]!)),
  };
}

/** How far the wheels have turned since the first frame, m of their tread, for each frame. */
export function turnedM(frames: readonly Frame[]): readonly number[] {
  let sum = 0;
  return frames.map(({ wheelMs }, index) => (index === 0 ? 0 : (sum += wheelMs * FRAME_S)));
}

/** Machines whose own wheels carry them: the one in front, and a trailer. */
export const bodiesOf = ({ axles }: DrivenShape): readonly (readonly number[])[] => {
  const of = (trailer: boolean): number[] => axles.flatMap((axle, index) => (axle.trailer === trailer ? [index] : []));
  return [of(false), of(true)].filter((body) => body.length > 0);
};

/** Where the parts of the picture are at a time, as SVG transforms. */
export interface DrivenPlaces {
  readonly world: string;
  /** How far the last wheels have come, px from the left end of the way. */
  readonly pressedPx: number;
  /** Each axle's wheel, and its spokes within it. */
  readonly wheels: readonly string[];
  readonly spokes: readonly string[];
  readonly bodies: readonly string[];
}

export function drivenPlaces(
  { frames, shape, heightM }: Driven,
  turned: readonly number[],
  timeS: number,
): DrivenPlaces {
  const px = pxPerM(shape);
  const frame = frameAt(frames, timeS);
  const index = Math.min(frames.length - 1, Math.max(0, Math.round((timeS - frames[0]!.timeS) / FRAME_S)));
  const spreadM = shape.axles.at(-1)!.behindM;
  // More of what is ahead than of what lies behind.
  const middleM = frame.atM + (DRIVEN.aheadM - DRIVEN.behindM - spreadM) / 2;
  const hubs = shape.axles.map(({ behindM, radiusM, bendM }, axle) => {
    const xM = frame.atM - behindM;
    const yM = heightM(xM) - frame.sunkM[axle]! + radiusM - bendM;
    const degrees = ((turned[index]! / radiusM) * 180) / Math.PI;
    return {
      xM,
      footM: yM - radiusM + bendM,
      wheel: `translate(${(xM * px).toFixed(1)} ${(-yM * px).toFixed(1)})`,
      spokes: `rotate(${(degrees % 360).toFixed(1)})`,
    };
  });
  const bodies = bodiesOf(shape).map((axles) => {
    const [front, rear] = [hubs[axles[0]!]!, hubs[axles.at(-1)!]!];
    const tilt = axles.length > 1 ? Math.atan2(rear.footM - front.footM, front.xM - rear.xM) : 0;
    const [xM, footM] = [(front.xM + rear.xM) / 2, (front.footM + rear.footM) / 2];
    return `translate(${(xM * px).toFixed(1)} ${(-footM * px).toFixed(1)}) rotate(${((tilt * 180) / Math.PI).toFixed(2)})`;
  });
  return {
    world: `translate(${(DRIVEN.width / 2 - middleM * px).toFixed(1)} ${(DRIVEN.groundPx + heightM(middleM) * px).toFixed(1)})`,
    pressedPx: Math.max(0, FAR_PX + (frame.atM - spreadM) * px),
    wheels: hubs.map(({ wheel }) => wheel),
    spokes: hubs.map(({ spokes }) => spokes),
    bodies,
  };
}
