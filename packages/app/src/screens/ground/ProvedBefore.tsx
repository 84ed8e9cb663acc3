import { bodyOf, type OutingRow, type ProofTestRow } from '@dunlinmoss/contract';
import { compareTexts, type AxlePosition, type GroundPlan } from '@dunlinmoss/core';
import { countsUntilMs, proofDoubt, provedOn, type ProofDoubt, type ProofOfAxle } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { saveOuting, useOutingsOf } from '../../data/outings';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { day, pressureNumber } from '../../words/format';
import { PROOF_DOUBT_WORDS, PROOF_WORDS } from '../../words/learned';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { useByRule } from '../../hooks/useProof';

interface Proof extends Omit<ProofOfAxle, 'pressureKpa'> {
  readonly axles: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];
}

/** What was proved on this ground, newest first: each can be struck, and the numbers go back to what they were. */
export function ProvedBefore({ question, plan }: { readonly question: PlanQuery; readonly plan: GroundPlan }) {
  const { rig, tests, asked, units } = question;
  const { rows: outings } = useOutingsOf(rig.id);
  const nowMs = useNow(false);
  const [byRule, goByRule] = useByRule(rig.id, asked.ground);
  if (plan.school === null) return null;
  const ruleOf = (position: AxlePosition) => plan.axles.find((axle) => axle.position === position)?.ruleKpa;
  /** Why one that nobody left out does not count all the same. */
  const doubtOf = (proof: Proof): ProofDoubt | null => {
    for (const { position, pressureKpa } of proof.axles) {
      const maxKpa = rig.axles.find((axle) => axle.position === position)?.maxKpa ?? null;
      const ruleKpa = ruleOf(position);
      const doubt = ruleKpa === undefined ? null : proofDoubt({ ...proof, pressureKpa }, { maxKpa, ruleKpa }, nowMs);
      if (doubt !== null) return doubt;
    }
    return null;
  };
  const proofs = new Map<string, Proof>();
  for (const { position } of plan.axles) {
    for (const { pressureKpa, ...proof } of provedOn(rig, position, asked.ground, outings, tests, ruleOf)) {
      const axles = [...(proofs.get(proof.id)?.axles ?? []), { position, pressureKpa }];
      proofs.set(proof.id, { ...proof, axles });
    }
  }
  if (proofs.size === 0) return null;
  const counts = (proof: Proof): boolean => proof.counts && doubtOf(proof) === null && countsUntilMs(proof) >= nowMs;
  return (
    <Panel title="Proved here">
      {[...proofs.values()]
        .sort((a, b) => compareTexts(b.at, a.at))
        .map((proof) => {
          const numbers = proof.axles
            .map(
              ({ position, pressureKpa }) =>
                `${AXLE_WORDS[position].toLowerCase()} ${pressureNumber(pressureKpa, units)}`,
            )
            .join(', ');
          const text = `${PROOF_WORDS[proof.by === 'drive' ? proof.decided : proof.by]}: ${numbers} ${units.pressure}, ${day(proof.at)}`;
          const until = countsUntilMs(proof);
          const doubt = doubtOf(proof);
          const state = !proof.counts
            ? ' (left out)'
            : doubt !== null
              ? ` (${PROOF_DOUBT_WORDS[doubt]})`
              : until < nowMs
                ? ' (too long ago to count)'
                : '';
          return (
            <View key={proof.id} style={styles.proof}>
              <Text tone={counts(proof) ? 'ink' : 'muted'}>{text + state}</Text>
              {counts(proof) && (
                <Text as="small" tone="muted">{`Counts until ${day(new Date(until).toISOString())}.`}</Text>
              )}
              <Action
                label={proof.counts ? 'Don’t count it' : 'Count it again'}
                spoken={`${proof.counts ? 'Don’t count it' : 'Count it again'}: ${text}`}
                onPress={() => void strike(proof, outings, tests)}
              />
            </View>
          );
        })}
      {(byRule || [...proofs.values()].some(counts)) && (
        <Action label={byRule ? 'Use what was proved' : 'Use the rule here'} onPress={() => goByRule(!byRule)} />
      )}
    </Panel>
  );
}

/** Strikes a proof from those that count, or has it count again. */
async function strike(
  { id, counts }: Proof,
  outings: readonly OutingRow[],
  tests: readonly ProofTestRow[],
): Promise<void> {
  const outing = outings.find((each) => each.id === id);
  const test = tests.find((each) => each.id === id);
  const saved = outing?.decision
    ? await saveOuting(outing, { decision: { ...outing.decision, counts: !counts } })
    : test && (await save('tests', { ...bodyOf('tests', test), counts: !counts }));
  if (saved?.kind === 'refused') notify(saved.problem.title);
}

const styles = StyleSheet.create({
  proof: { gap: 4 },
});
