import { G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length, pressure } from '../words/format';
import { contactOutline } from './contactOutline';
import { Frame } from './Frame';
import { scaleBar } from './scaleBar';

export interface PrintOutline {
  readonly pressureKpa: number;
  readonly lengthMm: number;
  readonly widthMm: number;
}

export interface PrintAxle {
  readonly name: string;
  /** What it is compared with; null where there is nothing. */
  readonly road: PrintOutline | null;
  readonly start: PrintOutline;
}

interface PrintProps {
  /** What the dashed outline is called; that of the road unless set otherwise. */
  readonly beside?: string;
  readonly axles: readonly PrintAxle[];
  readonly units: Units;
  readonly palette: Palette;
}

const CELL = 170;
const DRAWN = 190;
const TOP = 30;
const CENTRE = TOP + DRAWN / 2;
const HEIGHT = 290;
const WORDS = 84;

type Drawn = Pick<PrintProps, 'axles' | 'units' | 'beside'>;

/** Where the parts of the picture are, px: the longest print is as long as there is room. */
function placesOf({ axles, units, beside = 'road' }: Drawn) {
  const width = CELL * axles.length;
  const longest = Math.max(...axles.flatMap(({ road, start }) => [road?.lengthMm ?? 0, start.lengthMm]));
  const widest = Math.max(...axles.map(({ road, start }) => Math.max(road?.widthMm ?? 0, start.widthMm)));
  const pxPerMm = Math.min(DRAWN / longest, (CELL - 44) / widest);
  const bar = scaleBar(units.length, (CELL - 50) / pxPerMm);
  const barPx = bar.lengthMm * pxPerMm;
  return {
    width,
    bar: { d: `M${width / 2 - barPx / 2},${HEIGHT - 30} v8 h${barPx} v-8` },
    barName: { words: bar.label },
    axles: axles.map(({ road, start }, index) => {
      // What stands on a print too narrow for words stands beside it.
      const within = start.widthMm * pxPerMm > WORDS;
      const centre = CELL * index + (within ? CELL / 2 : CELL / 3);
      const side = centre + (start.widthMm * pxPerMm) / 2 + 10;
      const half = (start.lengthMm * pxPerMm) / 2;
      const words = { x: within ? centre : side + 14, textAnchor: within ? ('middle' as const) : ('start' as const) };
      const outlineOf = ({ lengthMm, widthMm }: PrintOutline): string =>
        contactOutline(centre, CENTRE, lengthMm * pxPerMm, widthMm * pxPerMm);
      return {
        axle: { x: centre },
        start: { d: outlineOf(start) },
        bracket: { d: `M${side - 4},${CENTRE - half} h8 m-4,0 v${2 * half} m-4,0 h8` },
        long: { ...words, words: length(start.lengthMm, units) },
        at: { ...words, words: `at ${pressure(start.pressureKpa, units)}` },
        road: road && { d: outlineOf(road) },
        roadName: road && {
          x: centre,
          words: `${beside} ${pressure(road.pressureKpa, units)}: ${length(road.lengthMm, units)}`,
        },
      };
    }),
  };
}

/** The print: where the tire stands at road pressure and at this one, nested like contour lines, one scale for both axles. */
export function Print({ axles, units, palette, beside = 'road' }: PrintProps) {
  const places = placesOf({ axles, units, beside });
  const label = axles
    .map(
      ({ name, road, start }) =>
        `${name}: ${length(start.lengthMm, units)} long at ${pressure(start.pressureKpa, units)}${road ? `, ${length(road.lengthMm, units)} at ${pressure(road.pressureKpa, units)}` : ''}`,
    )
    .join('; ');

  return (
    <Frame width={places.width} height={HEIGHT} label={`Contact print. ${label}`}>
      {places.axles.map(({ axle, start, bracket, long, at, road, roadName }, index) => (
        <G key={axles[index]!.name}>
          <SvgText {...axle} y={16} textAnchor="middle" fontFamily={FACES.strong} fontSize={15} fill={palette.ink}>
            {axles[index]!.name}
          </SvgText>
          <Path {...start} fill={palette.mossWash} stroke={palette.moss} strokeWidth={2.5} />
          {road && <Path {...road} fill="none" stroke={palette.ink} strokeWidth={1.5} strokeDasharray="5 4" />}
          <Path {...bracket} stroke={palette.muted} strokeWidth={1} fill="none" />
          <SvgText
            x={long.x}
            y={CENTRE - 4}
            textAnchor={long.textAnchor}
            fontFamily={FACES.number}
            fontSize={19}
            fill={palette.ink}
          >
            {long.words}
          </SvgText>
          <SvgText
            x={at.x}
            y={CENTRE + 15}
            textAnchor={at.textAnchor}
            fontFamily={FACES.text}
            fontSize={13}
            fill={palette.ink}
          >
            {at.words}
          </SvgText>
          {roadName && (
            <SvgText
              x={roadName.x}
              y={TOP + DRAWN + 20}
              textAnchor="middle"
              fontFamily={FACES.text}
              fontSize={13}
              fill={palette.ink}
            >
              {roadName.words}
            </SvgText>
          )}
        </G>
      ))}
      <Path {...places.bar} stroke={palette.ink} strokeWidth={2} fill="none" />
      <Line
        x1={places.width / 2}
        x2={places.width / 2}
        y1={HEIGHT - 26}
        y2={HEIGHT - 22}
        stroke={palette.ink}
        strokeWidth={1}
      />
      <SvgText
        x={places.width / 2}
        y={HEIGHT - 6}
        textAnchor="middle"
        fontFamily={FACES.text}
        fontSize={13}
        fill={palette.ink}
      >
        {places.barName.words}
      </SvgText>
    </Frame>
  );
}
