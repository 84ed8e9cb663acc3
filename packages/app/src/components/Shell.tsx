import type { LucideIcon } from 'lucide-react';
import { Link, usePathname, useRouter, type Href } from 'expo-router';
import { Suspense, useLayoutEffect, useRef, useState, type ComponentType, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { lightStore, nextPressureUnit, PRESSURE_UNITS, singleKeysStore, unitsStore } from '../settings/preferences';
import { spaceOf, whoStore } from '../settings/who';
import { BookOpen, Moon, Ruler, Sun, Sunrise, Truck, Waves, Wind } from '../theme/icons';
import { useLight, usePalette } from '../theme/useLight';
import { useWide } from '../theme/useWide';
import { NoticeHost, notify } from './Notice';
import { Press } from './Press';
import { SaveState } from './SaveState';
import { Text } from './Text';
import { useRoving } from './useRoving';

interface Place {
  readonly name: string;
  readonly href: Href & string;
  readonly icon: LucideIcon;
}

/** The path, in the order of the work. */
const PLACES: readonly Place[] = [
  { name: 'Today', href: '/', icon: Sunrise },
  { name: 'Rigs', href: '/rigs', icon: Truck },
  { name: 'Ground', href: '/ground', icon: Waves },
  { name: 'Air', href: '/air', icon: Wind },
  { name: 'Proof', href: '/proof', icon: Ruler },
  { name: 'Book', href: '/book', icon: BookOpen },
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

interface ShellProps {
  readonly children: ReactNode;
  /** What draws notices, and the list of keys: they come later than the frame. */
  readonly NoticeBar: ComponentType;
  readonly Keys: ComponentType<{ readonly keys: typeof KEYS; readonly onClose: () => void }>;
}

/** The frame round every place: where you are, the unit switch, and what has not been saved yet. */
export function Shell({ children, Keys, NoticeBar }: ShellProps) {
  const palette = usePalette();
  const wide = useWide();
  const light = useLight();
  const [keysShown, setKeysShown] = useState(false);
  const main = useRef<View>(null);
  useKeys(light, () => setKeysShown(true));
  return (
    <View style={[styles.shell, { backgroundColor: palette.paper }, wide && styles.wide]}>
      <SkipLink onPress={() => (main.current as unknown as HTMLElement | null)?.focus()} />
      {wide && <PlaceLinks wide />}
      <View style={styles.main}>
        <Header light={light} />
        <SaveState />
        <View ref={main} role="main" tabIndex={-1} style={styles.content}>
          {children}
        </View>
      </View>
      {!wide && <PlaceLinks wide={false} />}
      <NoticeHost Bar={NoticeBar} />
      {keysShown && (
        <Suspense>
          <Keys keys={KEYS} onClose={() => setKeysShown(false)} />
        </Suspense>
      )}
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

function PlaceLinks({ wide }: { readonly wide: boolean }) {
  const palette = usePalette();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={[wide ? styles.rail : styles.bar, { backgroundColor: palette.card, borderColor: palette.line }]}
    >
      {PLACES.map(({ name, href, icon: Icon }) => {
        const here = href === '/' ? path === '/' : path.startsWith(href);
        return (
          <Link
            key={name}
            href={href}
            aria-current={here ? 'page' : undefined}
            style={wide ? styles.railLink : styles.barLink}
          >
            <View
              style={[
                styles.place,
                here && { backgroundColor: palette.mossWash },
                here && (wide ? styles.hereWide : styles.here),
                { borderColor: here ? palette.moss : 'transparent' },
              ]}
            >
              <Icon size={22} color={here ? palette.ink : palette.muted} />
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
  const Icon = light === 'day' ? Moon : Sun;
  const roving = useRoving(PRESSURE_UNITS.length, PRESSURE_UNITS.indexOf(units.pressure));
  return (
    <View style={[styles.header, { borderColor: palette.line }]}>
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
      <View role="radiogroup" aria-label="Pressure unit" style={[styles.units, { borderColor: palette.line }]}>
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
        <Icon size={20} color={palette.muted} />
        <Text as="small" tone="muted">
          {light === 'day' ? 'Night' : 'Day'}
        </Text>
      </Press>
    </View>
  );
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
