import { useId, useMemo } from 'react';
import { Circle, ClipPath, Defs, G, Line, Path, Pattern, Rect } from 'react-native-svg';

import type { Palette } from '../theme/palette';
import { bodiesOf, DRIVEN, drivenPlaces, FAR_PX, pxPerM, turnedM, type Driven } from './drivenPlaces';
import { Frame } from './Frame';
import { polyline } from './polyline';

interface DrivenCutProps {
  readonly driven: Driven;
  /** Where it is soft, m along the way, and how deep that is drawn. */
  readonly soft: { readonly fromM: number; readonly toM: number; readonly depthM: number };
  /** At which time it is drawn, s. */
  readonly atS: number;
  /** What it says, for those who don't see it. */
  readonly label: string;
  readonly palette: Palette;
}

const STEP_M = 0.25;
const BEYOND_M = 14;
/** How deep ground is drawn that has no bottom, px. */
const BELOW_PX = 60;

/** A machine from the side on the way it drives, sunk and dug in as it is, to one scale. */
export function DrivenCut({ driven, soft, atS, label, palette }: DrivenCutProps) {
  const id = useId().replace(/\W/g, '');
  const { frames, shape, heightM } = driven;
  const px = pxPerM(shape);
  const turned = useMemo(() => turnedM(frames), [frames]);
  const at = drivenPlaces(driven, turned, atS);
  const way = useMemo(() => wayPath(heightM, soft, px), [heightM, soft, px]);
  const rut = useMemo(() => rutPath(driven, px), [driven, px]);
  return (
    <Frame width={DRIVEN.width} height={DRIVEN.height} label={label}>
      <Defs>
        <Pattern id={`soft${id}`} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.ink} strokeWidth={1} strokeOpacity={0.4} />
        </Pattern>
      </Defs>
      <G transform={at.world}>
        <Defs>
          <ClipPath id={`pressed${id}`}>
            <Rect x={-FAR_PX} width={at.pressedPx} y={-2000} height={4000} />
          </ClipPath>
        </Defs>
        {bodiesOf(shape).map((axles, body) => (
          <G key={body} transform={at.bodies[body]!}>
            <Path d={bodyPath(shape, axles, px)} fill={palette.mossWash} stroke={palette.ink} strokeWidth={1.5} />
          </G>
        ))}
        <Path d={way.ground} fill={palette.line} />
        <Path d={way.soft} fill={palette.paper} />
        <Path d={way.soft} fill={`url(#soft${id})`} />
        <Path d={way.surface} fill="none" stroke={palette.ink} strokeWidth={1.5} />
        <G clipPath={`url(#pressed${id})`}>
          <Path d={rut.hollow} fill={palette.card} />
          <Path d={rut.floor} fill="none" stroke={palette.ink} strokeWidth={1.5} />
        </G>
        {shape.axles.map(({ radiusM, bendM }, axle) => (
          <G key={axle} transform={at.wheels[axle]!}>
            <Path d={tirePath(radiusM * px, bendM * px)} fill={palette.card} stroke={palette.ink} strokeWidth={2.5} />
            <G transform={at.spokes[axle]!}>
              {[0, 60, 120].map((degrees) => {
                const reach = (radiusM - bendM) * px * 0.6;
                const [x, y] = [
                  reach * Math.cos((degrees * Math.PI) / 180),
                  reach * Math.sin((degrees * Math.PI) / 180),
                ];
                return <Line key={degrees} x1={-x} y1={-y} x2={x} y2={y} stroke={palette.moss} strokeWidth={2} />;
              })}
            </G>
            <Circle r={2.5} fill={palette.ink} />
          </G>
        ))}
      </G>
    </Frame>
  );
}

/** How far a body reaches beyond its outer axles, and how high its box and its cab stand, m. Of no machine in particular. */
const BODY = { beyondM: 0.55, boxM: 0.55, cabM: 0.5 };
/** A trailer's box, as far around its axles. */
const TRAILER = { beyondM: 1.5, boxM: 0.9 };

/** A box on its axles, with a cab behind the middle where there is one; it drives to the right. */
function bodyPath({ axles: all, bellyM, cab: hasCab }: Driven['shape'], axles: readonly number[], px: number): string {
  const [front, rear] = [all[axles[0]!]!, all[axles.at(-1)!]!];
  const { beyondM, boxM } = front.trailer ? TRAILER : BODY;
  const half = (rear.behindM - front.behindM) / 2 + beyondM;
  const box = bellyM + boxM;
  const cab: [number, number][] =
    front.trailer || !hasCab
      ? []
      : [
          [0.42 * half, box],
          [0.2 * half, box + BODY.cabM],
          [-0.72 * half, box + BODY.cabM],
          [-0.86 * half, box],
        ];
  const outline: [number, number][] = [
    [-half, bellyM],
    [half, bellyM],
    [half, box - 0.1],
    [half - 0.12, box],
    ...cab,
    [-half, box],
  ];
  return `${polyline(outline.map(([x, y]) => [round(x * px), round(-y * px)] as const))}Z`;
}

/** A round tire, flat by how far it settles. */
function tirePath(radius: number, bend: number): string {
  const half = Math.sqrt(Math.max(0, radius ** 2 - (radius - bend) ** 2));
  const foot = radius - bend;
  return `M${-half},${foot}A${radius},${radius} 0 1 1 ${half},${foot}Z`;
}

function wayPath(heightM: Driven['heightM'], soft: DrivenCutProps['soft'], px: number) {
  const along = (fromM: number, toM: number): [number, number][] => {
    const points: [number, number][] = [];
    for (let atM = fromM; atM < toM; atM += STEP_M) points.push([round(atM * px), round(-heightM(atM) * px)]);
    return [...points, [round(toM * px), round(-heightM(toM) * px)]];
  };
  const surface = along(-BEYOND_M, soft.toM + BEYOND_M);
  const softTop = along(soft.fromM, soft.toM);
  const depth = Math.min(BELOW_PX, soft.depthM * px);
  const under = softTop.map(([x, y]) => [x, y + depth] as const).reverse();
  return {
    surface: polyline(surface),
    ground: `${polyline(surface)}L${surface.at(-1)![0]},400L${surface[0]![0]},400Z`,
    soft: `${polyline([...softTop, ...under])}Z`,
  };
}

/** What the last wheels leave behind: never shallower than they stood anywhere near. */
function rutPath({ frames, shape, heightM }: Driven, px: number) {
  const last = shape.axles.length - 1;
  const { behindM } = shape.axles[last]!;
  const floor: [number, number][] = [];
  for (const { atM, sunkM } of frames) {
    const xM = atM - behindM;
    const x = round(xM * px);
    const y = round((-heightM(xM) + sunkM[last]!) * px);
    const before = floor.at(-1);
    if (before && x <= before[0]) before[1] = Math.max(before[1], y);
    else floor.push([x, y]);
  }
  const top = floor.map(([x]) => [x, round(-heightM(x / px) * px) - 1] as const).reverse();
  return { floor: polyline(floor), hollow: floor.length === 0 ? '' : `${polyline([...floor, ...top])}Z` };
}

const round = (value: number): number => Math.round(10 * value) / 10;
