import type { FarmAxle } from '@dunlinmoss/core';
import type { BulbBand } from '@dunlinmoss/core/bulb';
import { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';

interface BulbProps {
  readonly axle: FarmAxle;
  /** The likeliest last: `BULB.from` a band each. */
  readonly bands: readonly BulbBand[];
  /** Below the middle of which tire it is looked at, m. */
  readonly atM: number;
  /** Depths with a name, m. */
  readonly lines: readonly { readonly name: string; readonly depthM: number }[];
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
/** How densely each band is filled. */
const FILLS = [0.14, 0.3, 0.5, 0.72];
/** Hatched from this band on: seen without colors too. */
const HATCHED = 2;

/** What is drawn, m, to one scale across and down, and from which chance on each band is. */
export const BULB = { acrossM: WIDTH / PX, depthM: DEPTH_M, from: [0.1, 0.33, 0.66, 0.9] };

/** What gives way below an axle, by depth, to scale, with the lines that matter. */
export function Bulb({ axle, bands, atM, lines, label, units, palette }: BulbProps) {
  const paths = bands.map(({ rings }) =>
    rings.map((ring) => `${polyline(ring.map(([x, z]) => [px(x, atM), TOP + z * PX] as const))}Z`).join(''),
  );
  const widthPx = axle.tire.widthM * PX;
  return (
    <Frame width={WIDTH} height={HEIGHT} label={label}>
      <Defs>
        <Pattern id="gives-way" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.ink} strokeWidth={1} strokeOpacity={0.45} />
        </Pattern>
      </Defs>
      <Rect x={0} y={TOP} width={WIDTH} height={HEIGHT - TOP} fill={palette.card} />
      {paths.map((d, index) => (
        <Path key={bands[index]!.chance} d={d} fill={palette.rust} fillOpacity={FILLS[index]!} fillRule="evenodd" />
      ))}
      <Path d={paths[HATCHED] ?? ''} fill="url(#gives-way)" fillRule="evenodd" />
      {axle.tiresAtM.map((x) => (
        <G key={x}>
          <Rect
            x={px(x, atM) - widthPx / 2}
            y={TOP - 58}
            width={widthPx}
            height={58}
            rx={12}
            fill={palette.paper}
            stroke={palette.ink}
            strokeWidth={2}
          />
          <Line
            x1={px(x, atM) - widthPx / 2}
            y1={TOP}
            x2={px(x, atM) + widthPx / 2}
            y2={TOP}
            stroke={palette.ink}
            strokeWidth={4}
          />
        </G>
      ))}
      <Line x1={0} y1={TOP} x2={WIDTH} y2={TOP} stroke={palette.ink} strokeWidth={1.5} />
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
    </Frame>
  );
}

const px = (m: number, atM: number): number => WIDTH / 2 + (m - atM) * PX;
