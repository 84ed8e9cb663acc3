// First of all: the browser reads the rows while the rest of this file is still being run.
import './data/atOnce';

import { planGround } from '@dunlinmoss/core';
import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { Slot } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import { ExpoRoot } from 'expo-router/build/ExpoRoot';
import { renderRootComponent } from 'expo-router/build/renderRootComponent';
import { createElement } from 'react';
import { createRoot } from 'react-dom/client';
import { unstable_forceFrameRate } from 'scheduler';

import { inTask } from './timing/inTask';
import { SaveState } from './components/SaveState';
import { Shell } from './components/Shell';
import { Text } from './components/Text';
import { TodayScreen } from './screens/today/TodayScreen';
import { useNext } from './screens/today/useNext';

/** As the router's own entry has it, without what writes into a page's head: nothing of ours does. */
const App = () => createElement(ExpoRoot, { context: ctx });

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
  () => ctx('./_layout.tsx'),
  ...(globalThis.location.pathname === '/' ? [() => planGround, () => useNext, () => TodayScreen] : []),
  () => {
    // React gives way every 5 ms of itself: on a slow phone much of the drawing is then going away and coming back.
    unstable_forceFrameRate(60);
    renderRootComponent(App);
  },
];

const toRun = [...PARTS];
function runNext(): void {
  toRun.shift()?.();
  if (toRun.length > 0) inTask(runNext);
}
inTask(runNext);
