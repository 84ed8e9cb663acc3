import { StyleSheet } from 'react-native';
import { Snackbar } from 'react-native-paper';

import { useWide } from '../theme/useWide';
import { noticeStore } from './Notice';

const SHORT_MS = 4_000;
/** Long enough to read it and change one's mind with gloves on. */
const UNDO_MS = 10_000;

/** What is said in passing, on the page. */
export function NoticeBar() {
  const notice = noticeStore.use();
  const wide = useWide();
  const dismiss = (): void => noticeStore.set(null);
  const undo = notice?.undo;
  return (
    <Snackbar
      key={notice?.number ?? 0}
      visible={notice !== null}
      onDismiss={dismiss}
      duration={undo ? UNDO_MS : SHORT_MS}
      wrapperStyle={wide ? styles.wide : styles.phone}
      {...(undo && { action: { label: 'Undo', onPress: undo } })}
    >
      {notice?.text ?? ''}
    </Snackbar>
  );
}

const styles = StyleSheet.create({
  // Clear of the places and of a screen's next step, which stand below.
  phone: { bottom: 128 },
  wide: { bottom: 76, maxWidth: 440, start: 104 },
});
