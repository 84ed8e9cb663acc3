import { createElement, useRef, type ChangeEvent } from 'react';

import { Action } from './Action';

interface FilePickerProps {
  readonly label: string;
  /** Endings, as `.csv,.json`. */
  readonly accept: string;
  /** `main` where it is the one next step of its screen. */
  readonly kind?: 'main' | 'quiet';
  readonly onPick: (file: File) => void;
}

/** A button that asks for a file of this device. */
export function FilePicker({ label, accept, kind = 'main', onPick }: FilePickerProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Action kind={kind} icon="upload" label={label} onPress={() => input.current?.click()} />
      {createElement('input', {
        ref: input,
        type: 'file',
        accept,
        'aria-label': label,
        tabIndex: -1,
        style: { display: 'none' },
        onChange: (event: ChangeEvent<HTMLInputElement>) => {
          const file = event.target.files?.[0];
          // The same file again is a choice too.
          event.target.value = '';
          if (file) onPick(file);
        },
      })}
    </>
  );
}
