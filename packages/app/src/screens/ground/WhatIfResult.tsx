import { standingDiameterMm, type AxleContext, type WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Cut, type CutWheel } from '../../pictures/Cut';
import { Familiar } from '../../pictures/Familiar';
import { Print } from '../../pictures/Print';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { LimitBars, Readings } from './WhatIfReadings';
import type { Tried } from './whatIfValues';

/** Figures, limits and pictures of the pressure that is tried. */
export const WhatIfResult = memo(function WhatIfResult(tried: Tried) {
  const { axle, units, now, kept } = tried;
  const palette = usePalette();
  return (
    <>
      <Readings axle={axle} now={now} kept={kept} units={units} />
      <LimitBars now={now} units={units} />
      {now.patch && (
        <Panel title="On the ground, beside others">
          <Familiar
            groundKpa={now.patch.groundPressureKpa}
            heldKpa={kept?.patch?.groundPressureKpa ?? null}
            units={units}
            palette={palette}
          />
        </Panel>
      )}
      <WheelAndPrint {...tried} />
    </>
  );
});

function WheelAndPrint({ context, axle, units, now, kept, roadName }: Tried) {
  const palette = usePalette();
  const wide = useWide();
  const { patch } = now;
  const print = patch && {
    name: AXLE_WORDS[axle.position],
    start: { ...patch, pressureKpa: onGauge(now.pressureKpa, units) },
    road: kept ? kept.patch : axle.atRoad,
  };
  return (
    <View style={wide ? styles.side : styles.stack}>
      <View style={wide && styles.half}>
        <Panel title="The wheel from the side">
          {patch ? (
            <Cut wheel={wheelOf(context, now)!} held={kept && wheelOf(context, kept)} units={units} palette={palette} />
          ) : (
            <Text>Squeezed flat: no tire left to stand on.</Text>
          )}
        </Panel>
      </View>
      <View style={wide && styles.half}>
        <Panel title="Footprint">
          {print && <Print axles={[print]} beside={kept ? 'kept' : roadName} units={units} palette={palette} />}
        </Panel>
      </View>
    </View>
  );
}

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
