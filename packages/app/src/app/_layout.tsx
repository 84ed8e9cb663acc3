import { ArchivoNarrow_600SemiBold } from '@expo-google-fonts/archivo-narrow/600SemiBold';
import { SourceSans3_400Regular } from '@expo-google-fonts/source-sans-3/400Regular';
import { SourceSans3_600SemiBold } from '@expo-google-fonts/source-sans-3/600SemiBold';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SWRConfig } from 'swr';

import { keptCache } from '../data/cache';
import { startOutbox } from '../data/outbox';
import { arrived, swrSettings } from '../data/rows';
import { Shell } from '../components/Shell';
import { paperTheme } from '../theme/theme';
import { useLight } from '../theme/useLight';

/** Our icons are drawings of their own; Paper's own parts here use none. */
const NoIcon = (): null => null;

export default function Layout() {
  const [fontsReady] = useFonts({ SourceSans3_400Regular, SourceSans3_600SemiBold, ArchivoNarrow_600SemiBold });
  const light = useLight();
  useEffect(() => startOutbox(arrived), []);
  if (!fontsReady) return null;
  return (
    <SWRConfig value={{ ...swrSettings, provider: keptCache }}>
      <PaperProvider theme={paperTheme(light)} settings={{ icon: NoIcon }}>
        <Shell>
          <Slot />
        </Shell>
      </PaperProvider>
    </SWRConfig>
  );
}
