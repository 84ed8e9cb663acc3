import { G, Line, Text as SvgText } from 'react-native-svg';

import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';

interface Plot {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

interface Tick {
  readonly at: number;
  readonly text: string;
}

interface TicksProps {
  readonly plot: Plot;
  /** Heights with their numbers, drawn as a grid. */
  readonly up: readonly Tick[];
  /** Places along the foot with their numbers. */
  readonly along: readonly Tick[];
  readonly palette: Palette;
}

/** The grid, the foot and the numbers of a plot, for whatever is drawn on it. */
export const Ticks = ({ plot, up, along, palette }: TicksProps) => (
  <>
    {up.map(({ at, text }) => (
      <G key={text}>
        <Line x1={plot.left} x2={plot.right} y1={at} y2={at} stroke={palette.line} />
        <SvgText
          x={plot.left - 6}
          y={at + 4}
          textAnchor="end"
          fontFamily={FACES.number}
          fontSize={13}
          fill={palette.ink}
        >
          {text}
        </SvgText>
      </G>
    ))}
    {along.map(({ at, text }) => (
      <G key={at}>
        <Line x1={at} x2={at} y1={plot.bottom} y2={plot.bottom + 5} stroke={palette.ink} />
        <SvgText
          x={at}
          y={plot.bottom + 19}
          textAnchor="middle"
          fontFamily={FACES.number}
          fontSize={13}
          fill={palette.ink}
        >
          {text}
        </SvgText>
      </G>
    ))}
    <Line x1={plot.left} x2={plot.right} y1={plot.bottom} y2={plot.bottom} stroke={palette.ink} strokeWidth={1.5} />
  </>
);
