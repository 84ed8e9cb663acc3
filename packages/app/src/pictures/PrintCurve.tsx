import { fromCanonical, type Quantity } from '@dunlinmoss/core';
import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressure, quantity as quantityText } from '../words/format';
import { unitLabel } from '../words/units';
import { Frame } from './Frame';
import { polyline } from './polyline';
import { spread } from './spread';
import { Ticks } from './Ticks';

interface Point {
  readonly pressureKpa: number;
  readonly value: number;
}

interface PrintCurveProps {
  /** Softest first. */
  readonly curve: readonly Point[];
  readonly quantity: Quantity;
  /** Pressures with a name: road, here, floor. */
  readonly marks: readonly { readonly name: string; readonly pressureKpa: number; readonly isHere?: boolean }[];
  /** One's own readings. */
  readonly measured: readonly Point[];
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 236;
const PLOT = { left: 50, right: 326, top: 34, bottom: 190 };

/** A measure of the print over pressure: the curve, what stands on it by name, and one's own readings as rings. */
export function PrintCurve({ curve, quantity, marks, measured, units, palette }: PrintCurveProps) {
  const inPressure = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const shown = (value: number): number => fromCanonical(quantity, units[quantity] as never, value);
  const values = [...curve, ...measured].map(({ value }) => shown(value));
  const pressures = [...curve, ...measured].map(({ pressureKpa }) => inPressure(pressureKpa));
  const x = scaleLinear()
    .domain([Math.min(...pressures), Math.max(...pressures)])
    .range([PLOT.left, PLOT.right]);
  const y = scaleLinear()
    .domain([Math.min(...values), Math.max(...values)])
    .nice(4)
    .range([PLOT.bottom, PLOT.top]);
  const at = ({ pressureKpa, value }: Point): [number, number] => [x(inPressure(pressureKpa)), y(shown(value))];
  const placed = marks.map((mark) => ({ ...mark, x: x(inPressure(mark.pressureKpa)) }));
  const names = spread(
    placed.map((mark) => mark.x),
    46,
    PLOT.left + 10,
    PLOT.right - 10,
  );
  const label = curve
    .filter((_, index) => index % 12 === 0)
    .map((point) => `${quantityText(quantity, point.value, units)} at ${pressure(point.pressureKpa, units)}`)
    .join(', ');
  return (
    <Frame width={WIDTH} height={HEIGHT} label={`Over pressure: ${label}`}>
      <Ticks
        plot={PLOT}
        up={y.ticks(4).map((tick) => ({ at: y(tick), text: String(tick) }))}
        along={x.ticks(5).map((tick) => ({ at: x(tick), text: String(tick) }))}
        palette={palette}
      />
      {placed.map((mark, index) => (
        <G key={mark.name}>
          <Line
            x1={mark.x}
            x2={mark.x}
            y1={PLOT.top}
            y2={PLOT.bottom}
            stroke={mark.isHere ? palette.moss : palette.muted}
            strokeWidth={mark.isHere ? 2.5 : 1.2}
            strokeDasharray={mark.isHere ? undefined : '4 4'}
          />
          <SvgText
            x={names[index]!}
            y={PLOT.top - 7}
            textAnchor="middle"
            fontFamily={FACES.text}
            fontSize={12.5}
            fontWeight={mark.isHere ? '600' : '400'}
            fill={palette.ink}
          >
            {mark.name}
          </SvgText>
        </G>
      ))}
      <Path d={polyline(curve.map(at))} stroke={palette.waterDeep} strokeWidth={2.5} fill="none" />
      {measured.map((point, index) => {
        const [cx, cy] = at(point);
        return <Circle key={index} cx={cx} cy={cy} r={5} fill={palette.card} stroke={palette.ink} strokeWidth={2} />;
      })}
      <SvgText x={4} y={14} fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        {unitLabel(units[quantity])}
      </SvgText>
      <SvgText
        x={PLOT.right}
        y={HEIGHT - 6}
        textAnchor="end"
        fontFamily={FACES.text}
        fontSize={13}
        fill={palette.muted}
      >
        {units.pressure}
      </SvgText>
    </Frame>
  );
}
