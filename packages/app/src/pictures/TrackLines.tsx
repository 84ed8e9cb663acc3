import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { Frame } from './Frame';
import { polyline } from './polyline';
import { Ticks } from './Ticks';

export interface TrackLine {
  readonly name: string;
  readonly points: readonly (readonly [x: number, y: number])[];
}

interface TrackLinesProps {
  readonly lines: readonly TrackLine[];
  readonly along: string;
  readonly up: string;
  /** Depth goes down. */
  readonly down?: boolean;
  /** A limit across x, with its word. */
  readonly limit?: { readonly at: number; readonly name: string };
  readonly label: string;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 262;
const PLOT = { left: 46, right: 326, top: 30, bottom: 190 };
/** Names stand below, where lines that end together can't lay them on one another. */
const KEY = { left: 8, apart: 114, line: 20, at: HEIGHT - 12 };
const DASHES = ['', '7 4', '2 4'];

/** A few tracks side by side: cone against depth, or water against time; told apart by line, mark and word. */
export function TrackLines({ lines, along, up, down = false, limit, label, palette }: TrackLinesProps) {
  const all = lines.flatMap(({ points }) => points);
  const xs = [0, ...all.map(([x]) => x), ...(limit ? [limit.at] : [])];
  const ys = [0, ...all.map(([, y]) => y)];
  const x = scaleLinear()
    .domain([Math.min(...xs), Math.max(...xs, 1)])
    .nice(5)
    .range([PLOT.left, PLOT.right]);
  const y = scaleLinear()
    .domain([Math.min(...ys), Math.max(...ys, 1)])
    .nice(4)
    .range(down ? [PLOT.top, PLOT.bottom] : [PLOT.bottom, PLOT.top]);
  return (
    <Frame width={WIDTH} height={HEIGHT} label={label}>
      <Ticks
        plot={PLOT}
        up={y.ticks(4).map((tick) => ({ at: y(tick), text: String(tick) }))}
        along={x.ticks(5).map((tick) => ({ at: x(tick), text: String(tick) }))}
        palette={palette}
      />
      {limit && (
        <>
          <Line
            x1={x(limit.at)}
            x2={x(limit.at)}
            y1={PLOT.top}
            y2={PLOT.bottom}
            stroke={palette.rust}
            strokeWidth={2}
            strokeDasharray="3 3"
          />
          <SvgText
            x={x(limit.at) - 4}
            y={PLOT.top - 4}
            textAnchor="end"
            fontFamily={FACES.text}
            fontSize={13}
            fill={palette.rust}
          >
            {limit.name}
          </SvgText>
        </>
      )}
      {lines.map(({ name, points }, index) => {
        const ink = [palette.ink, palette.moss, palette.waterDeep][index % 3]!;
        return (
          <G key={name}>
            <Path
              d={polyline(points.map(([px, py]) => [x(px), y(py)]))}
              stroke={ink}
              strokeWidth={2.5}
              strokeDasharray={DASHES[index % 3]!}
              fill="none"
            />
            {points.map(([px, py], at) => (
              <Circle key={at} cx={x(px)} cy={y(py)} r={3.5} fill={palette.card} stroke={ink} strokeWidth={2} />
            ))}
            <Line
              x1={KEY.left + index * KEY.apart}
              x2={KEY.left + index * KEY.apart + KEY.line}
              y1={KEY.at}
              y2={KEY.at}
              stroke={ink}
              strokeWidth={2.5}
              strokeDasharray={DASHES[index % 3]!}
            />
            <SvgText
              x={KEY.left + index * KEY.apart + KEY.line + 5}
              y={KEY.at + 4}
              fontFamily={FACES.strong}
              fontSize={13}
              fill={ink}
            >
              {name}
            </SvgText>
          </G>
        );
      })}
      <SvgText
        x={PLOT.right}
        y={HEIGHT - 30}
        textAnchor="end"
        fontFamily={FACES.text}
        fontSize={13}
        fill={palette.muted}
      >
        {along}
      </SvgText>
      <SvgText x={8} y={15} textAnchor="start" fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        {up}
      </SvgText>
    </Frame>
  );
}
