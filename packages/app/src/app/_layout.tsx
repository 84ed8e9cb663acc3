// First: the browser reads the rows while the rest is still being run.
import '../data/atOnce';

import { ArchivoNarrow_600SemiBold } from '@expo-google-fonts/archivo-narrow/600SemiBold';
import { SourceSans3_400Regular } from '@expo-google-fonts/source-sans-3/400Regular';
import { SourceSans3_600SemiBold } from '@expo-google-fonts/source-sans-3/600SemiBold';
import { useFonts } from 'expo-font';
import { Slot, usePathname } from 'expo-router';
import { Suspense, useEffect } from 'react';
import { SWRConfig } from 'swr';

import { useBehind } from '../data/begin';
import { swrSettings } from '../data/rows';
import { startShell } from '../data/shell';
import { useSync } from '../data/sync';
import { Shell } from '../components/Shell';
import { Loading } from '../components/States';
import { lazyScreen, loadRest } from '../screens/lazyScreen';
import { addressNow, addressStore, leftCrewStore, signedOutStore } from '../settings/who';
import { AppTheme } from '../theme/AppTheme';

const SignIn = lazyScreen('SignInScreen');
const LeftCrew = lazyScreen('LeftCrewScreen');

/** All other screens, and the shell on this device. */
function fetchAllElse(): void {
  startShell();
  void loadRest().then(({ startBehind }) => startBehind());
}

/** Keeps this device current, and brings what the first screen does not need. */
function Behind(): null {
  useSync();
  useBehind(fetchAllElse);
  return null;
}

/** Nothing is shown to who is not signed in, or not in that crew any more. An invitation is looked at before that. */
function Gate() {
  const isOut = signedOutStore.use();
  const hasLeft = leftCrewStore.use();
  const path = usePathname();
  useEffect(() => {
    if (!isOut) addressStore.set(addressNow());
  }, [isOut, path]);
  if (isOut && path !== '/join') return <SignIn />;
  return hasLeft && path !== '/waiting' ? <LeftCrew /> : <Slot />;
}

export default function Layout() {
  // A text is drawn when its face is here; nothing waits for it.
  useFonts({ SourceSans3_400Regular, SourceSans3_600SemiBold, ArchivoNarrow_600SemiBold });
  return (
    <AppTheme>
      <SWRConfig value={swrSettings}>
        <Behind />
        <Shell>
          <Suspense fallback={<Loading />}>
            <Gate />
          </Suspense>
        </Shell>
      </SWRConfig>
    </AppTheme>
  );
}
