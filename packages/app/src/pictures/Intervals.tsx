import type { OwnTire } from '@dunlinmoss/core';
import { scaleLog } from 'd3-scale';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import type { LearnedLine } from '../words/learned';
import { Frame } from './Frame';

interface IntervalsProps {
  readonly lines: readonly LearnedLine[];
  readonly own: OwnTire;
  readonly bicycle: boolean;
  readonly palette: Palette;
}

const WIDTH = 340;
const ROW = 62;
const LEFT = 16;
const RIGHT = 324;

/** Each constant on one line: assumed as a mark, found as a ring, nine chances in ten as a bar. */
export function Intervals({ lines, own, bicycle, palette }: IntervalsProps) {
  const factors = [own.contact, own.width, bicycle ? own.drop : own.carcass].filter(({ readings }) => readings > 0);
  const x = scaleLog()
    .domain([Math.min(0.7, ...factors.map(({ low }) => low)), Math.max(1.4, ...factors.map(({ high }) => high))])
    .range([LEFT, RIGHT]);
  return (
    <Frame
      width={WIDTH}
      height={ROW * lines.length}
      label={lines
        .map(({ name, assumed, found, between }) => `${name}: assumed ${assumed}, found ${found}, ${between}`)
        .join('; ')}
    >
      {lines.map(({ name, assumed, found, between, readings }, index) => {
        const { factor, low, high } = factors[index]!;
        const top = ROW * index;
        const at = top + 44;
        return (
          <G key={name}>
            <SvgText x={0} y={top + 15} fontFamily={FACES.strong} fontSize={14} fill={palette.ink}>
              {`${name}: ${assumed} → ${found}`}
            </SvgText>
            <SvgText x={0} y={top + 31} fontFamily={FACES.text} fontSize={12.5} fill={palette.muted}>
              {`${between}, from ${readings} ${readings === 1 ? 'reading' : 'readings'}`}
            </SvgText>
            <Line x1={LEFT} x2={RIGHT} y1={at} y2={at} stroke={palette.line} />
            <Line x1={x(low)} x2={x(high)} y1={at} y2={at} stroke={palette.moss} strokeWidth={7} strokeOpacity={0.45} />
            <Path d={`M${x(1)},${at - 9} v18`} stroke={palette.ink} strokeWidth={2} strokeDasharray="3 2" />
            <Path
              d={`M${x(factor)},${at - 7} l7,7 l-7,7 l-7,-7z`}
              fill={palette.card}
              stroke={palette.moss}
              strokeWidth={2.5}
            />
          </G>
        );
      })}
    </Frame>
  );
}
