import { fromCanonical } from '@dunlinmoss/core';
import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../data/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length, pressure } from '../words/format';
import { Frame } from './Frame';
import { polyline } from './polyline';

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
      {y.ticks(4).map((tick) => (
        <G key={tick}>
          <Line x1={PLOT.left} x2={PLOT.right} y1={y(tick)} y2={y(tick)} stroke={palette.line} />
          <SvgText
            x={PLOT.left - 6}
            y={y(tick) + 4}
            textAnchor="end"
            fontFamily={FACES.number}
            fontSize={13}
            fill={palette.ink}
          >
            {String(tick)}
          </SvgText>
        </G>
      ))}
      {x.ticks(6).map((tick) => (
        <G key={tick}>
          <Line x1={x(tick)} x2={x(tick)} y1={PLOT.bottom} y2={PLOT.bottom + 5} stroke={palette.ink} />
          <SvgText
            x={x(tick)}
            y={PLOT.bottom + 19}
            textAnchor="middle"
            fontFamily={FACES.number}
            fontSize={13}
            fill={palette.ink}
          >
            {String(tick)}
          </SvgText>
        </G>
      ))}
      <Line x1={PLOT.left} x2={PLOT.right} y1={PLOT.bottom} y2={PLOT.bottom} stroke={palette.ink} strokeWidth={1.5} />
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
