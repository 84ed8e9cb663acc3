import { ArchivoNarrow_600SemiBold } from '@expo-google-fonts/archivo-narrow/600SemiBold';
import { SourceSans3_400Regular } from '@expo-google-fonts/source-sans-3/400Regular';
import { SourceSans3_600SemiBold } from '@expo-google-fonts/source-sans-3/600SemiBold';
import { Asset } from 'expo-asset';
import { Slot, usePathname } from 'expo-router';
import { Suspense, useEffect } from 'react';
import { SWRConfig } from 'swr';

import { useBehind } from '../data/begin';
import { swrSettings } from '../data/rows';
import { startShell } from '../data/shell';
import { useSync } from '../data/sync';
import { whenIdle } from '../timing/whenIdle';
import { Shell } from '../components/Shell';
import { Loading } from '../components/States';
import { fetchRest, later, restRan } from '../screens/later';
import { addressNow, addressStore, FIRST_STORE, leftCrewStore, signedOutStore, storeName } from '../settings/who';

const Keys = later('KeysDialog');
const NoticeBar = later('NoticeBar');
const SignIn = later('SignInScreen');
const LeftCrew = later('LeftCrewScreen');

// A text is drawn when its face is here; nothing else waits for it. The browser fetches a face when a text first asks for it.
for (const [name, file] of Object.entries({
  SourceSans3_400Regular,
  SourceSans3_600SemiBold,
  ArchivoNarrow_600SemiBold,
})) {
  document.fonts.add(new FontFace(name, `url(${Asset.fromModule(file).uri})`));
}

/** All other screens, and the shell on this device. */
function fetchAllElse(): void {
  startShell();
  void fetchRest().then((all) => whenIdle(() => all.followPeople()));
  // What these need is what all forms check with, and it is not run for them at once.
  void restRan().then((all) => {
    whenIdle(() => all.fillSeenLater());
    // What an earlier version left is from before there were others.
    if (storeName() === FIRST_STORE) void all.takeWhatEarlierVersionsLeft();
  });
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
  return (
    <SWRConfig value={swrSettings}>
      <Behind />
      <Shell Keys={Keys} NoticeBar={NoticeBar}>
        <Suspense fallback={<Loading />}>
          <Gate />
        </Suspense>
      </Shell>
    </SWRConfig>
  );
}
