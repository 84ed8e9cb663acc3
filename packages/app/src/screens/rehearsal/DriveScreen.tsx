import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, LESSONS, type LessonCode } from '@dunlinmoss/core';
import { limpInput, rehearsalInput } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';

import { Action } from '../../components/Action';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { useAirings } from '../../data/airings';
import { useRows } from '../../data/rows';
import { useTestsOf } from '../../data/tests';
import { lastTool, toolsFor } from '../../hooks/toolChoice';
import { useChosenRig } from '../../hooks/useChosenRig';
import { useConditions } from '../../hooks/useConditions';
import { useProof } from '../../hooks/useProof';
import { COLD_CONDITIONS, conditionsOf } from '../../settings/conditions';
import { DRIVE_WORDS, noRehearsalText, type DriveCode } from '../../words/rehearsal';
import { useRouter } from '../../hooks/useRouter';
import { GroundDrive } from './GroundDrive';
import { LimpDrive } from './LimpDrive';

const isDrive = (code: string | undefined): code is DriveCode => code !== undefined && code in DRIVE_WORDS;

/** One practice drive. */
export function DriveScreen() {
  const { rig: asked, code } = useLocalSearchParams<{ rig?: string; code?: string }>();
  const { rig, loading } = useChosenRig(asked);
  const { loading: waits } = useRows('tests', rig ? { rigId: rig.id } : null);
  const title = isDrive(code) ? DRIVE_WORDS[code].name : 'Practice drives';
  if (!rig) return <NeedsRig title={title} loading={loading} why="It needs a machine and its load." />;
  // Own climbs change the place: it is not laid out before they are here.
  if (waits) {
    return (
      <Page title={title}>
        <Loading />
      </Page>
    );
  }
  if (!isDrive(code)) return <Nothing title={title} rig={rig} text="There is no such drive." />;
  return <OfRig key={`${rig.id} ${code}`} rig={rig} code={code} />;
}

function Nothing({ title, rig, text }: { readonly title: string; readonly rig: RigRow; readonly text: string }) {
  const router = useRouter();
  return (
    <Page title={title}>
      <Panel>
        <Text>{text}</Text>
        <Action
          label="Correct it on the rig"
          onPress={() => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } })}
        />
        <Action
          label="Other drives"
          onPress={() => router.navigate({ pathname: '/ground/drives', params: { rig: rig.id } })}
        />
      </Panel>
    </Page>
  );
}

const isLesson = (code: DriveCode): code is LessonCode => LESSONS.some((lesson) => lesson.code === code);

function OfRig({ rig, code }: { readonly rig: RigRow; readonly code: DriveCode }) {
  const { kind } = familyOf(rig.family);
  const tests = useTestsOf(rig.id);
  const { rows: airings } = useAirings(rig.id);
  const { rows: own } = useRows('tools');
  const { typed } = useConditions(rig.id);
  const proofOf = useProof(rig.id);
  const altitudeM = (conditionsOf(typed) ?? conditionsOf(COLD_CONDITIONS))?.altitudeM ?? 0;
  const used = (way: 'out' | 'in') => {
    const all = toolsFor(way, own);
    return (all.find((tool) => tool.code === lastTool(way, rig.id, kind, own)) ?? all[0]!).used;
  };
  const context: Parameters<typeof rehearsalInput>[1] = {
    rig,
    tests,
    airings,
    outTool: used('out'),
    inTool: used('in'),
    altitudeM,
    withProof: (asked) => proofOf(rig, tests, asked),
  };
  const title = DRIVE_WORDS[code].name;
  if (isLesson(code)) {
    const input = rehearsalInput(code, context);
    if (!input.ok) return <Nothing title={title} rig={rig} text={noRehearsalText(input.problem)} />;
    return <GroundDrive rig={rig} input={input.value} />;
  }
  const limp = limpInput(context);
  if (!limp.ok) return <Nothing title={title} rig={rig} text={noRehearsalText(limp.problem)} />;
  return <LimpDrive rig={rig} input={limp.value} />;
}
