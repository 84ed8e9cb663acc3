import { standingDiameterMm, type AxleContext, type WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { useDeferredValue } from 'react';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Cut, cutMoving, type CutWheel } from '../../pictures/Cut';
import { Familiar, familiarMoving, mostOf } from '../../pictures/Familiar';
import type { Moving } from '../../pictures/moving';
import { Moves } from '../../pictures/Moves';
import { Print, printMoving } from '../../pictures/Print';
import { useRested } from '../../settings/live';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { Closeness, nearMoving, Readings, readingsMoving } from './WhatIfReadings';
import type { Shown, Tried } from './whatIfValues';

/** All that follows the staff: figures, limits and pictures. */
export function Following({ context, axle, units, trying, held: heldStore, roadName }: Shown) {
  const palette = usePalette();
  const wide = useWide();
  const { live } = trying;
  const now = useRested(live).what();
  const held = useDeferredValue(heldStore.use());
  const scaleKpa = mostOf(now.patch?.groundPressureKpa ?? 0);
  const printOf = ({ pressureKpa, patch }: WhatIf) => ({
    axles: patch
      ? [
          {
            name: AXLE_WORDS[axle.position],
            start: { ...patch, pressureKpa: onGauge(pressureKpa, units) },
            road: held ? held.patch : axle.atRoad,
          },
        ]
      : [],
    beside: held ? 'kept' : roadName,
    units,
  });
  return (
    <>
      <Moves inTurn by={live} at={followed((what) => readingsMoving(what, units))}>
        <Readings axle={axle} now={now} held={held} units={units} />
      </Moves>
      <Moves inTurn by={live} at={followed((what) => nearMoving(what, units, palette))}>
        <Closeness now={now} units={units} />
      </Moves>
      {now.patch && (
        <Moves
          inTurn
          by={live}
          at={followed(({ patch }) => patch && familiarMoving(patch.groundPressureKpa, scaleKpa, units))}
        >
          <Panel title="On the ground, beside others">
            <Familiar
              groundKpa={now.patch.groundPressureKpa}
              heldKpa={held?.patch?.groundPressureKpa ?? null}
              units={units}
              palette={palette}
            />
          </Panel>
        </Moves>
      )}
      <View style={wide ? styles.side : styles.stack}>
        <View style={wide && styles.half}>
          <Moves inTurn by={live} at={followed((what) => what.patch && cutMoving(wheelOf(context, what)!, units))}>
            <Panel title="The wheel from the side">
              {now.patch ? (
                <Cut
                  wheel={wheelOf(context, now)!}
                  held={held && wheelOf(context, held)}
                  units={units}
                  palette={palette}
                />
              ) : (
                <Text>Squeezed flat: no tire left to stand on.</Text>
              )}
            </Panel>
          </Moves>
        </View>
        <View style={wide && styles.half}>
          <Moves inTurn by={live} at={followed((what) => what.patch && printMoving(printOf(what)))}>
            <Panel title="Footprint">{now.patch && <Print {...printOf(now)} palette={palette} />}</Panel>
          </Moves>
        </View>
      </View>
    </>
  );
}

const followed =
  (at: (what: WhatIf) => Moving | null) =>
  ({ what }: Tried): Moving | null =>
    at(what());

const wheelOf = ({ build }: AxleContext, { patch }: WhatIf): CutWheel | null =>
  patch && {
    outerDiameterMm: standingDiameterMm(build),
    rimDiameterMm: build.tire.rimDiameterMm,
    deflectionMm: patch.deflectionMm,
  };

const styles = StyleSheet.create({
  side: { flexDirection: 'row', gap: 14 },
  half: { flex: 1 },
  stack: { gap: 12 },
});
