import type { ReactNode } from 'react';
import { Modal } from 'react-native';

import { PaperTheme } from '../theme/PaperTheme';

interface OverProps {
  /** What it is, for who hears it. */
  readonly name: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * What lies over the whole page, a dialog: the keyboard stays within it, and Escape closes it. What is in it is not closed by a
 * tap beside it: that is the first thing a keyboard would come to, and a glove hits it unawares.
 */
export const Over = ({ name, onClose, children }: OverProps) => (
  <Modal transparent visible aria-label={name} onRequestClose={onClose}>
    <PaperTheme>{children}</PaperTheme>
  </Modal>
);
