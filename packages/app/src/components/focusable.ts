import type { Ref } from 'react';
import type { TextInput } from 'react-native';

/** What every text input has. */
export interface Focusable {
  readonly focus: () => void;
}

/** A ref as the inputs take it. */
export const inputRefOf = (ref: Ref<Focusable> | undefined): Ref<TextInput> | undefined =>
  ref as Ref<TextInput> | undefined;
