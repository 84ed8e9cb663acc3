import { familiesWearing, familyOf, readMarking, type FamilyCode } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { Choice } from '../../components/Choice';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { readDraft, writeDraft } from '../../data/drafts';
import { useRouter } from '../../hooks/useRouter';
import { unitsStore, withUnit } from '../../settings/preferences';
import { FAMILY_WORDS } from '../../words/families';
import { readBack } from '../../words/marking';
import { FamilyPicker } from './FamilyPicker';
import { QuickRig } from './QuickRig';

const DRAFT = 'rig:size';

/** A new rig from its tire size: the size tells most of what it is, the person confirms it, and the numbers follow. */
export function SizeFirst() {
  const router = useRouter();
  const units = unitsStore.use();
  const [size, setSize] = useState(readDraft<string>(DRAFT) ?? '');
  const [left, setLeft] = useState(false);
  const [picked, setPicked] = useState<FamilyCode>();
  const tire = readMarking(size);
  const families = tire.ok ? familiesWearing(tire.value) : [];
  const family = picked !== undefined && families.includes(picked) ? picked : families[0];
  const back = readBack(size, units, 'car');
  const type = (text: string): void => {
    setSize(text);
    writeDraft(DRAFT, text);
  };
  return (
    <View style={styles.form}>
      {/* Once the size reads, the numbers need the room. */}
      {family === undefined && (
        <Choice
          label="Units"
          value={units.mass}
          options={[
            { code: 'kg', name: 'kg, km/h, mm' },
            { code: 'lb', name: 'lb, mph, in' },
          ]}
          onChange={(unit) => unitsStore.set(withUnit(units, 'mass', unit))}
        />
      )}
      <TextField
        label={family !== undefined && !familyOf(family).tiresAlike ? 'Tire size, front' : 'Tire size, as you say it'}
        value={size}
        onChange={type}
        onFocus={() => setLeft(false)}
        onBlur={() => setLeft(true)}
        capitals
        problem={left && size.trim() !== '' && !tire.ok && !back.ok ? back.text : undefined}
        hint="Like 265/60R18, 29x2.4, AT25x8-12 or 480/80R38."
      />
      {family === undefined ? (
        <>
          <Text as="small" tone="muted">
            Or begin with what it is:
          </Text>
          <FamilyPicker onPick={(code) => router.navigate({ pathname: '/rigs/new', params: { family: code } })} />
        </>
      ) : (
        <>
          {families.length > 1 && (
            <Choice
              label="On a"
              value={family}
              options={families.map((code) => ({ code, name: FAMILY_WORDS[code].name }))}
              onChange={setPicked}
            />
          )}
          <QuickRig
            key={family}
            family={family}
            size={size}
            onKept={() => writeDraft(DRAFT, undefined)}
            onAll={() => router.navigate({ pathname: '/rigs/new', params: { family, all: 'yes' } })}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ form: { gap: 12 } });
