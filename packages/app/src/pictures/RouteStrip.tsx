import { canBog, groundOf, type GroundCode, type TrackProfile } from '@dunlinmoss/core';
import { useId } from 'react';
import { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressureNumber } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';

export interface StripStretch {
  readonly ground: GroundCode;
  readonly lengthM: number;
  /** What is in each axle's tires on it, kPa; none without a plan. */
  readonly levelsKpa: readonly number[];
  /** One stops before it. */
  readonly stop: boolean;
}

interface RouteStripProps {
  readonly stretches: readonly StripStretch[];
  /** How the way goes up and down, where a track says so. */
  readonly profile: TrackProfile | undefined;
  /** What it says, for those who don't see it. */
  readonly label: string;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 190;
const LEVELS = { top: 34, foot: 112 };
const WAY = { top: 130, foot: 168 };
/** A number is written where so much room is left for it. */
const NUMBER_PX = 34;
const ORDINAL_PX = 9;

/** The day as a strip, its lengths to scale: pressure as water along the way, a post at every stop, soft ground hatched. */
export function RouteStrip({ stretches, profile, label, units, palette }: RouteStripProps) {
  const hatch = `soft${useId().replace(/\W/g, '')}`;
  const most = Math.max(1, ...stretches.flatMap(({ levelsKpa }) => levelsKpa)) * 1.05;
  const placed = placedAlong(stretches);
  const levelY = (kpa: number): number => LEVELS.foot - (kpa / most) * (LEVELS.foot - LEVELS.top);
  const hill = profile && hillOf(profile);
  return (
    <Frame width={WIDTH} height={HEIGHT} label={label}>
      <Defs>
        <Pattern id={hatch} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.ink} strokeWidth={1.2} strokeOpacity={0.55} />
        </Pattern>
      </Defs>
      {placed.map(({ ground, x, width, levelsKpa }, index) => {
        const top = Math.max(0, ...levelsKpa);
        const bogs = canBog(groundOf(ground));
        return (
          <G key={index}>
            {levelsKpa.length > 0 && (
              <Rect
                x={x}
                y={levelY(top)}
                width={width}
                height={LEVELS.foot - levelY(top)}
                fill={palette.water}
                fillOpacity={0.55}
              />
            )}
            {!hill && (
              <Rect
                x={x}
                y={WAY.foot - 14}
                width={width}
                height={14}
                fill={palette.mossWash}
                stroke={palette.line}
                strokeWidth={0.5}
              />
            )}
            {bogs && (
              <Rect
                x={x}
                y={hill ? WAY.top : WAY.foot - 14}
                width={width}
                height={hill ? WAY.foot - WAY.top : 14}
                fill={`url(#${hatch})`}
              />
            )}
          </G>
        );
      })}
      {hill && (
        <Path
          d={`${hill} L${WIDTH} ${WAY.foot} L0 ${WAY.foot} Z`}
          fill={palette.mossWash}
          fillOpacity={0.8}
          stroke={palette.moss}
          strokeWidth={1.2}
        />
      )}
      {placed.map(({ levelsKpa, x, width }, index) =>
        levelsKpa.map((kpa, axle) => (
          <Line
            key={`${index} ${axle}`}
            x1={x}
            x2={x + width}
            y1={levelY(kpa)}
            y2={levelY(kpa)}
            stroke={palette.waterDeep}
            strokeWidth={2.5}
            strokeDasharray={axle === 0 ? undefined : '6 3'}
          />
        )),
      )}
      <Line x1={0} y1={LEVELS.foot} x2={WIDTH} y2={LEVELS.foot} stroke={palette.ink} strokeWidth={1.5} />
      <Line x1={0} y1={WAY.foot} x2={WIDTH} y2={WAY.foot} stroke={palette.ink} strokeWidth={1} />
      {placed.map(({ levelsKpa, x, width, stop }, index) => (
        <G key={index}>
          {index > 0 && <Line x1={x} x2={x} y1={WAY.top} y2={WAY.foot} stroke={palette.line} strokeWidth={1} />}
          {stop && <Post x={Math.max(5, x)} palette={palette} />}
          {levelsKpa.length > 0 && !sameAsBefore(placed, index) && (
            <SvgText
              x={Math.max(16, Math.min(WIDTH - 16, x + width / 2))}
              // Where there is no room over the water, below it.
              y={width >= NUMBER_PX ? levelY(Math.max(...levelsKpa)) - 5 : LEVELS.foot + 13}
              textAnchor="middle"
              fontFamily={FACES.strong}
              fontSize={13}
              fill={palette.ink}
            >
              {[...new Set(levelsKpa.map((kpa) => pressureNumber(kpa, units)))].join('/')}
            </SvgText>
          )}
          {width >= ORDINAL_PX && (
            <SvgText
              x={x + width / 2}
              y={HEIGHT - 6}
              textAnchor="middle"
              fontFamily={FACES.number}
              fontSize={13}
              fill={palette.muted}
            >
              {String(index + 1)}
            </SvgText>
          )}
        </G>
      ))}
      <SvgText x={2} y={13} fontFamily={FACES.text} fontSize={12} fill={palette.muted}>
        {`${units.pressure} in the tires along the way; a post is a stop`}
      </SvgText>
    </Frame>
  );
}

/** Where each stretch begins and how wide it is, to scale. */
function placedAlong(stretches: readonly StripStretch[]) {
  const total = stretches.reduce((sum, { lengthM }) => sum + lengthM, 0);
  let along = 0;
  return stretches.map((stretch) => {
    const x = (along / total) * WIDTH;
    along += stretch.lengthM;
    return { ...stretch, x, width: (stretch.lengthM / total) * WIDTH };
  });
}

const sameAsBefore = (placed: readonly StripStretch[], index: number): boolean =>
  index > 0 &&
  placed[index]!.levelsKpa.every((kpa, axle) => Math.abs(kpa - (placed[index - 1]!.levelsKpa[axle] ?? 0)) < 0.5);

function Post({ x, palette }: { readonly x: number; readonly palette: Palette }) {
  return (
    <G>
      <Line x1={x} x2={x} y1={22} y2={LEVELS.foot} stroke={palette.ink} strokeWidth={2} />
      <Rect x={x - 4.5} y={19} width={9} height={9} fill={palette.ink} />
    </G>
  );
}

/** The way up and down across the strip, drawn over its own range. */
function hillOf({ alongM, elevationM }: TrackProfile): string | undefined {
  if (!elevationM) return undefined;
  const end = alongM.at(-1)!;
  const [low, high] = [Math.min(...elevationM), Math.max(...elevationM)];
  // A flat day is drawn flat: ten meters are the least that fills the height.
  const range = Math.max(10, high - low);
  const step = Math.max(1, Math.floor(alongM.length / WIDTH));
  const points = alongM.flatMap((at, index) =>
    index % step === 0 || index === alongM.length - 1
      ? [[(at / end) * WIDTH, WAY.foot - 4 - ((elevationM[index]! - low) / range) * (WAY.foot - WAY.top - 6)] as const]
      : [],
  );
  return polyline(points);
}
