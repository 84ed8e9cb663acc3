import { carcassFactor, familyOf, planGround, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge, planInput, shownPlan } from '@dunlinmoss/domain';

import { Fragment } from 'react';

import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { length, pressure } from '../../words/format';
import { learnedLines } from '../../words/learned';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';

/** What the rig's own tests have changed of the plan: assumed, found, and how far the numbers moved. */
export function Learned({ question, plan }: { readonly question: PlanQuery; readonly plan: GroundPlan }) {
  const router = useRouter();
  const { rig, asked, units } = question;
  const input = planInput(rig, [], asked);
  const fine = input.ok ? planGround(input.value) : undefined;
  const plain = input.ok && fine?.ok ? shownPlan(input.value, fine.value, units) : undefined;
  if (plan.axles.every(({ own }) => own === null)) return null;
  const bicycle = familyOf(rig.family).kind === 'bicycle';
  return (
    <Panel title="Measured by you">
      {plan.axles.map((axle, index) => {
        if (!axle.own) return null;
        const before = plain?.axles[index];
        const [was, is] = [before && axleOnGauge(before, units).startKpa, axleOnGauge(axle, units).startKpa];
        const grew = before ? axle.atStart.lengthMm - before.atStart.lengthMm : 0;
        return (
          <Fragment key={axle.position}>
            <Text as="strong">{AXLE_WORDS[axle.position]}</Text>
            {learnedLines(axle.own, carcassFactor(rig.axles[index]!.loadRange), bicycle).map(
              ({ name, assumed, found, between }) => (
                <Text
                  key={name}
                  as="small"
                  tone="moss"
                >{`${name}: assumed ${assumed}, yours ${found} (${between})`}</Text>
              ),
            )}
            {was !== undefined && (
              <Text as="small">
                {was === is
                  ? `The start stays at ${pressure(is, units)}. `
                  : `That moves the start from ${pressure(was, units)} to ${pressure(is, units)}. `}
                {Math.abs(grew) >= 1
                  ? `The footprint is ${length(Math.abs(grew), units)} ${grew > 0 ? 'longer' : 'shorter'} than assumed.`
                  : 'The footprint is as long as assumed.'}
              </Text>
            )}
          </Fragment>
        );
      })}
      <Action
        label="See every reading"
        onPress={() => router.navigate({ pathname: '/proof/learned', params: { rig: rig.id } })}
      />
    </Panel>
  );
}
