import type { OutingRow, RigRow } from '@dunlinmoss/contract';
import { planGround } from '@dunlinmoss/core';
import { askedOf, axleOnGauge, planInput, withProof, type ProvedAxle } from '@dunlinmoss/domain';

import { unitsFor, unitsStore } from '../../settings/preferences';
import { useNow } from '../../data/clock';
import { useTestsOf } from '../../data/tests';
import { useRows } from '../../data/rows';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { nextTimeText } from '../../words/learned';

/** Where to begin next time with this rig on this ground, as loaded then. */
export function NextTimeHere({ rig, outing }: { readonly rig: RigRow; readonly outing: OutingRow }) {
  const units = unitsFor(unitsStore.use(), rig.family);
  const tests = useTestsOf(rig.id);
  const { rows: outings } = useRows('outings', { rigId: rig.id });
  const asked = withProof(rig, { tests, outings }, askedOf(outing), useNow(false));
  const input = planInput(rig, tests, asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!plan?.ok) return null;
  // What Ground says for the same day, limits and all.
  const proved: readonly ProvedAxle[] = asked.proved;
  const lines = proved.flatMap(({ position, next }) => {
    const axle = plan.value.axles.find((each) => each.position === position);
    return axle ? [{ position, next, startKpa: axleOnGauge(axle, units).startKpa }] : [];
  });
  if (lines.length === 0) return null;
  return (
    <Panel title={`Next time: ${groundName(outing.groundCode).toLowerCase()}`}>
      {lines.map(({ position, next, startKpa }) => (
        <Text key={position}>
          <Text as="strong">{`${AXLE_WORDS[position]} ${pressure(startKpa, units)}`}</Text>
          {`  ${nextTimeText(next, units)}`}
        </Text>
      ))}
    </Panel>
  );
}
