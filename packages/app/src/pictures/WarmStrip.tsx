import { LIMP_KM, type LimpFrame } from '@dunlinmoss/core';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressureFine } from '../words/format';
import { way } from '../words/way';
import { Frame } from './Frame';
import { polyline } from './polyline';

interface WarmStripProps {
  readonly driven: readonly LimpFrame[];
  /** What the best choice would have come to. */
  readonly beside: readonly LimpFrame[];
  /** As warm as it may get: its rise over cold. */
  readonly warmKpa: number;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 170;
const BOX = { left: 8, right: 332, top: 14, foot: 140 };

/** What the gauge shows over cold along the way home: as driven, and dashed as the best choice would have been. */
export function WarmStrip({ driven, beside, warmKpa, units, palette }: WarmStripProps) {
  const most = Math.max(1.6 * warmKpa, ...driven.map(({ riseKpa }) => riseKpa)) * 1.05;
  const x = (km: number): number => BOX.left + (km / LIMP_KM) * (BOX.right - BOX.left);
  const y = (kpa: number): number => BOX.foot - (kpa / most) * (BOX.foot - BOX.top);
  const path = (frames: readonly LimpFrame[]): string =>
    polyline(frames.map(({ atKm, riseKpa }) => [x(Math.min(LIMP_KM, atKm)), y(riseKpa)] as const));
  const last = driven.at(-1);
  return (
    <Frame
      width={WIDTH}
      height={HEIGHT}
      label={`The gauge over cold along the way: ${last ? pressureFine(last.riseKpa, units) : 'nothing'} at the end; more than ${pressureFine(warmKpa, units)} is too hot`}
    >
      <Line x1={BOX.left} y1={BOX.foot} x2={BOX.right} y2={BOX.foot} stroke={palette.ink} strokeWidth={1.5} />
      <G>
        <Line
          x1={BOX.left}
          y1={y(warmKpa)}
          x2={BOX.right}
          y2={y(warmKpa)}
          stroke={palette.rust}
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
        <SvgText
          x={BOX.right}
          y={y(warmKpa) - 5}
          textAnchor="end"
          fontFamily={FACES.text}
          fontSize={13}
          fill={palette.rust}
        >
          {`${pressureFine(warmKpa, units)} over cold`}
        </SvgText>
      </G>
      <Path d={path(beside)} fill="none" stroke={palette.moss} strokeWidth={2} strokeDasharray="7 5" />
      <Path d={path(driven)} fill="none" stroke={palette.ink} strokeWidth={3} />
      <SvgText x={BOX.left} y={HEIGHT - 10} fontFamily={FACES.number} fontSize={14} fill={palette.muted}>
        {way(0, units)}
      </SvgText>
      <SvgText
        x={BOX.right}
        y={HEIGHT - 10}
        textAnchor="end"
        fontFamily={FACES.number}
        fontSize={14}
        fill={palette.muted}
      >
        {way(1000 * LIMP_KM, units)}
      </SvgText>
    </Frame>
  );
}
