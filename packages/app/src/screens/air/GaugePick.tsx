import type { Airing, GaugeRow } from '@dunlinmoss/contract';

import { gaugeOffsets } from '../../data/gauges';
import { createStore } from '../../settings/store';
import { Choice } from '../../components/Choice';
import { Unfold } from '../../components/Unfold';

const TRUSTED = 'trusted';

/** The gauge in the hand, by rig: the last one used on it, kept on this device. */
const gaugesStore = createStore<Readonly<Record<string, string>>>({}, 'gaugeOf');

/** The gauge in the hand, and what a reading keeps of it. */
export function useGaugeInHand(
  rigId: string,
  gauges: readonly GaugeRow[],
): {
  readonly gauge: GaugeRow | undefined;
  readonly used: Airing['gauge'];
} {
  const id = gaugesStore.use()[rigId];
  const gauge = gauges.find((each) => each.id === id);
  return {
    gauge,
    used: gauge ? { gaugeId: gauge.id, offsetKpa: gaugeOffsets(gauges).get(gauge.id) ?? 0 } : null,
  };
}

interface GaugePickProps {
  readonly rigId: string;
  readonly gauges: readonly GaugeRow[];
}

/** Which gauge is read; nothing to choose where there is none. */
export function GaugePick({ rigId, gauges }: GaugePickProps) {
  const inHand = gaugesStore.use();
  const gauge = gauges.find((each) => each.id === inHand[rigId]);
  if (gauges.length === 0) return null;
  return (
    <Unfold label="Read with" value={gauge?.name ?? 'A gauge you trust'}>
      {(close) => (
        <Choice
          label="Gauge"
          layout="list"
          value={gauge?.id ?? TRUSTED}
          options={[
            { code: TRUSTED, name: 'A gauge you trust' },
            ...gauges.map((each) => ({ code: each.id, name: each.name })),
          ]}
          onChange={(code) => {
            gaugesStore.set({ ...inHand, [rigId]: code });
            close();
          }}
        />
      )}
    </Unfold>
  );
}
