import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { InTurn } from './InTurn';

/** The fields of a long form, one below the other, drawn in turn: each takes a while on a slow phone. */
export const FormInTurn = ({ children }: { readonly children: ReactNode }) => (
  <View style={styles.form}>
    <InTurn>{children}</InTurn>
  </View>
);

const styles = StyleSheet.create({
  form: { gap: 14 },
});
