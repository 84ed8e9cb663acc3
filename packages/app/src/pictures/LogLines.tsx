import { fromCanonical } from '@dunlinmoss/core';
import { scaleLinear, scaleTime } from 'd3-scale';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressure } from '../words/format';
import { Frame } from './Frame';
import { spread } from './spread';
import { Ticks } from './Ticks';

/** One wheel over time: the least and the most of each stretch, the same where there is one reading. */
export interface LogLine {
  readonly name: string;
  readonly points: readonly { readonly atMs: number; readonly leastKpa: number; readonly mostKpa: number }[];
}

interface LogLinesProps {
  readonly wheels: readonly LogLine[];
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 250;
const PLOT = { left: 34, right: 258, top: 26, bottom: 212 };
/** A gap longer than so many usual steps is drawn as one. */
const GAP_STEPS = 6;
const TWO_DAYS_MS = 2 * 86_400_000;
const SEASON_MS = 120 * 86_400_000;
const DASHES = ['', '6 3', '2 3', '10 3 2 3', '1 2', '8 2 2 2 2 2'];

/** Pressures of every wheel over time: bands from least to most, told apart by dash and by name, not by colour. */
export function LogLines({ wheels, units, palette }: LogLinesProps) {
  const drawn = wheels.filter(({ points }) => points.length > 0);
  if (drawn.length === 0) return null;
  const inUnit = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const all = drawn.flatMap(({ points }) => points);
  let [first, last, least, most] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { atMs, leastKpa, mostKpa } of all) {
    first = Math.min(first, atMs);
    last = Math.max(last, atMs);
    least = Math.min(least, leastKpa);
    most = Math.max(most, mostKpa);
  }
  const x = scaleTime()
    .domain([first, last === first ? first + 60_000 : last])
    .range([PLOT.left, PLOT.right]);
  const y = scaleLinear()
    .domain([inUnit(least) - 1, inUnit(most) + 1])
    .nice(5)
    .range([PLOT.bottom, PLOT.top]);
  const format = x.tickFormat(3, last - first < TWO_DAYS_MS ? '%H:%M' : last - first < SEASON_MS ? '%-d %b' : '%b %Y');
  const ends = drawn.map(({ points }) => y(inUnit(points.at(-1)!.mostKpa)));
  const places = spread(ends, 17, PLOT.top, PLOT.bottom);
  const label = drawn.map(({ name, points }) => `${name} ${pressure(points.at(-1)!.mostKpa, units)}`).join(', ');
  return (
    <Frame width={WIDTH} height={HEIGHT} label={`Pressures over time. Last ${label}`}>
      <Ticks
        plot={PLOT}
        up={y.ticks(5).map((tick) => ({ at: y(tick), text: String(tick) }))}
        along={x.ticks(3).map((tick) => ({ at: x(tick), text: format(tick) }))}
        palette={palette}
      />
      {drawn.map(({ name, points }, index) => (
        <G key={name}>
          {pathsOf(points, x, (kpa) => y(inUnit(kpa))).map((d) => (
            <Path
              key={d.slice(0, 30)}
              d={d}
              stroke={palette.waterDeep}
              strokeWidth={1.8}
              strokeDasharray={DASHES[index % DASHES.length] || undefined}
              strokeLinejoin="round"
              fill="none"
            />
          ))}
          <Line
            x1={PLOT.right + 2}
            x2={PLOT.right + 12}
            y1={ends[index]!}
            y2={places[index]!}
            stroke={palette.muted}
            strokeDasharray={DASHES[index % DASHES.length] || undefined}
          />
          <SvgText x={PLOT.right + 15} y={places[index]! + 4} fontFamily={FACES.text} fontSize={13} fill={palette.ink}>
            {name}
          </SvgText>
        </G>
      ))}
      <SvgText x={PLOT.left - 28} y={13} fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        {units.pressure}
      </SvgText>
      <SvgText
        x={PLOT.right}
        y={HEIGHT - 4}
        textAnchor="end"
        fontFamily={FACES.text}
        fontSize={12}
        fill={palette.muted}
      >
        time
      </SvgText>
    </Frame>
  );
}

/** A line through each stretch's least and most, broken where nothing was heard. */
function pathsOf(points: LogLine['points'], x: (at: number) => number, y: (kpa: number) => number): string[] {
  const steps = points.slice(1).map(({ atMs }, index) => atMs - points[index]!.atMs);
  const usual = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0;
  const paths: string[] = [];
  let path = '';
  points.forEach(({ atMs, leastKpa, mostKpa }, index) => {
    const at = x(atMs).toFixed(1);
    const broken = index === 0 || steps[index - 1]! > GAP_STEPS * usual;
    if (broken && path) {
      paths.push(path);
      path = '';
    }
    path += `${path === '' ? 'M' : 'L'}${at},${y(mostKpa).toFixed(1)}`;
    if (leastKpa !== mostKpa) path += `L${at},${y(leastKpa).toFixed(1)}`;
  });
  return path === '' ? paths : [...paths, path];
}
