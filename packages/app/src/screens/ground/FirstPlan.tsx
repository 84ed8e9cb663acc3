import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, type FirstNumbers } from '@dunlinmoss/core';
import { axleOnGauge, gaugeStepKpa } from '@dunlinmoss/domain';

import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Numerals } from '../../components/Numerals';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { speedGuide } from '../../words/cautions';
import { pressure, pressureRange } from '../../words/format';
import { LIMIT_WORDS } from '../../words/limits';
import { SCHOOL_WORDS } from '../../words/schools';
import { addressOf, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';
import { Asking } from './Asking';
import { Remarks } from './AxleNumbers';
import { FullAndEmpty } from './FullAndEmpty';
import { LetOutOr } from './LetOutOr';
import { besideFirst, WayOfChoosing } from './WayOfChoosing';

interface FirstPlanProps {
  readonly question: PlanQuery;
  readonly rigs: readonly RigRow[];
  readonly numbers: FirstNumbers;
}

/** Pressures before any scale: a rule of thumb, with what would make it surer where the number stands. */
export function FirstPlan({ question, rigs, numbers }: FirstPlanProps) {
  const palette = usePalette();
  const { rig, family, units } = question;
  const { plan, school } = numbers;
  const guide = speedGuide(plan, units);
  const axles = plan.axles.map((axle) => ({ ...axle, ...axleOnGauge(axle, units) }));
  return (
    <Page
      title="Ground"
      action={<LetOutOr question={question} />}
      result={
        <>
          <Panel title="Rule of thumb, until weighed">
            <Numerals
              units={units}
              axles={axles.map(({ position, startKpa, lowKpa, highKpa, floorKpa, ceilingKpa, ceiling }) => ({
                position,
                pressureKpa: startKpa,
                below: (
                  <Text as="small">
                    {school === null
                      ? 'the road pressure you gave'
                      : `try ${pressureRange(lowKpa, highKpa, units)}, not below ${pressure(floorKpa, units)}${ceilingKpa === null || ceiling?.code === 'placard' ? '' : `, at most ${pressure(ceilingKpa, units)}: ${LIMIT_WORDS[ceiling!.code].name}`}`}
                  </Text>
                ),
              }))}
            />
            <Text as="small">Weighed, the load has floors of its own: they may be higher.</Text>
            {guide !== undefined && <Text as="strong">{`Speed: ${guide}`}</Text>}
            <Remarks plan={plan} units={units} />
            {school !== null && <Text as="small">{`${SCHOOL_WORDS[school].name}. ${SCHOOL_WORDS[school].who}`}</Text>}
          </Panel>
          <Cautions plan={plan} severity="danger" />
          {school !== null && (
            <WayOfChoosing
              rig={rig}
              used={school}
              positions={plan.axles.map(({ position }) => position)}
              beside={besideFirst(numbers, units)}
            />
          )}
          {family.kind === 'farm' && <FullAndEmpty question={question} />}
          <Surer question={question} numbers={numbers} />
          <Panel title="Pressures">
            <Staff
              axles={axles.map(({ position, startKpa, lowKpa, highKpa, floorKpa, roadKpa }) => ({
                name: AXLE_WORDS[position],
                startKpa,
                lowKpa,
                highKpa,
                floorKpa,
                roadKpa,
              }))}
              roadName={COMPARED_WITH[family.kind]}
              units={units}
              palette={palette}
            />
          </Panel>
          <Cautions plan={plan} severity="care" />
        </>
      }
    >
      <Asking question={question} rigs={rigs} />
    </Page>
  );
}

/** What would make the number surer, cheapest first, and by how much it may move. */
function Surer({ question, numbers }: Pick<FirstPlanProps, 'question' | 'numbers'>) {
  const router = useRouter();
  const { rig, units } = question;
  const { loadMethods, kind } = familyOf(rig.family);
  const off = Math.max(0, ...numbers.axles.map(({ mayBeOffKpa }) => mayBeOffKpa ?? 0));
  const toLoad = (method: string) => (): void =>
    router.navigate({
      pathname: '/rigs/[id]/load/[case]',
      params: { id: rig.id, case: 'new', method, ground: question.asked.ground },
    });
  return (
    <Panel title="Make it surer">
      <Text as="small">
        {off >= gaugeStepKpa(units)
          ? `What stands on the wheels is not known. It may move this by up to ${pressure(off, units)}.`
          : 'What stands on the wheels is not known yet.'}
      </Text>
      {loadMethods.includes('split') && (
        <Action kind="main" label="Enter the whole weight: half a minute" onPress={toLoad('split')} />
      )}
      <Action
        label="Read off the sidewall"
        onPress={() =>
          router.navigate({
            pathname: '/rigs/[id]/sidewall',
            params: { id: rig.id, ground: question.asked.ground },
          })
        }
      />
      <Action
        label={kind === 'motorcycle' || kind === 'quad' ? 'A bathroom scale under each wheel' : 'Weigh wheels or axles'}
        onPress={toLoad('scales')}
      />
      {loadMethods.includes('moments') && <Action label="Work it out from empty weights" onPress={toLoad('moments')} />}
      <Action
        label="Pressure card: every ground on one page"
        onPress={() =>
          router.navigate({ pathname: '/rigs/[id]/pressures', params: { id: rig.id, ...addressOf(question) } })
        }
      />
    </Panel>
  );
}
