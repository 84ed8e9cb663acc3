import { standingDiameterMm, whatIf, type AxleContext, type WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { memo, useDeferredValue } from 'react';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { WhileSeen } from '../../components/WhileSeen';
import { Cut } from '../../pictures/Cut';
import { Familiar } from '../../pictures/Familiar';
import { Print } from '../../pictures/Print';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { type Shown, type FollowersProps } from './whatIfValues';
import { Readings, Closeness } from './WhatIfReadings';

/** All that follows the staff: drawn after it, and given up for the next place of the finger where there is no time. */
export function Following({ tried, held, ...shown }: Shown) {
  const triedKpa = useDeferredValue(tried.use());
  return <Followers triedKpa={triedKpa} heldKpa={held.use()} {...shown} />;
}

const Followers = memo(function Followers({ context, axle, units, roadName, triedKpa, heldKpa }: FollowersProps) {
  const palette = usePalette();
  const wide = useWide();
  const now = whatIf(context, axle, triedKpa);
  const held = heldKpa === null ? null : whatIf(context, axle, heldKpa);
  return (
    <>
      <WhileSeen>
        <Readings axle={axle} now={now} held={held} units={units} />
      </WhileSeen>
      <WhileSeen>
        <Closeness now={now} units={units} />
      </WhileSeen>
      {now.patch && (
        <WhileSeen>
          <Panel title="On the ground, beside others">
            <Familiar
              groundKpa={now.patch.groundPressureKpa}
              heldKpa={held?.patch?.groundPressureKpa ?? null}
              units={units}
              palette={palette}
            />
          </Panel>
        </WhileSeen>
      )}
      <View style={wide ? styles.side : styles.stack}>
        <View style={wide && styles.half}>
          <WhileSeen>
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
          </WhileSeen>
        </View>
        <View style={wide && styles.half}>
          <WhileSeen>
            <Panel title="Footprint">
              {now.patch && (
                <Print
                  axles={[
                    {
                      name: AXLE_WORDS[axle.position],
                      start: { ...now.patch, pressureKpa: onGauge(triedKpa, units) },
                      road: held ? held.patch : axle.atRoad,
                    },
                  ]}
                  beside={held ? 'kept' : roadName}
                  units={units}
                  palette={palette}
                />
              )}
            </Panel>
          </WhileSeen>
        </View>
      </View>
    </>
  );
});

const wheelOf = ({ build }: AxleContext, { patch }: WhatIf) =>
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
