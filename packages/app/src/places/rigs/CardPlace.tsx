import type { RigRow } from '@dunlinmoss/contract';
import { SourceSans3_400Regular } from '@expo-google-fonts/source-sans-3/400Regular';
import { SourceSans3_600SemiBold } from '@expo-google-fonts/source-sans-3/600SemiBold';
import { Asset } from 'expo-asset';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { fileName, giveFile } from '../../data/files';
import { useGauges } from '../../data/gauges';
import { printSheet } from '../../data/print';
import { unitsStore } from '../../data/preferences';
import { useRow } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { notify } from '../../pieces/Notice';
import { Page } from '../../pieces/Page';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { Copy, Download, FileText, Printer } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { cardText, rigCard, type RigCard } from '../../words/rigCard';

const SHEET = 'rig-card';

/** A rig on one page, to print or keep. */
export function CardPlace() {
  const router = useRouter();
  const { id } = useLocalSearchParams<{ id: string }>();
  const { row, missing } = useRow('rigs', id);
  if (row) return <Card rig={row} />;
  return (
    <Page title="Rig card">
      {missing ? (
        <Empty
          text="This rig is not here, or was put aside."
          action={{ label: 'All rigs', onPress: () => router.replace('/rigs') }}
        />
      ) : (
        <Loading />
      )}
    </Page>
  );
}

const bytesOf = async (font: number): Promise<ArrayBuffer> => (await fetch(Asset.fromModule(font).uri)).arrayBuffer();

function Card({ rig }: { readonly rig: RigRow }) {
  const units = unitsStore.use();
  const gauges = useGauges();
  const [now] = useState(() => new Date().toISOString());
  const [making, setMaking] = useState(false);
  const card = rigCard(rig, gauges, units, now);

  const savePdf = async (): Promise<void> => {
    setMaking(true);
    try {
      // Only whoever wants paper pays for what makes it.
      const { cardPdf } = await import('../../work/cardPdf');
      const [text, strong] = await Promise.all([bytesOf(SourceSans3_400Regular), bytesOf(SourceSans3_600SemiBold)]);
      const pdf = await cardPdf(card, { text, strong });
      giveFile(fileName(rig.name, 'pdf'), new Blob([pdf as BlobPart], { type: 'application/pdf' }));
    } catch {
      notify("The PDF could not be made just now: its maker can't be fetched. Plain text works.");
    } finally {
      setMaking(false);
    }
  };
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(cardText(card));
      notify('The card is copied as text.');
    } catch {
      notify('This browser does not let text be copied. Save it as a file instead.');
    }
  };

  return (
    <Page title="Rig card" result={<Sheet card={card} />}>
      <View style={styles.actions}>
        <Action icon={Printer} label="Print" onPress={() => printSheet(SHEET)} />
        <Action
          icon={FileText}
          label={making ? 'Making it …' : 'PDF'}
          disabled={making}
          onPress={() => void savePdf()}
        />
        <Action
          icon={Download}
          label="Text"
          onPress={() => giveFile(fileName(rig.name, 'txt'), new Blob([cardText(card)], { type: 'text/plain' }))}
        />
        <Action icon={Copy} label="Copy" onPress={() => void copy()} />
      </View>
    </Page>
  );
}

/** The sheet as it will be on paper. */
function Sheet({ card }: { readonly card: RigCard }) {
  const palette = usePalette();
  const rule = { borderColor: palette.ink };
  return (
    <View nativeID={SHEET} style={[styles.sheet, rule, { backgroundColor: palette.card }]}>
      <Text as="title">{card.title}</Text>
      <Text as="small">{card.about}</Text>
      {card.axles.map(({ name, lines }) => (
        <View key={name} style={[styles.part, rule]}>
          <Text as="strong">{name}</Text>
          {lines.map(([label, value]) => (
            <View key={label} style={styles.line}>
              <Text as="label" style={styles.label}>
                {label}
              </Text>
              <Text as="small" style={styles.value}>
                {value}
              </Text>
            </View>
          ))}
        </View>
      ))}
      {card.cases.length > 0 && (
        <View style={[styles.part, rule]}>
          <Text as="strong">Load cases, axle by axle</Text>
          {card.cases.map(({ name, loads }) => (
            <Text key={name} as="small">{`${name}: ${loads}`}</Text>
          ))}
        </View>
      )}
      {card.warnings.length > 0 && (
        <View style={[styles.part, rule]}>
          <Text as="strong">Look at</Text>
          {card.warnings.map((warning) => (
            <Text key={warning} as="small">{`! ${warning}`}</Text>
          ))}
        </View>
      )}
      <View style={[styles.part, rule]}>
        <Text as="small">{card.foot}</Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  sheet: { borderWidth: 1.5, padding: 16, gap: 8, maxWidth: 620 },
  part: { borderTopWidth: 1, paddingTop: 6, gap: 2 },
  line: { flexDirection: 'row', gap: 8 },
  label: { width: 104 },
  value: { flex: 1 },
});
