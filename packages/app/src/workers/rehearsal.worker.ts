import {
  rehearse,
  softnessSeen,
  type Choice,
  type Expected,
  type Lie,
  type OwnSoftness,
  type Rehearsal,
  type RehearsalInput,
  type Scene,
} from '@dunlinmoss/core';
import { expose } from 'comlink';

/** A lesson as it begins on one place. */
export interface Opened {
  /** The way, as deep as it turned out, and the draw of it: what it looks like follows from them. */
  readonly lie: Lie;
  readonly draw: { readonly seed: number; readonly shift: number; readonly scatter: number };
  /** How soft such places may be, and by what the person saw. */
  readonly seen: OwnSoftness;
  readonly scene: Scene;
  readonly choices: readonly Choice[];
}

let open: Rehearsal | undefined;

/** Drives on a thread of its own: one drive takes some milliseconds, judging a choice takes hundreds of drives. */
const work = {
  open(input: RehearsalInput, seed: number): Opened {
    const seen = softnessSeen(input);
    open = rehearse(input, seed, seen.softness);
    const { lesson, way, begin } = open;
    return { lie: lesson.lie, draw: way.draw, seen, scene: begin, choices: open.choices(begin) };
  },
  choices: (scene: Scene): readonly Choice[] => open!.choices(scene),
  take: (scene: Scene, choice: Choice): Scene | null => open!.take(scene, choice),
  expect: (scene: Scene, choices: readonly Choice[]): readonly Expected[] =>
    choices.map((choice) => open!.expect(scene, choice)),
};

export type RehearsalWork = typeof work;

expose(work);
