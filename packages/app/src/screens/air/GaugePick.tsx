import type { Airing, GaugeRow } from '@dunlinmoss/contract';

import { gaugeOffsets } from '../../data/gauges';
import { createStore } from '../../settings/store';
import { Choice } from '../../components/Choice';
import { Unfold } from '../../components/Unfold';

const TRUSTED = 'trusted';

/** The gauge in the hand: the last one used, kept on this device. */
const gaugeStore = createStore<string>(TRUSTED, 'gauge');

/** The gauge in the hand, and what a reading keeps of it. */
export function useGaugeInHand(gauges: readonly GaugeRow[]): {
  readonly gauge: GaugeRow | undefined;
  readonly used: Airing['gauge'];
} {
  const id = gaugeStore.use();
  const gauge = gauges.find((each) => each.id === id);
  return {
    gauge,
    used: gauge ? { gaugeId: gauge.id, offsetKpa: gaugeOffsets(gauges).get(gauge.id) ?? 0 } : null,
  };
}

/** Which gauge is read; nothing to choose where there is none. */
export function GaugePick({ gauges }: { readonly gauges: readonly GaugeRow[] }) {
  const id = gaugeStore.use();
  const gauge = gauges.find((each) => each.id === id);
  if (gauges.length === 0) return null;
  return (
    <Unfold label="Read with" value={gauge?.name ?? 'A gauge taken as true'}>
      {(close) => (
        <Choice
          label="Gauge"
          layout="list"
          value={gauge?.id ?? TRUSTED}
          options={[
            { code: TRUSTED, name: 'A gauge taken as true' },
            ...gauges.map((each) => ({ code: each.id, name: each.name })),
          ]}
          onChange={(code) => {
            gaugeStore.set(code);
            close();
          }}
        />
      )}
    </Unfold>
  );
}
