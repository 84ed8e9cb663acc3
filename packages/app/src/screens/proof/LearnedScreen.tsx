import { bodyOf, buildOf, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import { familyOf, type Observation } from '@dunlinmoss/core';
import { isOfTire, ownTireOf } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { save } from '../../data/outbox';
import { unitsFor, unitsStore, type Units } from '../../settings/preferences';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { RowFrame } from '../../components/RowFrame';
import { useTestsOf } from '../../data/tests';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Intervals } from '../../pictures/Intervals';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { day, dayAndTime, length, pressure, pressureFine } from '../../words/format';
import { learnedLines } from '../../words/learned';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { testText } from '../../words/proof/tests';

const TITLE = 'What they add up to';

/** What all tests of a rig add up to: assumed and found, what contradicts what, and which tests count. */
export function LearnedScreen() {
  const { rig: rigId } = useLocalSearchParams<{ rig?: string }>();
  const { rows: rigs, loading } = useRows('rigs');
  const id = rigId ?? rigs[0]?.id;
  if (id === undefined) {
    return <NeedsRig title={TITLE} loading={loading} why="Tests are of a rig: load, tires and placard." />;
  }
  return (
    <RowFrame name="rigs" id={id} around={(body, rig) => (rig ? body : <Page title={TITLE}>{body}</Page>)}>
      {(rig) => <Learned rig={rig!} />}
    </RowFrame>
  );
}

function Learned({ rig }: { readonly rig: RigRow }) {
  const tests = useTestsOf(rig.id);
  const palette = usePalette();
  const units = unitsFor(unitsStore.use(), rig.family);
  const bicycle = familyOf(rig.family).kind === 'bicycle';
  const setCounts = async (test: ProofTestRow, counts: boolean): Promise<void> => {
    const body = bodyOf('tests', test);
    const saved = await save('tests', { ...body, counts } as never);
    if (saved.kind === 'refused') notify(saved.problem.title);
  };
  const freshTires = async (index: number): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const fittedAt = new Date().toISOString();
    const axles = rig.axles.map((axle, at) => (at === index ? { ...axle, fittedAt } : axle));
    const saved = await save('rigs', { ...before, axles });
    if (saved.kind === 'refused') {
      notify(saved.problem.title);
      return;
    }
    notify('Begun anew. What was measured before is kept under its own date.', () => {
      if (saved.kind === 'saved') void save('rigs', { ...before, revision: saved.row.revision });
    });
  };
  return (
    <Page
      title={TITLE}
      result={rig.axles.map((axle, index) => {
        const own = ownTireOf(axle, tests, rig.family);
        const lines = own ? learnedLines(own.estimate.tire, buildOf(axle).carcass, bicycle) : [];
        return (
          <Panel key={axle.position} title={`${AXLE_WORDS[axle.position]}: ${axle.tireMarking}`}>
            {axle.fittedAt !== null && (
              <Text as="small" tone="muted">{`These tires since ${day(axle.fittedAt)}.`}</Text>
            )}
            {!own || lines.length === 0 ? (
              <Text tone="muted">Nothing measured on this tire yet: plans go by the assumptions.</Text>
            ) : (
              <>
                <Intervals lines={lines} own={own.estimate.tire} bicycle={bicycle} palette={palette} />
                <Text as="small" tone="muted">
                  Bars: nine chances in ten. Mark: assumed before anything was measured.
                </Text>
                <Text as="small">
                  {Math.abs(own.estimate.gauge.biasKpa) < 1
                    ? 'The gauge of these readings shows no sign of being off.'
                    : `The gauge of these readings seems to show ${pressureFine(Math.abs(own.estimate.gauge.biasKpa), units)} too ${own.estimate.gauge.biasKpa > 0 ? 'much' : 'little'}.`}
                </Text>
                {own.estimate.contradictions.length > 0 && (
                  <Text role="alert" tone="rust">
                    {`These contradict each other: ${own.estimate.contradictions
                      .slice(0, 2)
                      .map(
                        ([a, b]) =>
                          `${readingText(own.observations[a]!, tests, units)} and ${readingText(own.observations[b]!, tests, units)}`,
                      )
                      .join('; ')}. Leave the doubtful test out, or measure again.`}
                  </Text>
                )}
                {own.estimate.contradictions.length === 0 && own.estimate.wild.length > 0 && (
                  <Text tone="rust">
                    {`Hardly counted, because it fits nothing else: ${own.estimate.wild.map((at) => readingText(own.observations[at]!, tests, units)).join('; ')}.`}
                  </Text>
                )}
              </>
            )}
            <Action label="Other tires or rims are on: begin anew" onPress={() => void freshTires(index)} />
          </Panel>
        );
      })}
    >
      <Text tone="muted">{`${rig.name}. Plans go by what counts here; the rest by assumption.`}</Text>
      <Panel title="What counts">
        {tests.length === 0 && <Text tone="muted">No test yet.</Text>}
        {tests.map((test, index) => {
          const older = !rig.axles.some((axle) => isOfTire(test, axle));
          return (
            <View key={test.id} style={index > 0 && [styles.test, { borderColor: palette.line }]}>
              <Toggle
                label={testText(test, rig.family)}
                note={`${dayAndTime(test.performedAt)}${test.counts ? '' : ' · does not count'}${older ? ` · of other tires: ${test.details.tireMarking}` : ''}`}
                spokenLabel={`${ROUTINE_WORDS[test.kind].name}, ${dayAndTime(test.performedAt)}, counts`}
                value={test.counts}
                onChange={(counts) => void setCounts(test, counts)}
              />
            </View>
          );
        })}
      </Panel>
    </Page>
  );
}

/** `545 mm at 16 psi (Tape test, 3 May 2026)`. */
function readingText(
  { valueMm, pressureKpa, test }: Observation,
  tests: readonly ProofTestRow[],
  units: Units,
): string {
  const of = tests.find(({ id }) => id === test);
  return `${length(valueMm, units)} at ${pressure(pressureKpa, units)}${of ? ` (${ROUTINE_WORDS[of.kind].name}, ${day(of.performedAt)})` : ''}`;
}

const styles = StyleSheet.create({
  test: { borderTopWidth: 1, paddingVertical: 4 },
});
