import { fromCanonical } from '@dunlinmoss/core';
import { scaleLinear } from 'd3-scale';
import { Circle, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length, pressure } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';
import { Ticks } from './Ticks';

export interface StripPoint {
  readonly pressureKpa: number;
  readonly lengthMm: number;
}

interface StripProps {
  readonly measured: readonly StripPoint[];
  /** Curves by pressure, drawn where they are known. */
  readonly predicted: readonly StripPoint[];
  readonly fitted: readonly StripPoint[];
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 220;
const PLOT = { left: 52, right: 328, top: 28, bottom: 176 };

/** The trial strip of a tape test: length over pressure, firm on the right, measured against predicted. */
export function Strip({ measured, predicted, fitted, units, palette }: StripProps) {
  const inPressure = (kpa: number): number => fromCanonical('pressure', units.pressure, kpa);
  const inLength = (mm: number): number => fromCanonical('length', units.length, mm);
  const all = [...measured, ...predicted, ...fitted];
  const range = (values: readonly number[]): [number, number] => [Math.min(...values), Math.max(...values)];
  const x = scaleLinear()
    .domain(range(all.map(({ pressureKpa }) => inPressure(pressureKpa))))
    .nice(6)
    .range([PLOT.left, PLOT.right]);
  const y = scaleLinear()
    .domain(range(all.map(({ lengthMm }) => inLength(lengthMm))))
    .nice(4)
    .range([PLOT.bottom, PLOT.top]);
  const path = (points: readonly StripPoint[]): string =>
    polyline(points.map((point) => [x(inPressure(point.pressureKpa)), y(inLength(point.lengthMm))]));
  const label = measured
    .map((point) => `${length(point.lengthMm, units)} at ${pressure(point.pressureKpa, units)}`)
    .join(', ');

  return (
    <Frame width={WIDTH} height={HEIGHT} label={`Contact length over pressure. Measured ${label}`}>
      <Ticks
        plot={PLOT}
        up={y.ticks(4).map((tick) => ({ at: y(tick), text: String(tick) }))}
        along={x.ticks(6).map((tick) => ({ at: x(tick), text: String(tick) }))}
        palette={palette}
      />
      <Path d={path(predicted)} stroke={palette.ink} strokeWidth={1.5} strokeDasharray="5 4" fill="none" />
      <Path d={path(fitted)} stroke={palette.moss} strokeWidth={2.5} fill="none" />
      {measured.map(({ pressureKpa, lengthMm }, index) => (
        <Circle
          key={index}
          cx={x(inPressure(pressureKpa))}
          cy={y(inLength(lengthMm))}
          r={6}
          fill={palette.card}
          stroke={palette.waterDeep}
          strokeWidth={3}
        />
      ))}
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
      <SvgText x={PLOT.left - 34} y={13} textAnchor="start" fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        {`length, ${units.length}`}
      </SvgText>
    </Frame>
  );
}
