import type { ReactNode } from 'react';
import { Modal } from 'react-native';

import { PaperTheme } from '../theme/PaperTheme';

interface OverProps {
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** What lies over the whole page, a dialog: the keyboard stays within it, and Escape closes it. */
export const Over = ({ onClose, children }: OverProps) => (
  <Modal transparent visible onRequestClose={onClose}>
    <PaperTheme>{children}</PaperTheme>
  </Modal>
);
