import { centralState, type CentralState } from '@dunlinmoss/contract';
import type { CentralLegs } from '@dunlinmoss/domain';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { request } from '../../data/client';
import { useDevices } from '../../data/monitors';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { pressure } from '../../words/format';
import { setupOf } from './setup';
import type { AirJob } from '../../hooks/useAirJob';

interface ControllerProps {
  readonly job: AirJob;
  readonly axles: readonly CentralLegs[];
  readonly out: number;
  readonly supply: number;
}

const DOING = { holding: 'holds', lettingOut: 'lets out', puttingIn: 'puts in' } as const;

const ASK_MS = 1_000;

/** The simulated controller: takes a target and reports its pressure. */
export function Controller({ job, axles, out, supply }: ControllerProps) {
  const { rig, units } = job;
  const { state, switchOn } = useDevices(rig.id);
  const [told, setTold] = useState<CentralState>();
  const on = state !== undefined;
  useEffect(() => {
    if (!on) return;
    const ask = (): void => {
      request('GET', `/devices/rigs/${rig.id}/central`).then(
        (answer) => setTold(centralState.parse(answer)),
        () => setTold(undefined),
      );
    };
    ask();
    const timer = setInterval(ask, ASK_MS);
    return () => clearInterval(timer);
  }, [on, rig.id]);
  const go = async (to: 'outKpa' | 'fieldKpa' | 'homeKpa'): Promise<void> => {
    try {
      const answer = await request('PUT', `/devices/rigs/${rig.id}/central`, {
        axles: axles.map((axle) => ({ position: axle.position, coldKpa: axle[to] })),
        outLPerS: out,
        supplyLPerMin: supply,
      });
      setTold(centralState.parse(answer));
    } catch {
      notify('The controller does not answer: change by hand, and read every wheel.');
    }
  };
  if (axles.length === 0) return null;
  return (
    <Panel title="Controller (simulated)">
      {!on ? (
        <>
          <Text as="small">A stand-in for a real controller, to see how it goes.</Text>
          <Action label="Switch it on" onPress={() => void switchOn(setupOf(job, false))} />
        </>
      ) : (
        <>
          {(told?.axles ?? []).map(({ position, coldKpa, targetKpa, doing }) => (
            <View key={position} style={styles.row}>
              <Text style={styles.name}>{`${AXLE_WORDS[position]} ${DOING[doing]}`}</Text>
              <Text as="figure">
                {`${pressure(coldKpa, units)}${targetKpa !== null && doing !== 'holding' ? ` → ${pressure(targetKpa, units)}` : ''}`}
              </Text>
            </View>
          ))}
          <Action label="To field pressure" onPress={() => void go('fieldKpa')} />
          <Action label="To road pressure, home" onPress={() => void go('homeKpa')} />
          <Action label="To road pressure, out" onPress={() => void go('outKpa')} />
        </>
      )}
    </Panel>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
});
