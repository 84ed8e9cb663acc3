import type { IconName } from '@react-native-vector-icons/material-design-icons';
import { Link, usePathname, useRouter, type Href } from 'expo-router';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, IconButton } from 'react-native-paper';

import { lightStore, nextPressureUnit, PRESSURE_UNITS, singleKeysStore, unitsStore } from '../settings/preferences';
import { spaceOf, whoStore } from '../settings/who';
import { useLight, usePalette } from '../theme/useLight';
import { useRail } from '../theme/useWide';
import { KeysDialog } from './KeysDialog';
import { Notice, notify } from './Notice';
import { Press } from './Press';
import { SaveState } from './SaveState';
import { Text } from './Text';
import { useRoving } from './useRoving';

interface Place {
  readonly name: string;
  readonly href: Href & string;
  readonly icon: IconName;
}

/** The path, in the order of the work. */
const PLACES: readonly Place[] = [
  { name: 'Today', href: '/', icon: 'sunrise' },
  { name: 'Rigs', href: '/rigs', icon: 'truck' },
  { name: 'Ground', href: '/ground', icon: 'waves' },
  { name: 'Air', href: '/air', icon: 'wind' },
  { name: 'Proof', href: '/proof', icon: 'ruler' },
  { name: 'Book', href: '/book', icon: 'book-open' },
];

const KEYS: readonly (readonly [string, string])[] = [
  ...PLACES.map(({ name }, index) => [String(index + 1), name] as const),
  ['u', 'Next pressure unit'],
  ['n', 'Day or night'],
  ['?', 'These keys'],
];

const switchUnit = (): void => {
  const units = unitsStore.get();
  const pressure = nextPressureUnit(units.pressure);
  unitsStore.set({ ...units, pressure });
  notify(`Pressures are in ${pressure} now.`, () => unitsStore.set(units));
};

/** The frame round every place: where you are, the unit switch, and what has not been saved yet. */
export function Shell({ children }: { readonly children: ReactNode }) {
  const palette = usePalette();
  const rail = useRail();
  const light = useLight();
  const [keysShown, setKeysShown] = useState(false);
  const main = useRef<View>(null);
  useKeys(light, () => setKeysShown(true));
  return (
    <View style={[styles.shell, { backgroundColor: palette.paper }, rail && styles.wide]}>
      <SkipLink onPress={() => (main.current as unknown as HTMLElement | null)?.focus()} />
      {rail && <PlaceLinks rail />}
      <View style={styles.main}>
        <Header light={light} />
        <SaveState />
        <View ref={main} role="main" tabIndex={-1} style={styles.content}>
          {children}
        </View>
      </View>
      {!rail && <PlaceLinks rail={false} />}
      <Notice />
      {keysShown && <KeysDialog keys={KEYS} onClose={() => setKeysShown(false)} />}
    </View>
  );
}

/** The first thing that the keyboard comes to: past the frame, to the screen itself. Seen while it has the focus. */
function SkipLink({ onPress }: { readonly onPress: () => void }) {
  const palette = usePalette();
  const [focused, setFocused] = useState(false);
  return (
    <Press
      onPress={onPress}
      onFocus={() => setFocused(true)}
      onBlur={() => setFocused(false)}
      style={[styles.skip, { backgroundColor: palette.moss }, !focused && styles.skipAway]}
    >
      <Text as="label" tone="onMoss">
        Skip to the screen
      </Text>
    </Press>
  );
}

function PlaceLinks({ rail }: { readonly rail: boolean }) {
  const palette = usePalette();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={[rail ? styles.rail : styles.bar, { backgroundColor: palette.card, borderColor: palette.line }]}
    >
      {PLACES.map(({ name, href, icon }) => {
        const here = href === '/' ? path === '/' : path.startsWith(href);
        return (
          <Link
            key={name}
            href={href}
            aria-current={here ? 'page' : undefined}
            style={rail ? styles.railLink : styles.barLink}
          >
            <View
              style={[
                styles.place,
                here && { backgroundColor: palette.mossWash },
                here && (rail ? styles.hereWide : styles.here),
                { borderColor: here ? palette.moss : 'transparent' },
              ]}
            >
              <Icon source={icon} size={22} color={here ? palette.ink : palette.muted} />
              <Text as={here ? 'label' : 'small'} tone={here ? 'ink' : 'muted'}>
                {name}
              </Text>
            </View>
          </Link>
        );
      })}
    </View>
  );
}

function Header({ light }: { readonly light: 'day' | 'night' }) {
  const palette = usePalette();
  const units = unitsStore.use();
  const space = spaceOf(whoStore.use());
  const crew = space && !space.personal ? space.name : undefined;
  const roving = useRoving(PRESSURE_UNITS.length, PRESSURE_UNITS.indexOf(units.pressure));
  return (
    <View role="banner" style={[styles.header, { borderColor: palette.line }]}>
      <Back />
      <Link
        href="/crew"
        aria-label={crew === undefined ? 'Dunlinmoss: crew' : `Dunlinmoss: crew ${crew}`}
        style={styles.brand}
      >
        <View style={styles.brandWords}>
          <Text as="strong" tone="moss">
            Dunlinmoss
          </Text>
          {crew !== undefined && (
            <Text as="small" tone="muted" numberOfLines={1}>
              {crew}
            </Text>
          )}
        </View>
      </Link>
      <View role="radiogroup" aria-label="Pressure unit" style={[styles.units, { borderColor: palette.edge }]}>
        {PRESSURE_UNITS.map((unit, index) => {
          const chosen = unit === units.pressure;
          return (
            <Press
              key={unit}
              {...roving(index)}
              role="radio"
              aria-checked={chosen}
              aria-label={unit}
              onPress={() => unitsStore.set({ ...units, pressure: unit })}
              style={[styles.unit, chosen && { backgroundColor: palette.moss }]}
            >
              <Text as={chosen ? 'label' : 'small'} tone={chosen ? 'onMoss' : 'muted'} style={styles.unitText}>
                {unit}
              </Text>
            </Press>
          );
        })}
      </View>
      <Press
        aria-label={light === 'day' ? 'Night colours' : 'Day colours'}
        onPress={() => switchLight(light)}
        style={styles.light}
      >
        <Icon source={light === 'day' ? 'moon' : 'sun'} size={20} color={palette.muted} />
        <Text as="small" tone="muted">
          {light === 'day' ? 'Night' : 'Day'}
        </Text>
      </Press>
    </View>
  );
}

/** Back to where the person came from, on every screen below a tab; where they came from elsewhere, to the tab. */
function Back() {
  const path = usePathname();
  const router = useRouter();
  const places: readonly string[] = PLACES.map(({ href }) => href);
  if (places.includes(path)) return null;
  const tab = `/${path.split('/')[1]}`;
  const goBack = (): void => {
    if (router.canGoBack()) router.back();
    else router.replace(places.includes(tab) ? (tab as Href) : '/');
  };
  return <IconButton icon="arrow-left" accessibilityLabel="Back" onPress={goBack} style={styles.back} />;
}

const switchLight = (now: 'day' | 'night'): void => lightStore.set(now === 'day' ? 'night' : 'day');

/** The keys of a wide screen. They rest while something is being typed, and below a dialog. */
function useKeys(light: 'day' | 'night', showKeys: () => void): void {
  const router = useRouter();
  // With the frame itself: an effect that waits for the first quiet moment misses a key that comes before it.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement | null;
      if (!singleKeysStore.get() || event.ctrlKey || event.metaKey || event.altKey) return;
      if (target?.matches('input, textarea, select') || target?.closest('[aria-modal="true"]')) return;
      const place = PLACES[Number(event.key) - 1];
      if (place) router.navigate(place.href);
      else if (event.key === 'u') switchUnit();
      else if (event.key === 'n') switchLight(light);
      else if (event.key === '?') showKeys();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

const styles = StyleSheet.create({
  shell: { flex: 1 },
  skip: {
    position: 'absolute',
    top: 4,
    left: 4,
    zIndex: 2,
    justifyContent: 'center',
    paddingHorizontal: 14,
    borderRadius: 3,
  },
  skipAway: { top: -80 },
  wide: { flexDirection: 'row' },
  main: { flex: 1, minWidth: 0 },
  content: { flex: 1 },
  header: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 14,
    paddingVertical: 4,
    borderBottomWidth: 1,
  },
  back: { width: 48, height: 48, margin: 0, marginLeft: -8 },
  brand: { display: 'flex', flex: 1, minWidth: 0 },
  brandWords: { flex: 1, minHeight: 48, justifyContent: 'center' },
  units: { flexDirection: 'row', borderWidth: 1, borderRadius: 3, overflow: 'hidden' },
  unit: { paddingHorizontal: 4 },
  unitText: { textAlign: 'center' },
  light: { alignItems: 'center', paddingHorizontal: 4 },
  bar: { flexDirection: 'row', borderTopWidth: 1, paddingHorizontal: 4 },
  barLink: { flex: 1, display: 'flex' },
  rail: { width: 104, borderRightWidth: 1, paddingTop: 12, gap: 4 },
  railLink: { display: 'flex' },
  place: { flex: 1, alignItems: 'center', justifyContent: 'center', minHeight: 58, paddingVertical: 5, gap: 1 },
  here: { borderTopWidth: 4 },
  hereWide: { borderLeftWidth: 5 },
});
