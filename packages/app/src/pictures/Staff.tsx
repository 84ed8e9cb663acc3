import { fromCanonical } from '@dunlinmoss/core';
import { scaleLinear } from 'd3-scale';
import { memo, useId } from 'react';
import { Defs, G, Line, Pattern, Polygon, Polyline, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressure, pressureNumber } from '../words/format';
import { Frame } from './Frame';
import { spread } from './spread';
import { useTween } from './useTween';

export interface StaffAxle {
  readonly name: string;
  readonly startKpa: number;
  readonly lowKpa: number;
  readonly highKpa: number;
  readonly floorKpa: number;
  /** Null where there is no road pressure to compare with. */
  readonly roadKpa: number | null;
  /** The most it may have, where that is known. */
  readonly ceilingKpa?: number | null;
}

interface StaffProps {
  /** What the high mark is called; on a bicycle it is what it is ridden with now. */
  readonly roadName?: string;
  /** Follows a finger: the water stands where it is put, at once. */
  readonly still?: boolean;
  readonly axles: readonly StaffAxle[];
  /** What the height of the board goes by, where that is not the axles themselves. */
  readonly board?: StaffAxle;
  /** Without words beside the lanes: the numbers stand beside the picture. */
  readonly bare?: boolean;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
/** One axle has its lane on the left, and nothing on the right. */
const WIDTH_OF_ONE = 216;
const TOP = 26;
const BOTTOM = 296;
const HEIGHT = 306;
const BOARD = { left: 141, right: 199 };
const LANE = 42;
const LABEL_GAP = 23;
/** Room for the line round the outer lanes. */
const EDGE = 12;

/** How wide the picture is without words: the board, and a lane for each axle. */
const bareWidth = (axles: number): number =>
  BOARD.right - BOARD.left + axles * (LANE + EDGE) + (axles === 1 ? EDGE : 0);

/** The top of the board: above the road, or well above the window where there is no road to compare with. */
export const topOf = (axles: readonly StaffAxle[]): number =>
  Math.max(
    ...axles.map(({ roadKpa, startKpa, highKpa }) =>
      Math.max((roadKpa ?? 0) * 1.08, startKpa * 1.08, highKpa * 1.08, roadKpa === null ? highKpa * 1.4 : 0),
    ),
  );

/** Where the board is in the picture, as shares of its height: its top, and from the foot of the picture its foot. */
export const BOARD_INSET = { top: TOP / HEIGHT, bottom: 1 - BOTTOM / HEIGHT };

/**
 * The staff: pressure as water on a graduated board, a lane for each axle. The window of the ground is the band beside
 * the lane, the floor its hatched foot, road pressure the mark above.
 */
export function Staff({ axles, board, units, palette, roadName = 'road', still = false, bare = false }: StaffProps) {
  const hatch = `hatch${useId().replace(/\W/g, '')}`;
  const top = topOf(board ? [board] : axles);
  const levels = useTween(
    axles.map(({ startKpa }) => startKpa),
    still,
  );

  const label = axles
    .map(
      (axle) =>
        `${axle.name} ${pressure(axle.startKpa, units)}, window ${pressure(axle.lowKpa, units)} to ${pressure(axle.highKpa, units)}, floor ${pressure(axle.floorKpa, units)}${axle.roadKpa === null ? '' : `, ${roadName} ${pressure(axle.roadKpa, units)}`}`,
    )
    .join('; ');

  return (
    <Frame
      left={bare ? BOARD.left - LANE - EDGE : 0}
      width={bare ? bareWidth(axles.length) : axles.length === 1 ? WIDTH_OF_ONE : WIDTH}
      height={HEIGHT}
      label={`Staff. ${label}`}
      still={<Board top={top} unit={units.pressure} palette={palette} />}
    >
      <Hatch id={hatch} palette={palette} />
      {axles.map((axle, index) => (
        <Lane
          key={axle.name}
          axle={axle}
          level={levels[index]!}
          side={index === 0 ? 'left' : 'right'}
          top={top}
          hatch={`url(#${hatch})`}
          units={units}
          palette={palette}
          roadName={roadName}
          bare={bare}
        />
      ))}
    </Frame>
  );
}

interface BoardProps {
  readonly top: number;
  readonly unit: Units['pressure'];
  readonly palette: Palette;
}

/** The graduated board itself: it stands still while the water moves. */
const Board = memo(function Board({ top, unit, palette }: BoardProps) {
  const inUnit = scaleLinear()
    .domain([0, fromCanonical('pressure', unit, top)])
    .range([BOTTOM, TOP]);
  const majors = inUnit.ticks(8);
  const minors = inUnit.ticks(32);
  return (
    <>
      <Rect
        x={BOARD.left}
        y={TOP - 8}
        width={BOARD.right - BOARD.left}
        height={BOTTOM - TOP + 8}
        fill={palette.card}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      {minors.map((tick) => (
        <G key={tick}>
          <Line
            x1={BOARD.left}
            x2={BOARD.left + 5}
            y1={inUnit(tick)}
            y2={inUnit(tick)}
            stroke={palette.muted}
            strokeWidth={1}
          />
          <Line
            x1={BOARD.right - 5}
            x2={BOARD.right}
            y1={inUnit(tick)}
            y2={inUnit(tick)}
            stroke={palette.muted}
            strokeWidth={1}
          />
        </G>
      ))}
      {majors.map((tick) => (
        <G key={tick}>
          <Line
            x1={BOARD.left}
            x2={BOARD.left + 11}
            y1={inUnit(tick)}
            y2={inUnit(tick)}
            stroke={palette.ink}
            strokeWidth={2}
          />
          <Line
            x1={BOARD.right - 11}
            x2={BOARD.right}
            y1={inUnit(tick)}
            y2={inUnit(tick)}
            stroke={palette.ink}
            strokeWidth={2}
          />
          {tick > 0 && (
            <SvgText
              x={(BOARD.left + BOARD.right) / 2}
              y={inUnit(tick) + 5}
              textAnchor="middle"
              fontFamily={FACES.number}
              fontSize={14}
              fill={palette.ink}
            >
              {String(tick)}
            </SvgText>
          )}
        </G>
      ))}
      <SvgText
        x={(BOARD.left + BOARD.right) / 2}
        y={12}
        textAnchor="middle"
        fontFamily={FACES.strong}
        fontSize={13}
        fill={palette.muted}
      >
        {unit}
      </SvgText>
    </>
  );
});

interface LanePlaces {
  readonly axle: StaffAxle;
  /** Where the water stands, kPa. */
  readonly level: number;
  readonly side: 'left' | 'right';
  readonly top: number;
  readonly units: Units;
  readonly roadName: string;
}

interface LaneProps extends LanePlaces {
  readonly bare: boolean;
  readonly hatch: string;
  readonly palette: Palette;
}

const heightOf =
  (top: number) =>
  (kpa: number): number =>
    BOTTOM - (kpa / top) * (BOTTOM - TOP);

const laneAt = (side: 'left' | 'right') => {
  const left = side === 'left';
  const x = left ? BOARD.left - LANE : BOARD.right;
  return { left, x, outer: left ? x : x + LANE, away: left ? -1 : 1 };
};

/** Where the water and the words of a lane stand. */
function placesOf({ axle, level, side, top, units, roadName }: LanePlaces) {
  const y = heightOf(top);
  const { x, outer, away } = laneAt(side);
  const marks = [
    ...(axle.roadKpa === null ? [] : [{ name: 'road', kpa: axle.roadKpa, called: roadName }]),
    { name: 'level', kpa: axle.startKpa, called: axle.name },
    { name: 'floor', kpa: axle.floorKpa, called: 'floor' },
  ];
  const places = spread(
    marks.map(({ kpa }) => y(kpa)),
    LABEL_GAP,
    TOP - 8,
    BOTTOM - 4,
  );
  const surface = surfaceAt(x, y(level));
  return {
    water: {
      points: pointsOf([...surface, [x + LANE, BOTTOM], [x, BOTTOM]]),
    },
    surface: { points: pointsOf(surface) },
    marks: marks.map(({ name, kpa, called }, index) => ({
      name,
      line: {
        points: pointsOf([
          [outer, y(kpa)],
          [outer + away * 13, y(kpa)],
          [outer + away * 19, places[index]!],
        ]),
      },
      text: { y: places[index]! + (name === 'level' ? 6 : 5), words: `${called} ${pressureNumber(kpa, units)}` },
    })),
  };
}

function Lane({ hatch, palette, bare, ...lane }: LaneProps) {
  const { axle, side, top } = lane;
  const y = heightOf(top);
  const { x, outer, away, left } = laneAt(side);
  const { water, surface, marks } = placesOf(lane);
  return (
    <G>
      <LaneGround x={x} palette={palette} />
      <Polygon {...water} fill={palette.water} />
      <Polyline {...surface} stroke={palette.waterDeep} strokeWidth={2} fill="none" />
      <LaneMarks
        side={side}
        floorY={y(axle.floorKpa)}
        roadY={axle.roadKpa === null ? null : y(axle.roadKpa)}
        lowY={y(axle.lowKpa)}
        highY={y(axle.highKpa)}
        hatch={hatch}
        palette={palette}
      />
      {(bare ? [] : marks).map(({ name, line, text }) => (
        <Mark
          key={name}
          name={name}
          line={line.points}
          x={outer + away * 22}
          y={text.y}
          text={text.words}
          anchor={left ? 'end' : 'start'}
          palette={palette}
        />
      ))}
    </G>
  );
}

const LaneGround = memo(function LaneGround({ x, palette }: { readonly x: number; readonly palette: Palette }) {
  return <Rect x={x} y={TOP - 8} width={LANE} height={BOTTOM - TOP + 8} fill={palette.paper} stroke={palette.line} />;
});

interface LaneMarksProps {
  readonly side: 'left' | 'right';
  readonly floorY: number;
  readonly roadY: number | null;
  readonly lowY: number;
  readonly highY: number;
  readonly hatch: string;
  readonly palette: Palette;
}

/** Floor, road and window: they stand still while the water moves. */
const LaneMarks = memo(function LaneMarks({ side, floorY, roadY, lowY, highY, hatch, palette }: LaneMarksProps) {
  const { x, outer, left } = laneAt(side);
  // Never so thin that a window of one number can't be seen.
  const bandTop = Math.min(highY, lowY - 5);
  return (
    <>
      <Rect x={x} y={floorY} width={LANE} height={BOTTOM - floorY} fill={hatch} />
      <Line x1={x} x2={x + LANE} y1={floorY} y2={floorY} stroke={palette.rust} strokeWidth={2} />
      {roadY !== null && <Line x1={x} x2={x + LANE} y1={roadY} y2={roadY} stroke={palette.ink} strokeWidth={2.5} />}
      <Rect x={left ? outer - 11 : outer + 1} y={bandTop} width={10} height={lowY - bandTop} fill={palette.moss} />
    </>
  );
});

interface MarkProps {
  readonly name: string;
  /** From the lane to its words, as points. */
  readonly line: string;
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly anchor: 'start' | 'end';
  readonly palette: Palette;
}

const Mark = memo(function Mark({ name, line, x, y, text, anchor, palette }: MarkProps) {
  const strong = name === 'level';
  return (
    <>
      <Polyline
        points={line}
        stroke={strong ? palette.waterDeep : palette.muted}
        strokeWidth={strong ? 2 : 1}
        fill="none"
      />
      <SvgText
        x={x}
        y={y}
        textAnchor={anchor}
        fontFamily={strong ? FACES.number : FACES.text}
        fontSize={strong ? 19 : 14}
        fill={strong ? palette.ink : palette.muted}
      >
        {text}
      </SvgText>
    </>
  );
});

const Hatch = memo(function Hatch({ id, palette }: { readonly id: string; readonly palette: Palette }) {
  return (
    <Defs>
      <Pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <Line x1={0} y1={0} x2={0} y2={6} stroke={palette.rust} strokeWidth={2.4} />
      </Pattern>
    </Defs>
  );
});

type Points = readonly (readonly [number, number])[];
const pointsOf = (points: Points): string => points.map(([x, y]) => `${x},${y.toFixed(2)}`).join(' ');

const WAVE = 1.5;
/** Two waves across the lane, from its left, above and below the level. */
const WAVES: Points = Array.from({ length: 17 }, (_, index) => [
  (index * LANE) / 16,
  -WAVE * Math.sin((index * Math.PI) / 4),
]);
const surfaceAt = (x: number, level: number): Points => WAVES.map(([across, up]) => [x + across, level + up]);
