// First of all: the browser reads the rows while the rest of this file is still being run.
import './data/atOnce';

import { planGround } from '@dunlinmoss/core';
import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { Slot } from 'expo-router';
import { App } from 'expo-router/build/qualified-entry';
import { renderRootComponent } from 'expo-router/build/renderRootComponent';
import { createRoot } from 'react-dom/client';

import { SaveState } from './components/SaveState';
import { Shell } from './components/Shell';
import { Text } from './components/Text';
import { TodayScreen } from './screens/today/TodayScreen';
import { useNext } from './screens/today/useNext';

/**
 * What the first drawing needs, each in a task of its own: in one they hold up a slow phone for a sixth of a second. A name
 * that is imported here has its module run when it is first asked for (`metro.config.js`).
 */
const PARTS: readonly (() => unknown)[] = [
  () => registerRootComponent,
  () => createRoot,
  () => Slot,
  () => Text,
  () => SaveState,
  () => Shell,
  ...(globalThis.location.pathname === '/' ? [() => planGround, () => useNext, () => TodayScreen] : []),
  () => renderRootComponent(App),
];

function run([first, ...others]: typeof PARTS): void {
  if (!first) return;
  setTimeout(() => {
    first();
    run(others);
  });
}
run(PARTS);
