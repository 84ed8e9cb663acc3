import { StyleSheet } from 'react-native';
import { Searchbar } from 'react-native-paper';

import { usePalette } from '../theme/useLight';

interface SearchFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** Paper's search bar, which has no name of its own on the web. */
export const SearchField = ({ label, value, onChange }: SearchFieldProps) => (
  <Searchbar
    aria-label={label}
    placeholder={label}
    value={value}
    onChangeText={onChange}
    clearAccessibilityLabel="Clear the search"
    style={[styles.bar, { borderColor: usePalette().edge }]}
  />
);

const styles = StyleSheet.create({ bar: { borderWidth: 1, borderRadius: 3 } });
