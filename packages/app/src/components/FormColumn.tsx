import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** The fields of a form, one below the other. */
export const FormColumn = ({ children }: { readonly children: ReactNode }) => (
  <View style={styles.form}>{children}</View>
);

const styles = StyleSheet.create({ form: { gap: 14 } });
