import type { RigRow } from '@dunlinmoss/contract';
import {
  FIT_WARMTH_C,
  limpHome,
  limpIsOver,
  riseKpa,
  verdictOn,
  type LimpChoice,
  type LimpFrame,
  type LimpInput,
  type LimpScene,
  type Verdict,
} from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';

import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { WarmStrip } from '../../pictures/WarmStrip';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { pressureFine, speed } from '../../words/format';
import { DRIVE_WORDS, limpChoiceText, limpMomentText, LUCK_WORDS, verdictText } from '../../words/rehearsal';
import { useRouter } from '../../hooks/useRouter';

interface LimpDriveProps {
  readonly rig: RigRow;
  readonly input: LimpInput;
}

interface Said {
  readonly choice: LimpChoice;
  readonly best: LimpChoice;
  readonly expected: { readonly minutes: number; readonly halted: number };
  readonly verdict: Verdict;
  /** What the one that is best would have come to, beside what was driven. */
  readonly beside: readonly LimpFrame[];
}

/** Pavement on soft tires, no air near: how fast, and what the gauge says on the way. */
export function LimpDrive({ rig, input }: LimpDriveProps) {
  const router = useRouter();
  const palette = usePalette();
  const wide = useWide();
  const { place } = useLocalSearchParams<{ place?: string }>();
  const units = unitsFor(unitsStore.use(), rig.family);
  const seed = Math.min(9_999, Math.max(1, Math.floor(Number(place)) || 1));
  const asked = JSON.stringify([input, seed]);
  const limp = useMemo(() => {
    const [question, tire] = JSON.parse(asked) as [LimpInput, number];
    return limpHome(question, tire);
  }, [asked]);
  const [scene, setScene] = useState<LimpScene>(limp.begin);
  const [driven, setDriven] = useState<readonly LimpFrame[]>([]);
  const [said, setSaid] = useState<Said>();
  const [of, setOf] = useState(asked);
  const begin = (): void => {
    setScene(limp.begin);
    setDriven([]);
    setSaid(undefined);
  };
  if (of !== asked) {
    setOf(asked);
    begin();
  }
  const warmKpa = riseKpa(input, FIT_WARMTH_C);
  const choices = limp.choices(scene);
  const choose = (choice: LimpChoice): void => {
    const expected = choices.map((each) => limp.expect(scene, each));
    const after = limp.take(scene, choice);
    const halted = after.moment === 'failed' ? true : after.moment === 'home' ? false : null;
    const verdict = verdictOn(expected, choices.indexOf(choice), halted);
    const best = choices[verdict.best]!;
    const first = limp.take(scene, best);
    const rest = first.moment === 'looked' ? limp.take(first, { code: 'goOn', kmh: first.kmh }) : first;
    setSaid({
      choice,
      best,
      expected: expected[choices.indexOf(choice)]!,
      verdict,
      beside: [...driven, ...first.frames, ...(rest === first ? [] : rest.frames)],
    });
    setDriven([...driven, ...after.frames]);
    setScene(after);
  };
  const { name, ahead } = DRIVE_WORDS.limpHome;
  const over = limpIsOver(scene.moment);
  const seen = said && (
    <>
      <WarmStrip driven={driven} beside={said.beside} warmKpa={warmKpa} units={units} palette={palette} />
      <Text as="small" tone="muted">
        {`The gauge over cold along the way. Solid: you. Dashed: ${limpChoiceText(said.best, units)}.`}
      </Text>
      <Panel title={`You: ${limpChoiceText(said.choice, units)}`}>
        <Text as="strong" tone={said.verdict.costsMin > 0 ? 'rust' : 'moss'}>
          {verdictText({
            verdict: said.verdict,
            expected: said.expected,
            best: limpChoiceText(said.best, units),
            of: 'tires',
          })}
        </Text>
        {said.verdict.luck && <Text>{LUCK_WORDS[said.verdict.luck]}</Text>}
      </Panel>
    </>
  );
  return (
    <Page
      title={name}
      result={
        <>
          {wide && seen}
          <Text as="small" tone="muted">
            {`More than about 4 psi over a cold 36 after an hour says too low for load and speed (common practice, no source): on this tire ${pressureFine(warmKpa, units)}. How fast a tire warms and what it bears is our assumption; ${speed(input.allowedKmh, units)} is what Ground and Air allow it. Sidewall, placard and law overrule it; never let air out of a hot tire to reach a cold figure.`}
          </Text>
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · tire ${seed}`}</Text>
      {(wide || !said) && <Text>{ahead(units)}</Text>}
      {!wide && seen}
      <Panel title={over ? 'The end of it' : 'What do you do?'}>
        <Text role="status">{limpMomentText(scene, input, units)}</Text>
        {choices.map((choice) => (
          <Action key={choice.code} label={limpChoiceText(choice, units)} onPress={() => choose(choice)} />
        ))}
      </Panel>
      {driven.length > 0 && (
        <>
          <Action label="Again, the same tire" onPress={begin} />
          <Action label="Another tire" onPress={() => router.setParams({ place: String(seed + 1) })} />
        </>
      )}
      <Action
        label="Other drives"
        onPress={() => router.navigate({ pathname: '/ground/drives', params: { rig: rig.id } })}
      />
    </Page>
  );
}
