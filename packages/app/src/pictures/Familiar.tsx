import { FAMILIAR, type FamiliarCode } from '@dunlinmoss/core';
import { scaleLog } from 'd3-scale';
import { memo } from 'react';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { Units } from '../settings/preferences';
import type { Palette } from '../theme/palette';
import { FACES } from '../theme/type';
import { pressure } from '../words/format';
import { Frame } from './Frame';

const NAMES: Record<FamiliarCode, string> = {
  snowGroomer: 'snow groomer',
  trackedMachine: 'tracked excavator',
  person: 'you, standing',
  elephant: 'elephant',
  bicycle: 'trail bicycle',
};

interface FamiliarProps {
  readonly groundKpa: number;
  readonly heldKpa: number | null;
  readonly units: Units;
  readonly palette: Palette;
}

const WIDTH = 340;
const HEIGHT = 166;
const LINE = 98;
/** Where a name stands: how high, and to which side of its line, so that none crosses another's. */
const PLACES: Record<FamiliarCode, { readonly row: number; readonly anchor: 'start' | 'end' }> = {
  snowGroomer: { row: 1, anchor: 'start' },
  trackedMachine: { row: 2, anchor: 'start' },
  person: { row: 1, anchor: 'start' },
  elephant: { row: 3, anchor: 'end' },
  bicycle: { row: 4, anchor: 'end' },
};

/** A bicycle is the hardest of the others; a tire may be harder still, kPa. */
const MOST_KPA = 420;
const scaleTo = (most: number) =>
  scaleLog()
    .domain([5, most])
    .range([14, WIDTH - 14])
    .clamp(true);

/** The end of the scale: it moves only for a tire that is harder than all others. */
const mostOf = (groundKpa: number): number => (groundKpa > MOST_KPA ? groundKpa * 1.1 : MOST_KPA);

/** Where the tire and its name are, px. */
function tirePlace(groundKpa: number, most: number, units: Units) {
  const at = scaleTo(most)(groundKpa);
  return {
    tire: { d: `M${at},${LINE + 3} l-8,16 h16 Z` },
    tireName: { x: Math.min(Math.max(at, 50), WIDTH - 50), words: `tire ${pressure(groundKpa, units)}` },
  };
}

/** How hard the tire stands on the ground, beside things whose footprints everybody knows. */
export function Familiar({ groundKpa, heldKpa, units, palette }: FamiliarProps) {
  const most = mostOf(groundKpa);
  const x = scaleTo(most);
  const at = tirePlace(groundKpa, most, units);
  return (
    <Frame
      width={WIDTH}
      height={HEIGHT}
      label={`On the ground ${pressure(groundKpa, units)}. ${FAMILIAR.map(({ code, pressureKpa }) => `${NAMES[code]} ${pressure(pressureKpa, units)}`).join(', ')}`}
    >
      <Others most={most} palette={palette} />
      {heldKpa !== null && (
        <Path
          d={`M${x(heldKpa)},${LINE + 4} l-6,12 h12 Z`}
          fill="none"
          stroke={palette.muted}
          strokeWidth={1.5}
          strokeDasharray="3 2"
        />
      )}
      <Path {...at.tire} fill={palette.moss} />
      <SvgText
        x={at.tireName.x}
        y={LINE + 38}
        textAnchor="middle"
        fontFamily={FACES.number}
        fontSize={18}
        fill={palette.ink}
      >
        {at.tireName.words}
      </SvgText>
      <SvgText x={10} y={HEIGHT - 6} fontFamily={FACES.text} fontSize={13} fill={palette.muted}>
        lighter on the ground
      </SvgText>
      <SvgText
        x={WIDTH - 10}
        y={HEIGHT - 6}
        textAnchor="end"
        fontFamily={FACES.text}
        fontSize={13}
        fill={palette.muted}
      >
        harder
      </SvgText>
    </Frame>
  );
}

/** The line and what stands on it besides: it changes only where a tire is harder than all of them. */
const Others = memo(function Others({ most, palette }: { readonly most: number; readonly palette: Palette }) {
  const x = scaleTo(most);
  return (
    <>
      <Line x1={10} x2={WIDTH - 10} y1={LINE} y2={LINE} stroke={palette.ink} strokeWidth={2} />
      {FAMILIAR.map(({ code, pressureKpa }) => {
        const px = x(pressureKpa);
        const { row, anchor } = PLACES[code];
        const y = LINE - 10 - (row - 1) * 19;
        return (
          <G key={code}>
            <Line x1={px} x2={px} y1={y - 9} y2={LINE + 5} stroke={palette.muted} strokeWidth={1} />
            <SvgText
              x={anchor === 'end' ? px - 4 : px + 4}
              y={y}
              textAnchor={anchor}
              fontFamily={FACES.text}
              fontSize={13}
              fill={palette.ink}
            >
              {NAMES[code]}
            </SvgText>
          </G>
        );
      })}
    </>
  );
});
