import { parseDataSheet } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { useAskedField } from '../../forms/askedField';
import { chosen } from '../../forms/rowForm';
import { unitsStore } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { TextField } from '../../components/TextField';
import { sheetHint, sheetProblemText, sheetText } from '../../words/dataSheet';
import type { TireProps } from './tirePlaces';

/** A data sheet pasted as a table: said back as it is read, and taken with one tap. What is pasted stays until then. */
export function PasteSheet({ form, axles, spoken }: TireProps) {
  const units = unitsStore.use();
  const [text, setText] = useState('');
  const inputRef = useAskedField(axles.map((index) => `/axles/${index}/rows`));
  const sheet = parseDataSheet(text, units);
  const take = (): void => {
    if (!sheet.ok) return;
    const places = axles.map((index) => `/axles/${index}/rows` as const);
    form.change((now) => ({
      ...chosen(now, places, [...sheet.value]),
      // What was typed into rows that were there before is theirs no longer.
      texts: Object.fromEntries(
        Object.entries(now.texts).filter(([key]) => !places.some((place) => key.startsWith(`${place}/`))),
      ),
    }));
    setText('');
  };
  return (
    <View style={styles.paste}>
      <TextField
        inputRef={inputRef}
        label="Paste the table of the data sheet"
        spokenLabel={`${spoken}paste the table of the data sheet`}
        value={text}
        onChange={setText}
        multiline
        hint={sheet.ok ? sheetText(sheet.value, units) : sheet.problem.code === 'empty' ? sheetHint(units) : undefined}
        problem={sheet.ok || sheet.problem.code === 'empty' ? undefined : sheetProblemText(sheet.problem)}
      />
      {sheet.ok && <Action kind="main" label="Take these rows" onPress={take} />}
    </View>
  );
}

const styles = StyleSheet.create({
  paste: { gap: 6 },
});
