import { Snackbar } from 'react-native-paper';

import { createStore } from '../data/store';

interface NoticeState {
  readonly text: string;
  readonly undo?: () => void;
}

const noticeStore = createStore<NoticeState | null>(null);

const SHORT_MS = 4_000;
/** Long enough to read it and change one's mind with gloves on. */
const UNDO_MS = 10_000;

/** Says something in passing, with a way to undo it where there is one. */
export const notify = (text: string, undo?: () => void): void => noticeStore.set({ text, ...(undo && { undo }) });

/** Where notices appear; once, in the frame of the application. */
export function NoticeHost() {
  const notice = noticeStore.use();
  const dismiss = (): void => noticeStore.set(null);
  const undo = notice?.undo;
  return (
    <Snackbar
      visible={notice !== null}
      onDismiss={dismiss}
      duration={undo ? UNDO_MS : SHORT_MS}
      wrapperStyle={{ bottom: 72 }}
      {...(undo && { action: { label: 'Undo', onPress: undo } })}
    >
      {notice?.text ?? ''}
    </Snackbar>
  );
}
