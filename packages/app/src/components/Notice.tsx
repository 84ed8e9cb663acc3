import { Suspense, useState, type ComponentType } from 'react';

import { createStore } from '../settings/store';

interface NoticeState {
  /** Which one it is: each has its own time, though it says the same as the one before. */
  readonly number: number;
  readonly text: string;
  readonly undo?: () => void;
}

export const noticeStore = createStore<NoticeState | null>(null);

/** Says something in passing, with a way to undo it where there is one. */
export function notify(text: string, undo?: () => void): void {
  said += 1;
  noticeStore.set({ number: said, text, ...(undo && { undo }) });
}

let said = 0;

/**
 * Where notices appear; once, in the frame of the application. What draws them comes with the other screens: nothing is said
 * before there is something to say.
 */
export function NoticeHost({ Bar }: { readonly Bar: ComponentType }) {
  const notice = noticeStore.use();
  const [isUsed, setUsed] = useState(false);
  if (notice !== null && !isUsed) setUsed(true);
  return <Suspense>{isUsed && <Bar />}</Suspense>;
}
