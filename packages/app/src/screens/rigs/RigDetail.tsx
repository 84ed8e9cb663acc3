import { bodyOf, factsOf, loadCaseOf, questionsOf, rigLoads, type RigRow } from '@dunlinmoss/contract';
import {
  familyOf,
  findingSeverity,
  findingsOf,
  type AxleLoad,
  type AxlePosition,
  type Finding,
} from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { fileName, saveAsFile } from '../../components/files';
import { useGauges } from '../../data/gauges';
import { useOutingOf } from '../../data/outings';
import { save } from '../../data/outbox';
import { unitsStore } from '../../settings/preferences';
import { copyOf } from '../../data/rigs';
import { wayToFinding, wayToQuestion } from '../../hooks/wayTo';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Findings } from '../../components/Findings';
import { History } from '../../components/History';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { archiveAndSay } from '../../components/archiveAndSay';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { useWide } from '../../theme/useWide';
import { FAMILY_WORDS } from '../../words/families';
import { mass } from '../../words/format';
import { loadProblemText, METHOD_WORDS, STANDING_WORDS } from '../../words/loads';
import { rigQuestionText } from '../../words/questions';
import { useRouter } from '../../hooks/useRouter';
import { LoadPicture } from './LoadPicture';
import { LoadWorking } from './LoadWorking';
import { AxleFacts } from './AxleFacts';

/** A rig as it stands today: what is on each wheel, what its tires carry, what is wrong, and what next. */
export function RigDetail({ rig }: { readonly rig: RigRow }) {
  const router = useRouter();
  const units = unitsStore.use();
  const family = familyOf(rig.family);
  const wide = useWide();
  const gauges = useGauges();
  const loadCase = loadCaseOf(rig);
  const loads = loadCase && rigLoads(rig, loadCase);
  const findings = findingsOf(factsOf(rig, loadCase, gauges, gaugeStepKpa(units)));
  const questions = questionsOf(rig);
  const danger = new Set(findings.filter(isDanger).flatMap(positionsOf));
  const open = (path: '/rigs/[id]/edit' | '/rigs/[id]/card' | '/rigs/[id]/pressures'): void =>
    router.navigate({ pathname: path, params: { id: rig.id } });
  const openLoad = (id: string): void =>
    router.navigate({ pathname: '/rigs/[id]/load/[case]', params: { id: rig.id, case: id } });

  const stand = async (id: string): Promise<void> => {
    const saved = await save('rigs', { ...bodyOf('rigs', rig), loadCaseId: id });
    if (saved.kind === 'refused') notify(saved.problem.title);
  };
  const duplicate = async (): Promise<void> => {
    const copy = copyOf(rig);
    const saved = await save('rigs', copy);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    notify(`${copy.name} is made. Change what differs.`);
    router.navigate({ pathname: '/rigs/[id]/edit', params: { id: copy.id } });
  };
  const { outing } = useOutingOf(rig.id);
  const archive = (): Promise<void> => archiveAndSay('rigs', rig, rig.name, () => router.navigate('/rigs'));

  const shown = (
    <Findings
      findings={findings}
      kind={family.kind}
      onPutRight={(finding) => router.navigate(wayToFinding(rig, finding))}
    />
  );

  return (
    <View style={styles.detail}>
      <Text tone="muted">{FAMILY_WORDS[rig.family].name}</Text>
      {findings.length > 0 && shown}
      {questions.length > 0 && (
        <Panel title="Hardly can be">
          {questions.map((question) => (
            <View key={question.path} style={styles.question}>
              <Text as="small">{rigQuestionText(question, units)}</Text>
              <Action
                label="Correct it"
                spoken={`Correct it: ${rigQuestionText(question, units)}`}
                onPress={() => router.navigate(wayToQuestion(rig, question))}
              />
            </View>
          ))}
          <Text as="small" tone="muted">
            Kept as you typed it. Only what hangs on it waits.
          </Text>
        </Panel>
      )}
      <View style={wide ? styles.columns : styles.detail}>
        <View style={wide ? styles.column : styles.detail}>
          <Panel title="On every wheel">
            {rig.loadCases.length > 1 && (
              <Unfold label="How it is loaded today" value={loadCase?.name ?? 'Pick one'}>
                {(close) => (
                  <Choice
                    label="Load case"
                    layout="list"
                    value={loadCase?.id}
                    options={rig.loadCases.map(({ id, name, method }) => ({
                      code: id,
                      name,
                      note: METHOD_WORDS[method].name,
                    }))}
                    onChange={(id) => {
                      void stand(id);
                      close();
                    }}
                  />
                )}
              </Unfold>
            )}
            <LoadPicture
              rig={rig}
              loads={loads?.ok ? loads.value : undefined}
              items={loads?.ok ? loads.value.shares.map(({ item }) => item) : []}
              danger={danger}
            />
            {loadCase && loads?.ok && (
              <Text as="strong">
                {`${loadCase.name}: ${mass(loads.value.totalKg, units)} on the wheels, ${standingText(loads.value.axles)}.`}
              </Text>
            )}
            {loadCase && loads && !loads.ok && (
              <Text role="alert">{loadProblemText(loads.problem, family.kind, units)}</Text>
            )}
            {!loadCase && <Text>No load yet. Weigh it, or have it worked out: everything else goes by it.</Text>}
            {loadCase && (
              <Action icon="pencil" label={`Change “${loadCase.name}”`} onPress={() => openLoad(loadCase.id)} />
            )}
            <Action
              kind={loadCase ? 'quiet' : 'main'}
              icon="plus"
              label={loadCase ? 'Another load case' : 'Enter its load'}
              onPress={() => openLoad('new')}
            />
          </Panel>
          {loadCase && loads?.ok && loads.value.shares.length > 0 && (
            <LoadWorking rig={rig} loadCase={loadCase} loads={loads.value} />
          )}
        </View>
        <View style={wide ? styles.column : styles.detail}>
          {findings.length === 0 && shown}
          <Panel title="Tires">
            {rig.axles.map((axle, index) => (
              <AxleFacts
                key={axle.position}
                axle={axle}
                rig={rig}
                load={loads?.ok ? loads.value.axles[index] : undefined}
                gauges={gauges}
              />
            ))}
            <Action icon="pencil" label="Change axles, tires, pressures" onPress={() => open('/rigs/[id]/edit')} />
          </Panel>
          <Panel title="With this rig">
            {wide && (
              <Action
                label="Choose pressures by ground"
                onPress={() => router.navigate({ pathname: '/ground', params: { rig: rig.id } })}
              />
            )}
            <Action icon="file-text" label="Pressure card: every ground" onPress={() => open('/rigs/[id]/pressures')} />
            <Action icon="file-text" label="Rig card: print or keep" onPress={() => open('/rigs/[id]/card')} />
            <Action icon="copy" label="Make another like it" onPress={() => void duplicate()} />
            <Action
              icon="download"
              label="Save it as a file"
              onPress={() => void saveAsFile(`/export?rig=${rig.id}`, fileName(rig.name, 'json'))}
            />
            {outing?.state === 'lowered' && (
              <Text as="small" tone="rust">
                Its air is out. Archived it stands on no board: read its wheels first, or see to it yourself.
              </Text>
            )}
            <Action icon="archive" label="Archive it" onPress={() => void archive()} />
          </Panel>
          <History name="rigs" row={rig} />
        </View>
      </View>
    </View>
  );
}

const isDanger = ({ code }: Finding): boolean => findingSeverity(code) === 'danger';

function positionsOf(finding: Finding): AxlePosition[] {
  if ('position' in finding) return [finding.position];
  if (finding.code === 'drivenDiameters') return [finding.front, finding.rear];
  return finding.code === 'mixedConstruction' ? [finding.radial, finding.bias] : [];
}

/** How the loads of all axles are known, in a few words. */
function standingText(axles: readonly AxleLoad[]): string {
  const kinds = [...new Set(axles.map(({ standing }) => standing))];
  return kinds.length === 1 ? STANDING_WORDS[kinds[0]!] : 'some weighed wheel by wheel, some shared alike';
}

const styles = StyleSheet.create({
  detail: { gap: 12 },
  question: { gap: 4 },
  columns: { flexDirection: 'row', alignItems: 'flex-start', gap: 14 },
  column: { flex: 1, minWidth: 0, gap: 12 },
});
