import { StyleSheet } from 'react-native';
import { Snackbar } from 'react-native-paper';

import { createStore } from '../settings/store';
import { useWide } from '../theme/useWide';

const SHORT_MS = 4_000;
/** Long enough to read it and change one's mind with gloves on. */
const UNDO_MS = 10_000;

interface NoticeState {
  /** Which one it is: each has its own time, though it says the same as the one before. */
  readonly number: number;
  readonly text: string;
  readonly undo?: () => void;
}

const noticeStore = createStore<NoticeState | null>(null);
let shown = 0;

/** Says something in passing, with a way to undo it where there is one. */
export function notify(text: string, undo?: () => void): void {
  shown += 1;
  noticeStore.set({ number: shown, text, ...(undo && { undo }) });
}

/** Where notices appear; once, in the frame of the application. */
export function Notice() {
  const notice = noticeStore.use();
  const wide = useWide();
  const undo = notice?.undo;
  return (
    <Snackbar
      key={notice?.number ?? 0}
      visible={notice !== null}
      onDismiss={() => noticeStore.set(null)}
      duration={undo ? UNDO_MS : SHORT_MS}
      wrapperStyle={wide ? styles.wide : styles.phone}
      // Nothing to press on it: a tap goes to what it lies over.
      {...(!undo && { pointerEvents: 'none' as const })}
      {...(undo && { action: { label: 'Undo', onPress: undo } })}
    >
      {notice?.text ?? ''}
    </Snackbar>
  );
}

const styles = StyleSheet.create({
  // Clear of the tabs and of a screen's next step, which are below.
  phone: { bottom: 128 },
  wide: { bottom: 76, maxWidth: 440, start: 104 },
});
