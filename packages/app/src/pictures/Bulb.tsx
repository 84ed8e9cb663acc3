import type { FarmAxle } from '@dunlinmoss/core';
import type { BulbBand } from '@dunlinmoss/core/bulb';
import { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length, percent } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';

interface BulbProps {
  readonly axle: FarmAxle;
  /** The likeliest last: `BULB.from` a band each. */
  readonly bands: readonly BulbBand[];
  /** Below the middle of which tire it is looked at, m. */
  readonly atM: number;
  /** Depths with a name, m, and how likely the soil gives way there. */
  readonly lines: readonly { readonly name: string; readonly depthM: number; readonly chance: number }[];
  /** Where roots stop by one's own cone, m. */
  readonly rootsM: number | null;
  /** What it says, for those who don't see it. */
  readonly label: string;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 300;
const TOP = 70;
const DEPTH_M = 0.8;
const PX = (HEIGHT - TOP - 8) / DEPTH_M;
/** Where roots stop is drawn between the words of the depths: where two lie close, none is struck through. */
const ROOTS = { from: 118, to: WIDTH - 54 };
/** How densely each band is filled. */
const FILLS = [0.14, 0.3, 0.5, 0.72];
/** Hatched from this band on: seen without colors too. */
const HATCHED = 2;

/** What is drawn, m, to one scale across and down, and from which chance on each band is. */
export const BULB = { acrossM: WIDTH / PX, depthM: DEPTH_M, from: [0.1, 0.33, 0.66, 0.9] };

/** The outline of a band as an SVG path. */
const bandPath = ({ rings }: BulbBand, atM: number): string =>
  rings.map((ring) => `${polyline(ring.map(([x, z]) => [px(x, atM), TOP + z * PX] as const))}Z`).join('');

/** What gives way below an axle, by depth, to scale, with the lines that matter. */
export function Bulb({ axle, bands, atM, lines, rootsM, label, units, palette }: BulbProps) {
  const paths = bands.map((band) => bandPath(band, atM));
  const widthPx = axle.tire.widthM * PX;
  return (
    <Frame
      width={WIDTH}
      height={HEIGHT}
      label={label}
      still={<Depths lines={lines} rootsM={rootsM} units={units} palette={palette} />}
    >
      <Defs>
        <Pattern id="gives-way" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.ink} strokeWidth={1} strokeOpacity={0.45} />
        </Pattern>
      </Defs>
      <Rect x={0} y={TOP} width={WIDTH} height={HEIGHT - TOP} fill={palette.card} />
      {bands.map(({ chance }, index) => (
        <Path key={chance} d={paths[index]!} fill={palette.rust} fillOpacity={FILLS[index]!} fillRule="evenodd" />
      ))}
      <Path d={paths[HATCHED] ?? ''} fill="url(#gives-way)" fillRule="evenodd" />
      {axle.tiresAtM.map((x) => (
        <G key={x}>
          <Rect
            x={px(x, atM) - widthPx / 2}
            width={widthPx}
            y={TOP - 58}
            height={58}
            rx={12}
            fill={palette.paper}
            stroke={palette.ink}
            strokeWidth={2}
          />
          <Line
            x1={px(x, atM) - widthPx / 2}
            x2={px(x, atM) + widthPx / 2}
            y1={TOP}
            y2={TOP}
            stroke={palette.ink}
            strokeWidth={4}
          />
        </G>
      ))}
      <Line x1={0} y1={TOP} x2={WIDTH} y2={TOP} stroke={palette.ink} strokeWidth={1.5} />
      {lines.map(({ name, depthM, chance }) => (
        <SvgText
          key={name}
          x={WIDTH - 4}
          y={TOP + depthM * PX + 16}
          textAnchor="end"
          fontFamily={FACES.number}
          fontSize={15}
          fill={palette.ink}
        >
          {percent(chance)}
        </SvgText>
      ))}
    </Frame>
  );
}

type DepthsProps = Pick<BulbProps, 'lines' | 'rootsM' | 'units' | 'palette'>;

/** The depths with a name, and where roots stop: they stand still whatever is dragged. */
function Depths({ lines, rootsM, units, palette }: DepthsProps) {
  return (
    <>
      {lines.map(({ name, depthM }) => (
        <G key={name}>
          <Line
            x1={0}
            y1={TOP + depthM * PX}
            x2={WIDTH}
            y2={TOP + depthM * PX}
            stroke={palette.ink}
            strokeWidth={1}
            strokeDasharray="5 4"
          />
          <SvgText x={4} y={TOP + depthM * PX - 4} fontFamily={FACES.text} fontSize={12} fill={palette.ink}>
            {name}
          </SvgText>
          <SvgText
            x={WIDTH - 4}
            y={TOP + depthM * PX - 4}
            textAnchor="end"
            fontFamily={FACES.number}
            fontSize={13}
            fill={palette.ink}
          >
            {length(1000 * depthM, units)}
          </SvgText>
        </G>
      ))}
      {rootsM !== null && rootsM < DEPTH_M && (
        <G>
          <Line
            x1={ROOTS.from}
            y1={TOP + rootsM * PX}
            x2={ROOTS.to}
            y2={TOP + rootsM * PX}
            stroke={palette.moss}
            strokeWidth={2}
            strokeDasharray="1 4"
          />
          <SvgText x={4} y={TOP + rootsM * PX + 14} fontFamily={FACES.text} fontSize={12} fill={palette.moss}>
            {`roots stop, ${length(1000 * rootsM, units)}`}
          </SvgText>
        </G>
      )}
    </>
  );
}

const px = (m: number, atM: number): number => WIDTH / 2 + (m - atM) * PX;
