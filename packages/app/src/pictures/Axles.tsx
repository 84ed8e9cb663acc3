import {
  isTrailer,
  sideOf,
  wheelsOf,
  type AxlePosition,
  type Standing,
  type WheelCode,
  type WheelCount,
} from '@dunlinmoss/core';
import { useId } from 'react';
import { Circle, Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { AXLE_WORDS } from '../words/axles';
import { mass } from '../words/format';
import { STANDING_SHORT } from '../words/loads';
import { Frame } from './Frame';
import { scaleBar } from './scaleBar';
import { spread } from './spread';

export interface DrawnAxle {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  readonly behindMm: number;
  readonly trackMm: number | null;
  readonly diameterMm: number;
  readonly widthMm: number;
  /** Left to right; undefined where the load is not known. */
  readonly loadsKg: readonly number[] | undefined;
  /** How the loads are known; undefined where they are not. */
  readonly standing: Standing | undefined;
  /** Something wrong that can hurt. */
  readonly danger: boolean;
}

export interface DrawnItem {
  readonly name: string;
  readonly body: 'vehicle' | 'trailer';
  readonly behindMm: number;
  readonly rightMm: number | null;
  readonly massKg: number;
  /** A tank's level, 0 to 1. */
  readonly level?: number;
}

interface AxlesProps {
  readonly axles: readonly DrawnAxle[];
  readonly hitchMm: number | null;
  readonly items: readonly DrawnItem[];
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const MIDDLE = WIDTH / 2;
/** Room for the wheels and what is between them; the rest is for the numbers beside. */
const DRAWN = { width: 132, height: 330 };
const TOP = 16;
/** A pair's two tires stand this far apart, mm. */
const PAIR_GAP_MM = 60;
/** A rig that is drawn is never thought shorter or narrower than this, mm: half-typed numbers must not blow it up. */
const LEAST = { length: 600, track: 300 };
const LABEL_GAP = 34;
/** Radius of the mark of a thing, with its number in it. */
const THING = 9;

/** The axles: a rig from above as rows of wheels at their real spacing, with what stands on each. */
export function Axles({ axles, hitchMm, items, units, palette }: AxlesProps) {
  const hatch = `axles${useId().replace(/\W/g, '')}`;
  const vehicle = axles.some(({ position }) => !isTrailer(position));
  const origin = vehicle ? (hitchMm ?? lastOf(axles)) : 0;
  const along = (body: 'vehicle' | 'trailer', behindMm: number): number =>
    body === 'trailer' ? origin + behindMm : behindMm;
  const placed = axles.map((axle) => ({
    ...axle,
    atMm: along(isTrailer(axle.position) ? 'trailer' : 'vehicle', axle.behindMm),
  }));
  const ends = placed.flatMap(({ atMm, diameterMm }) => [atMm - diameterMm / 2, atMm + diameterMm / 2]);
  const things = items.map((item) => ({ ...item, atMm: along(item.body, item.behindMm) }));
  const firstMm = Math.min(...ends, ...things.map(({ atMm }) => atMm), vehicle ? Infinity : 0);
  const lastMm = Math.max(...ends, ...things.map(({ atMm }) => atMm));
  const across = Math.max(
    LEAST.track,
    ...placed.map(
      ({ trackMm, widthMm, wheels }) => (trackMm ?? 0) + (wheels === 4 ? 2 * widthMm + PAIR_GAP_MM : widthMm),
    ),
  );
  const lengthMm = Math.max(LEAST.length, lastMm - firstMm);
  const pxPerMm = Math.min(DRAWN.height / lengthMm, DRAWN.width / across);
  const y = (atMm: number): number => TOP + (atMm - firstMm) * pxPerMm;
  const x = (rightMm: number): number => MIDDLE + rightMm * pxPerMm;
  const bottom = y(firstMm + lengthMm);
  const bar = scaleBar(units.length, 110 / pxPerMm);
  const height = bottom + 44;
  const rows = spread(
    placed.map(({ atMm }) => y(atMm)),
    LABEL_GAP,
    TOP + 10,
    bottom + 4,
  );

  const label = placed
    .map(({ position, wheels, loadsKg }) => {
      const codes = wheelsOf(wheels);
      const loads = loadsKg?.map((kg, index) => `${WHEEL_SPOKEN[codes[index]!]}${mass(kg, units)}`).join(', ');
      return `${AXLE_WORDS[position]}: ${loads ?? 'load not known'}`;
    })
    .join('; ');

  return (
    <Frame width={WIDTH} height={height} label={`Axles from above. ${label}`}>
      <Defs>
        <Pattern id={hatch} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.rust} strokeWidth={2.4} />
        </Pattern>
      </Defs>
      <Bodies axles={placed} y={y} coupledMm={vehicle && hitchMm === null ? null : origin} palette={palette} />
      {placed.map((axle, index) => (
        <AxleRow
          key={axle.position}
          axle={axle}
          at={y(axle.atMm)}
          labelAt={rows[index]!}
          x={x}
          pxPerMm={pxPerMm}
          hatch={`url(#${hatch})`}
          units={units}
          palette={palette}
        />
      ))}
      {things.map((item, index) => {
        const [cx, cy] = [x(item.rightMm ?? 0), y(item.atMm)];
        return (
          <G key={`${item.name} ${index}`}>
            <Circle cx={cx} cy={cy} r={THING} fill={palette.card} />
            {item.level !== undefined && <Path d={levelPath(cx, cy, THING, item.level)} fill={palette.water} />}
            <Circle cx={cx} cy={cy} r={THING} fill="none" stroke={palette.waterDeep} strokeWidth={1.8} />
            <SvgText x={cx} y={cy + 5} textAnchor="middle" fontFamily={FACES.number} fontSize={13} fill={palette.ink}>
              {String(index + 1)}
            </SvgText>
          </G>
        );
      })}
      <Path
        d={`M${MIDDLE - (bar.lengthMm * pxPerMm) / 2},${height - 26} v7 h${bar.lengthMm * pxPerMm} v-7`}
        stroke={palette.ink}
        strokeWidth={2}
        fill="none"
      />
      <SvgText x={MIDDLE} y={height - 4} textAnchor="middle" fontFamily={FACES.text} fontSize={13} fill={palette.ink}>
        {bar.label}
      </SvgText>
    </Frame>
  );
}

const WHEEL_SPOKEN: Record<WheelCode, string> = {
  single: '',
  left: 'left ',
  right: 'right ',
  leftOuter: 'left outer ',
  leftInner: 'left inner ',
  rightInner: 'right inner ',
  rightOuter: 'right outer ',
};

const lastOf = (axles: readonly DrawnAxle[]): number =>
  Math.max(0, ...axles.filter(({ position }) => !isTrailer(position)).map(({ behindMm }) => behindMm));

interface BodiesProps {
  readonly axles: readonly (DrawnAxle & { readonly atMm: number })[];
  readonly y: (atMm: number) => number;
  /** Where the trailer is coupled; null where nobody knows. */
  readonly coupledMm: number | null;
  readonly palette: Palette;
}

/** The spine of the vehicle and that of what it draws, joined at the coupling. */
function Bodies({ axles, y, coupledMm, palette }: BodiesProps) {
  const towing = axles.filter(({ position }) => !isTrailer(position));
  const towed = axles.filter(({ position }) => isTrailer(position));
  const end = Math.max(...towing.map(({ atMm }) => atMm));
  return (
    <G>
      {towing.length > 1 && (
        <Line
          x1={MIDDLE}
          x2={MIDDLE}
          y1={y(towing[0]!.atMm)}
          y2={y(towed.length > 0 && coupledMm !== null ? Math.max(end, coupledMm) : end)}
          stroke={palette.muted}
          strokeWidth={3}
        />
      )}
      {towed.length > 0 && coupledMm !== null && (
        <G>
          <Line
            x1={MIDDLE}
            x2={MIDDLE}
            y1={y(coupledMm)}
            y2={y(Math.max(...towed.map(({ atMm }) => atMm)))}
            stroke={palette.muted}
            strokeWidth={2}
            strokeDasharray="7 4"
          />
          <Circle cx={MIDDLE} cy={y(coupledMm)} r={4.5} fill={palette.card} stroke={palette.ink} strokeWidth={2} />
        </G>
      )}
    </G>
  );
}

interface AxleRowProps {
  readonly axle: DrawnAxle;
  readonly at: number;
  readonly labelAt: number;
  readonly x: (rightMm: number) => number;
  readonly pxPerMm: number;
  readonly hatch: string;
  readonly units: Units;
  readonly palette: Palette;
}

function AxleRow({ axle, at, labelAt, x, pxPerMm, hatch, units, palette }: AxleRowProps) {
  const { wheels, trackMm, diameterMm, widthMm, loadsKg, standing, danger, position } = axle;
  const half = (trackMm ?? 0) / 2;
  const pair = (widthMm + PAIR_GAP_MM) / 2;
  const places: Record<WheelCode, number> = {
    single: 0,
    left: -half,
    right: half,
    leftOuter: -half - pair,
    leftInner: -half + pair,
    rightInner: half - pair,
    rightOuter: half + pair,
  };
  const codes = wheelsOf(wheels);
  const [width, height] = [Math.max(widthMm * pxPerMm, 5), Math.max(diameterMm * pxPerMm, 9)];
  const outermost = Math.max(...codes.map((code) => x(places[code]))) + width / 2;
  const edge = outermost - MIDDLE;
  const onSide = (side: 'left' | 'right'): number | undefined =>
    loadsKg && Math.max(...loadsKg.filter((_, index) => sideOf(codes[index]!) === side));
  const text = (kg: number | undefined): string =>
    kg === undefined ? '?' : `${wheels === 4 ? '2 × ' : ''}${mass(kg, units)}`;
  const [axleName, known] = [AXLE_WORDS[position].toLowerCase(), standing && STANDING_SHORT[standing]];
  const sides: readonly (readonly ['start' | 'end', number, string, string | undefined])[] =
    wheels === 1
      ? [['start', 1, text(loadsKg?.[0]), known ? `${axleName}, ${known}` : axleName]]
      : [
          ['end', -1, text(onSide('left')), axleName],
          ['start', 1, text(onSide('right')), known],
        ];
  return (
    <G>
      {wheels > 1 && <Line x1={x(-half)} x2={x(half)} y1={at} y2={at} stroke={palette.muted} strokeWidth={3} />}
      {codes.map((code) => (
        <G key={code}>
          <Rect
            x={x(places[code]) - width / 2}
            y={at - height / 2}
            width={width}
            height={height}
            rx={Math.min(3, width / 3)}
            fill={palette.ink}
          />
          {danger && (
            <Rect
              x={x(places[code]) - width / 2 - 3}
              y={at - height / 2 - 3}
              width={width + 6}
              height={height + 6}
              fill={hatch}
              stroke={palette.rust}
              strokeWidth={1.5}
            />
          )}
        </G>
      ))}
      {sides.map(([anchor, sign, loadText, caption]) => (
        <G key={anchor}>
          <Path
            d={`M${MIDDLE + sign * (edge + 3)},${at} L${MIDDLE + sign * (edge + 9)},${labelAt} h${sign * 4}`}
            stroke={palette.muted}
            strokeWidth={1}
            fill="none"
          />
          <SvgText
            x={MIDDLE + sign * (edge + 16)}
            y={labelAt + 2}
            textAnchor={anchor}
            fontFamily={FACES.number}
            fontSize={18}
            fill={danger ? palette.rust : palette.ink}
          >
            {loadText}
          </SvgText>
          <SvgText
            x={MIDDLE + sign * (edge + 16)}
            y={labelAt + 16}
            textAnchor={anchor}
            fontFamily={FACES.text}
            fontSize={12}
            fill={palette.muted}
          >
            {caption}
          </SvgText>
        </G>
      ))}
    </G>
  );
}

/** The filled part of a round tank. */
function levelPath(cx: number, cy: number, r: number, level: number): string {
  if (level >= 1) return `M${cx - r},${cy} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0`;
  const depth = r - 2 * r * level;
  const half = Math.sqrt(Math.max(0, r * r - depth * depth));
  return `M${cx - half},${cy + depth} A${r},${r} 0 ${level > 0.5 ? 1 : 0} 0 ${cx + half},${cy + depth} Z`;
}
