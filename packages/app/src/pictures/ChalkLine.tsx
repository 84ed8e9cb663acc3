import { G, Line, Rect, Text as SvgText } from 'react-native-svg';

import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { Frame } from './Frame';

export interface ChalkedWheel {
  readonly name: string;
  /** Left to right: how much of the line is left, 0 to 1. */
  readonly zones: readonly number[];
  readonly word: string;
}

const ROW = 52;
const LEFT = 104;
const ZONE = 34;
const WIDTH = 340;

/** What is left of each line across its tread, one below the other. */
export function ChalkLine({
  wheels,
  palette,
}: {
  readonly wheels: readonly ChalkedWheel[];
  readonly palette: Palette;
}) {
  const height = ROW * wheels.length + 8;
  return (
    <Frame width={WIDTH} height={height} label={wheels.map(({ name, word }) => `${name}: ${word}`).join('; ')}>
      {wheels.map(({ name, zones, word }, row) => {
        const top = ROW * row + 8;
        return (
          <G key={row}>
            <SvgText x={0} y={top + 16} fontFamily={FACES.strong} fontSize={14} fill={palette.ink}>
              {name}
            </SvgText>
            <SvgText x={0} y={top + 34} fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
              {word}
            </SvgText>
            {zones.map((left, zone) => (
              <G key={zone}>
                <Rect
                  x={LEFT + zone * (ZONE + 4)}
                  y={top}
                  width={ZONE}
                  height={36}
                  fill={palette.ink}
                  fillOpacity={0.16}
                  rx={3}
                />
                {[0.25, 0.5, 0.75].map((share) => (
                  <Line
                    key={share}
                    x1={LEFT + zone * (ZONE + 4) + share * ZONE}
                    x2={LEFT + zone * (ZONE + 4) + share * ZONE}
                    y1={top}
                    y2={top + 36}
                    stroke={palette.card}
                    strokeWidth={1.5}
                  />
                ))}
                {left > 0 && (
                  <Rect
                    x={LEFT + zone * (ZONE + 4)}
                    y={top + 18 - 9 * left}
                    width={ZONE}
                    height={18 * left}
                    fill={palette.card}
                    stroke={palette.waterDeep}
                    strokeWidth={left === 1 ? 2 : 1}
                    strokeDasharray={left === 1 ? '' : '4 3'}
                  />
                )}
              </G>
            ))}
          </G>
        );
      })}
    </Frame>
  );
}
