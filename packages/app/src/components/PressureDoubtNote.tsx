import { fromCanonical, type PressureDoubt, type PressureUnit } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { doubtText, readAsText } from '../words/questions';
import { Action } from './Action';
import { Text } from './Text';

interface PressureDoubtNoteProps {
  readonly doubt: PressureDoubt;
  /** The unit that it was typed in. */
  readonly unit: PressureUnit;
  /** Whose pressure, where several are asked back at once. */
  readonly of?: string;
  /** What is asked, where it is not what such rigs have. */
  readonly text?: string;
  readonly onRead: (pressureKpa: number) => void;
  /** It is right as it was typed; without it there is nothing to stand by. */
  readonly onRight?: () => void;
}

/** A pressure that hardly can be, asked back: what the same digits may mean, each a button. */
export function PressureDoubtNote({ doubt, unit, of = '', text, onRead, onRight }: PressureDoubtNoteProps) {
  const palette = usePalette();
  const digits = Number(fromCanonical('pressure', unit, doubt.pressureKpa).toFixed(3));
  return (
    <View role="status" style={[styles.note, { borderColor: palette.rust }]}>
      <Text as="small">{`${of}${text ?? doubtText(doubt, unit)}`}</Text>
      {doubt.readAs.map((reading) => (
        <Action
          key={reading.unit}
          label={readAsText(reading, unit, digits)}
          onPress={() => onRead(reading.pressureKpa)}
        />
      ))}
      {onRight && <Action label={`${digits}\u00a0${unit} is right`} onPress={onRight} />}
    </View>
  );
}

const styles = StyleSheet.create({ note: { borderLeftWidth: 4, paddingLeft: 8, gap: 6 } });
