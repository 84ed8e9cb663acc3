import {
  isOver,
  mechanismOf,
  twinOf,
  verdictOn,
  type Choice,
  type Expected,
  type Mechanism,
  type RehearsalInput,
  type Scene,
  type Verdict,
} from '@dunlinmoss/core';
import { useCallback, useEffect, useRef, useState } from 'react';

import type { Opened } from '../workers/rehearsal.worker';
import { startRehearsal, type RehearsalThread } from '../workers/rehearsalWork';

/** A decision that was made, and what came of it beside the other that was played. */
export interface Decided {
  readonly before: Scene;
  readonly choice: Choice;
  readonly after: Scene;
  /** The choice that is played beside, where one is. */
  readonly twin: { readonly choice: Choice; readonly after: Scene } | null;
  readonly best: Choice;
  readonly expected: Expected;
  readonly verdict: Verdict;
  readonly mechanism: Mechanism | null;
}

export interface RehearsalState {
  /** The place; undefined until it is laid out. */
  readonly place: Pick<Opened, 'lie' | 'draw' | 'seen'> | undefined;
  readonly scene: Scene | undefined;
  readonly choices: readonly Choice[];
  /** So far, the newest last. */
  readonly decided: readonly Decided[];
  /** A choice is being driven and judged. */
  readonly busy: boolean;
  readonly failed: boolean;
  readonly choose: (choice: Choice) => void;
  /** From the beginning: the same place with the same seed. */
  readonly again: () => void;
}

/** A tire that is squeezed flat stands: nothing more can be driven with it. */
const NOWHERE = (scene: Scene): Scene => ({ ...scene, moment: 'stuck', run: null, wasStuck: true });

/** A lesson on a place, driven and judged in a worker; another seed or question begins anew. */
export function useRehearsal(input: RehearsalInput, seed: number): RehearsalState {
  const asked = JSON.stringify([input, seed]);
  const thread = useRef<RehearsalThread>(undefined);
  /** What each choice of the scene comes to: asked for while the person thinks. */
  const judged = useRef<Promise<readonly Expected[]>>(undefined);
  const [opened, setOpened] = useState<{ readonly asked: string; readonly place: Opened }>();
  const [now, setNow] = useState<{ readonly scene: Scene; readonly choices: readonly Choice[] }>();
  const [decided, setDecided] = useState<readonly Decided[]>([]);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const [round, setRound] = useState(0);

  useEffect(() => {
    const started = startRehearsal();
    thread.current = started;
    const [question, place] = JSON.parse(asked) as [RehearsalInput, number];
    let over = false;
    started.work.open(question, place).then(
      (first) => {
        if (over) return;
        setOpened({ asked, place: first });
        setNow({ scene: first.scene, choices: first.choices });
        setDecided([]);
        setBusy(false);
        judged.current = started.work.expect(first.scene, [...first.choices]);
        judged.current.catch(() => undefined);
      },
      () => !over && setFailed(true),
    );
    return () => {
      over = true;
      started.end();
    };
  }, [asked, round]);

  const choose = useCallback(
    (choice: Choice) => {
      const { work } = thread.current!;
      const { scene, choices } = now!;
      setBusy(true);
      const drive = async (): Promise<void> => {
        const expected = await judged.current!;
        const chosen = choices.indexOf(choice);
        const twinAt = twinOf(choices, expected, chosen);
        const after = (await work.take(scene, choice)) ?? NOWHERE(scene);
        const other = twinAt === null ? null : await work.take(scene, choices[twinAt]!);
        const twin = twinAt === null || other === null ? null : { choice: choices[twinAt]!, after: other };
        const halted = after.run === null ? null : after.run.end !== 'through';
        const verdict = verdictOn(expected, chosen, halted);
        const next = isOver(after.moment) ? [] : await work.choices(after);
        judged.current = work.expect(after, [...next]);
        judged.current.catch(() => undefined);
        const made: Decided = {
          before: scene,
          choice,
          after,
          twin,
          best: choices[verdict.best]!,
          expected: expected[chosen]!,
          verdict,
          mechanism: twin && mechanismOf(after, twin.after),
        };
        setDecided((all) => [...all, made]);
        setNow({ scene: after, choices: next });
        setBusy(false);
      };
      drive().catch(() => setFailed(true));
    },
    [now],
  );
  const current = opened?.asked === asked;
  return {
    place: current ? opened.place : undefined,
    scene: current ? now?.scene : undefined,
    choices: current ? (now?.choices ?? []) : [],
    decided: current ? decided : [],
    busy,
    failed,
    choose,
    again() {
      // What stands there is over at once: a tap must not meet the choices of before.
      setNow(undefined);
      setDecided([]);
      setRound((before) => before + 1);
    },
  };
}
