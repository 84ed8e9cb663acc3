import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, type FirstNumbers } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';

import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { speedGuide } from '../../words/cautions';
import { pressure } from '../../words/format';
import { SCHOOL_WORDS } from '../../words/schools';
import { addressOf, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';
import { Asking } from './Asking';
import { numbersOf, Remarks } from './AxleNumbers';
import { FullAndEmpty } from './FullAndEmpty';
import { LetOutOr } from './LetOutOr';
import { NumberBox } from './NumberBox';
import { besideFirst, WayOfChoosing } from './WayOfChoosing';

interface FirstPlanProps {
  readonly question: PlanQuery;
  readonly rigs: readonly RigRow[];
  readonly numbers: FirstNumbers;
}

/** Pressures before any scale: a rule of thumb, marked as one, and what would refine it. */
export function FirstPlan({ question, rigs, numbers }: FirstPlanProps) {
  const palette = usePalette();
  const wide = useWide();
  const { rig, family, units } = question;
  const { plan, school } = numbers;
  const guide = speedGuide(plan, units);
  const roadName = COMPARED_WITH[family.kind];
  return (
    <Page
      title="Ground"
      aside={<StuckButton rigId={rig.id} />}
      action={<LetOutOr question={question} />}
      result={
        <>
          <NumberBox axles={numbersOf(plan, units)} isRoad={school === null} roadName={roadName} units={units}>
            {guide !== undefined && <Text as="strong">{`Speed: ${guide}`}</Text>}
            <Text as="small">Rule of thumb, until weighed.</Text>
            <Remarks plan={plan} units={units} alarming />
          </NumberBox>
          <Cautions plan={plan} severity="danger" />
          <Refine question={question} numbers={numbers} />
          {wide && (
            <Panel title="Pressures">
              <Staff
                axles={numbersOf(plan, units).map(({ position, ...levels }) => ({
                  name: AXLE_WORDS[position],
                  ...levels,
                }))}
                roadName={roadName}
                units={units}
                palette={palette}
              />
            </Panel>
          )}
          <Unfold label="Why this number" startsOpen={wide}>
            {school !== null && <Text as="small">{`${SCHOOL_WORDS[school].name}. ${SCHOOL_WORDS[school].who}`}</Text>}
            <Text as="small">Weighed, the load has floors of its own: they may be higher.</Text>
            <Remarks plan={plan} units={units} alarming={false} />
            {school !== null && (
              <WayOfChoosing
                rig={rig}
                used={school}
                positions={plan.axles.map(({ position }) => position)}
                beside={besideFirst(numbers, units)}
              />
            )}
          </Unfold>
          {family.kind === 'farm' && <FullAndEmpty question={question} />}
          <Cautions plan={plan} severity="care" />
        </>
      }
    >
      <Asking question={question} rigs={rigs} />
    </Page>
  );
}

/** What would refine the number, cheapest first, and by how much it may move. */
function Refine({ question, numbers }: Pick<FirstPlanProps, 'question' | 'numbers'>) {
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
    <Unfold
      label="Refine it"
      value={off >= gaugeStepKpa(units) ? `may move by up to ${pressure(off, units)}` : undefined}
    >
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
    </Unfold>
  );
}
