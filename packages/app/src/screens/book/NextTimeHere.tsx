import type { OutingRow, RigRow } from '@dunlinmoss/contract';
import { contextsOf, planGround } from '@dunlinmoss/core';
import { askedOf, nextTimeOf, planInput, provedOn } from '@dunlinmoss/domain';

import { unitsFor, unitsStore } from '../../settings/preferences';
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
  const input = planInput(rig, tests, askedOf(outing));
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!input.ok || !plan?.ok) return null;
  const contexts = contextsOf(input.value);
  const lines = plan.value.axles.flatMap((axle, index) => {
    const next = nextTimeOf(
      rig,
      axle,
      contexts[index]!.build,
      provedOn(rig, axle.position, outing.groundCode, outings, tests),
    );
    return next ? [{ position: axle.position, next }] : [];
  });
  if (lines.length === 0) return null;
  return (
    <Panel title={`Next time: ${groundName(outing.groundCode).toLowerCase()}`}>
      {lines.map(({ position, next }) => (
        <Text key={position}>
          <Text as="strong">{`${AXLE_WORDS[position]} ${pressure(next.pressureKpa, units)}`}</Text>
          {`  ${nextTimeText(next, units)}`}
        </Text>
      ))}
    </Panel>
  );
}
