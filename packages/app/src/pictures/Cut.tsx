import { memo } from 'react';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { length } from '../words/format';
import { Frame } from './Frame';

export interface CutWheel {
  readonly outerDiameterMm: number;
  readonly rimDiameterMm: number;
  readonly deflectionMm: number;
}

interface CutProps {
  readonly wheel: CutWheel;
  /** Another setting of the same wheel, dashed; null where none is held. */
  readonly held: CutWheel | null;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 250;
const GROUND = 216;
const DRAWN = 196;
const MIDDLE = WIDTH / 2 - 30;

/** Where the parts of the picture are, px. */
function cutPlaces(wheel: CutWheel, units: Units) {
  const px = DRAWN / wheel.outerDiameterMm;
  const { centre, left, right } = stand(wheel, px);
  const side = MIDDLE + (wheel.outerDiameterMm / 2) * px + 18;
  const free = GROUND - wheel.outerDiameterMm * px;
  const now = GROUND - (wheel.outerDiameterMm - wheel.deflectionMm) * px;
  return {
    tire: { d: outline(wheel, px) },
    rim: { cy: centre },
    hub: { cy: centre },
    flat: { x1: left, x2: right },
    free: { x2: side + 8, y1: free, y2: free },
    now: { x2: side + 8, y1: now, y2: now },
    settled: { x: side + 12, y: (free + now) / 2 + 5, words: length(wheel.deflectionMm, units) },
    settledName: { x: side + 12, y: (free + now) / 2 + 22 },
  };
}

/** The cut: the wheel from the side on hard ground, flattened by as much as it settles, to scale. */
export function Cut({ wheel, held, units, palette }: CutProps) {
  const px = DRAWN / wheel.outerDiameterMm;
  const at = cutPlaces(wheel, units);
  const { words, ...settled } = at.settled;
  return (
    <Frame
      width={WIDTH}
      height={HEIGHT}
      label={`The wheel from the side. It settles by ${length(wheel.deflectionMm, units)}${held ? `, held: ${length(held.deflectionMm, units)}` : ''}`}
    >
      <HardGround palette={palette} />
      <Path {...at.tire} fill={palette.mossWash} stroke={palette.ink} strokeWidth={2} />
      <Circle
        cx={MIDDLE}
        {...at.rim}
        r={(wheel.rimDiameterMm / 2) * px}
        fill={palette.paper}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      <Circle cx={MIDDLE} {...at.hub} r={4} fill={palette.ink} />
      <Line {...at.flat} y1={GROUND} y2={GROUND} stroke={palette.moss} strokeWidth={6} />
      {held && (
        <Path d={outline(held, px)} fill="none" stroke={palette.muted} strokeWidth={1.5} strokeDasharray="5 4" />
      )}
      <G>
        <Line x1={MIDDLE} {...at.free} stroke={palette.muted} strokeWidth={1} strokeDasharray="3 3" />
        <Line x1={MIDDLE} {...at.now} stroke={palette.ink} strokeWidth={1} />
        <SvgText {...settled} fontFamily={FACES.number} fontSize={17} fill={palette.ink}>
          {words}
        </SvgText>
        <SvgText {...at.settledName} fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
          settled
        </SvgText>
      </G>
    </Frame>
  );
}

/** It stands still, whatever stands on it. */
const HardGround = memo(function HardGround({ palette }: { readonly palette: Palette }) {
  return (
    <>
      <Line x1={8} x2={WIDTH - 8} y1={GROUND} y2={GROUND} stroke={palette.ink} strokeWidth={2} />
      {Array.from({ length: 16 }, (_, index) => (
        <Line
          key={index}
          x1={14 + index * 20}
          x2={4 + index * 20}
          y1={GROUND + 3}
          y2={GROUND + 13}
          stroke={palette.muted}
          strokeWidth={1}
        />
      ))}
    </>
  );
});

/** Where the axle is, and where the flat begins and ends. */
function stand({ outerDiameterMm, deflectionMm }: CutWheel, px: number) {
  const radius = (outerDiameterMm / 2) * px;
  const centre = GROUND - (radius - deflectionMm * px);
  const half = Math.sqrt(Math.max(0, radius ** 2 - (GROUND - centre) ** 2));
  return { radius, centre, left: MIDDLE - half, right: MIDDLE + half };
}

/** A circle with its foot cut off by the ground. */
function outline(wheel: CutWheel, px: number): string {
  const { radius, left, right } = stand(wheel, px);
  return `M${left},${GROUND} A${radius},${radius} 0 1 1 ${right},${GROUND} Z`;
}
