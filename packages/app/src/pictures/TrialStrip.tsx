import { fromCanonical, type Level } from '@dunlinmoss/core';
import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressure } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';
import { Ticks } from './Ticks';

interface TrialStripProps {
  readonly levels: readonly Level[];
  /** What is counted, with its unit. */
  readonly counted: string;
  /** From what is kept to what is drawn: millimeters to inches, say. */
  readonly shown?: (value: number) => number;
  /** Where the values lie by their nature; else round those there are. */
  readonly range?: readonly [number, number];
  /** What to try next, or what came out best, kPa. */
  readonly nextKpa?: number | null | undefined;
  readonly bestKpa?: number | null | undefined;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 216;
const PLOT = { left: 46, right: 326, top: 30, bottom: 172 };

/** The trial strip: every run over its pressure, the mean of each with its spread, and the step to try next. */
export function TrialStrip({
  levels,
  counted,
  shown = (value) => value,
  range,
  nextKpa,
  bestKpa,
  units,
  palette,
}: TrialStripProps) {
  const inPressure = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const values = levels.flatMap((level) => level.values.map(shown));
  const pressures = [...levels.map(({ pressureKpa }) => pressureKpa), ...(nextKpa == null ? [] : [nextKpa])].map(
    inPressure,
  );
  const around = (all: readonly number[]): [number, number] => {
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const room = high > low ? (high - low) * 0.12 : Math.max(1, Math.abs(high) * 0.1);
    return [low - room, high + room];
  };
  const x = scaleLinear()
    .domain(around(pressures))
    .range([PLOT.left + 8, PLOT.right - 8]);
  const y = scaleLinear()
    .domain(range ?? around(values))
    .nice(4)
    .range([PLOT.bottom, PLOT.top]);
  const label = levels
    .map(
      (level) =>
        `${pressure(level.pressureKpa, units)}: ${level.values.map((value) => Number(shown(value).toFixed(2))).join(', ')}`,
    )
    .join('; ');
  return (
    <Frame width={WIDTH} height={HEIGHT} label={`Trial strip, ${counted} over pressure. ${label}`}>
      {bestKpa != null && (
        <Rect
          x={x(inPressure(bestKpa)) - 13}
          y={PLOT.top}
          width={26}
          height={PLOT.bottom - PLOT.top}
          fill={palette.mossWash}
        />
      )}
      <Ticks
        plot={PLOT}
        up={y.ticks(4).map((tick) => ({ at: y(tick), text: String(tick) }))}
        along={x.ticks(6).map((tick) => ({ at: x(tick), text: String(tick) }))}
        palette={palette}
      />
      <Path
        d={polyline(levels.map(({ pressureKpa, mean }) => [x(inPressure(pressureKpa)), y(shown(mean))]))}
        stroke={palette.moss}
        strokeWidth={1.5}
        fill="none"
      />
      {levels.map(({ pressureKpa, values: own, mean }) => {
        const at = x(inPressure(pressureKpa));
        return (
          <G key={pressureKpa}>
            <Line
              x1={at}
              x2={at}
              y1={y(shown(Math.min(...own)))}
              y2={y(shown(Math.max(...own)))}
              stroke={palette.waterDeep}
              strokeWidth={5}
              strokeOpacity={0.4}
            />
            {own.map((value, index) => (
              <Circle
                key={index}
                cx={at}
                cy={y(shown(value))}
                r={4}
                fill={palette.card}
                stroke={palette.waterDeep}
                strokeWidth={2}
              />
            ))}
            <Line
              x1={at - 9}
              x2={at + 9}
              y1={y(shown(mean))}
              y2={y(shown(mean))}
              stroke={palette.ink}
              strokeWidth={3}
            />
          </G>
        );
      })}
      {nextKpa != null && (
        <>
          <Path d={`M${x(inPressure(nextKpa))},${PLOT.bottom - 3} l-6,-11 h12z`} fill={palette.moss} />
          <SvgText
            x={x(inPressure(nextKpa))}
            y={PLOT.bottom - 18}
            textAnchor="middle"
            fontFamily={FACES.strong}
            fontSize={13}
            fill={palette.moss}
          >
            next
          </SvgText>
        </>
      )}
      <SvgText
        x={PLOT.right}
        y={HEIGHT - 6}
        textAnchor="end"
        fontFamily={FACES.text}
        fontSize={13}
        fill={palette.muted}
      >
        {`pressure, ${units.pressure}`}
      </SvgText>
      <SvgText x={8} y={15} textAnchor="start" fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        {counted}
      </SvgText>
    </Frame>
  );
}
