import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { Field } from './Field';

interface SearchFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** A field to search by. Not Paper's search bar: its two buttons are 40 px, and one of them does nothing. */
export const SearchField = ({ label, value, onChange }: SearchFieldProps) => (
  <Field
    label={label}
    spokenLabel={label}
    inputMode="search"
    value={value}
    onChangeText={onChange}
    after={
      value !== '' && (
        <IconButton
          icon="close"
          accessibilityLabel="Clear the search"
          onPress={() => onChange('')}
          style={styles.clear}
        />
      )
    }
  />
);

const styles = StyleSheet.create({ clear: { width: 48, height: 48, margin: 0 } });
