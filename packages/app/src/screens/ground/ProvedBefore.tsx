import { contextsOf, type GroundPlan } from '@dunlinmoss/core';
import { nextTimeOf, planInput, provedOn } from '@dunlinmoss/domain';

import { useRows } from '../../data/rows';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { pressure } from '../../words/format';
import { nextTimeText } from '../../words/learned';
import type { PlanQuery } from '../../hooks/usePlanQuery';

/** What was proved on this ground before, and what that makes of today: beside the rule of thumb, with the difference. */
export function ProvedBefore({ question, plan }: { readonly question: PlanQuery; readonly plan: GroundPlan }) {
  const { rig, tests, asked, units } = question;
  const { rows: outings } = useRows('outings', { limit: '100' });
  const input = planInput(rig, tests, asked);
  if (!input.ok || plan.school === null) return null;
  const contexts = contextsOf(input.value);
  const lines = plan.axles.flatMap((axle, index) => {
    const proved = provedOn(rig, axle.position, asked.ground, outings, tests);
    const next = nextTimeOf(rig, axle, contexts[index]!.build, proved);
    if (!next) return [];
    const lowest = axle.floor.pressureKpa;
    const highest = axle.ceiling?.pressureKpa ?? Number.POSITIVE_INFINITY;
    const heldKpa = Math.min(Math.max(next.pressureKpa, lowest), Math.max(highest, lowest));
    return [{ axle, next, heldKpa, held: Math.abs(heldKpa - next.pressureKpa) > 1 }];
  });
  if (lines.length === 0) return null;
  return (
    <Panel title="Proved here">
      {lines.map(({ axle, next, heldKpa, held }) => (
        <Text key={axle.position}>
          <Text as="strong">{`${AXLE_WORDS[axle.position]} ${pressure(heldKpa, units)}`}</Text>
          {`  ${nextTimeText(next, units)}${held ? ' Cut off at today’s limit.' : ''}`}
        </Text>
      ))}
    </Panel>
  );
}
