import type { OutlineMm } from '@dunlinmoss/core';
import { G, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length, pressure } from '../words/format';
import { contactOutline } from './contactOutline';
import { Frame } from './Frame';
import { polyline } from './polyline';
import { scaleBar } from './scaleBar';

export interface TakenPrint {
  readonly pressureKpa: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  /** As it was found in a photo; without one a rounded box is drawn. */
  readonly outline: OutlineMm | null;
}

const WIDTH = 340;
const DRAWN = 230;
const TOP = 10;
const HEIGHT = 296;
const DASHES = ['', '8 4', '3 4', '10 3 2 3'];

/** Prints of one wheel at several pressures, laid over each other about their middle like contour lines, to scale. */
export function NestedPrints({
  prints,
  units,
  palette,
}: {
  readonly prints: readonly TakenPrint[];
  readonly units: Units;
  readonly palette: Palette;
}) {
  const ordered = [...prints].sort((a, b) => b.lengthMm - a.lengthMm);
  const longest = Math.max(...ordered.map(({ lengthMm, widthMm }) => Math.max(lengthMm, widthMm)));
  const px = DRAWN / longest;
  const centre: [number, number] = [120, TOP + DRAWN / 2];
  const bar = scaleBar(units.length, 100 / px);
  return (
    <Frame
      width={WIDTH}
      height={HEIGHT}
      label={`Prints laid over each other. ${ordered.map((each) => `${length(each.lengthMm, units)} long, ${length(each.widthMm, units)} wide at ${pressure(each.pressureKpa, units)}`).join('; ')}`}
    >
      {ordered.map((print, index) => (
        <G key={index}>
          <Path
            d={
              print.outline
                ? placed(print.outline, centre, px)
                : contactOutline(centre[0], centre[1], print.lengthMm * px, print.widthMm * px)
            }
            fill={index === 0 ? palette.mossWash : 'none'}
            stroke={index === 0 ? palette.moss : palette.ink}
            strokeWidth={index === 0 ? 2.5 : 1.8}
            strokeDasharray={DASHES[index % 4]!}
          />
          <Path
            d={`M246,${26 + 44 * index} h26`}
            stroke={index === 0 ? palette.moss : palette.ink}
            strokeWidth={2.2}
            strokeDasharray={DASHES[index % 4]!}
          />
          <SvgText x={278} y={31 + 44 * index} fontFamily={FACES.strong} fontSize={14} fill={palette.ink}>
            {pressure(print.pressureKpa, units)}
          </SvgText>
          <SvgText x={246} y={48 + 44 * index} fontFamily={FACES.text} fontSize={12.5} fill={palette.muted}>
            {length(print.lengthMm, units)}
          </SvgText>
        </G>
      ))}
      <Path
        d={`M${120 - (bar.lengthMm * px) / 2},${HEIGHT - 34} v7 h${bar.lengthMm * px} v-7`}
        stroke={palette.ink}
        strokeWidth={2}
        fill="none"
      />
      <SvgText x={120} y={HEIGHT - 8} textAnchor="middle" fontFamily={FACES.text} fontSize={13} fill={palette.ink}>
        {bar.label}
      </SvgText>
    </Frame>
  );
}

/** An outline about its own middle. */
function placed(outline: OutlineMm, [cx, cy]: readonly [number, number], px: number): string {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [mx, my] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  return `${polyline(outline.map(([x, y]) => [cx + (x - mx) * px, cy + (y - my) * px]))}Z`;
}
