import type { Rig } from '@dunlinmoss/contract';
import {
  CASINGS,
  LOAD_RANGE_CODES,
  hooksMatter,
  LOAD_RANGES,
  readMarking,
  type RigFormField,
  type BeadHold,
  type Casing,
  type LoadRange,
} from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { useHoldsAsked } from '../../forms/askedField';
import { RowQuantity, usePicked } from '../../forms/fields';
import { useValue } from '../../forms/useRowForm';
import { Choice } from '../../components/Choice';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { CASING_WORDS } from '../../words/marking';
import { markedLoadRange } from './rigForm';
import { type TireFieldsProps, MarkingField } from './MarkingField';
import { placesOf, type TireProps } from './tirePlaces';
import { DataSheet } from './TirePoints';
import { SidewallFields } from './SidewallFields';

/** What a tire says on its sidewall, and what its family needs to know besides. */
export function TireFields({
  form,
  axles,
  family,
  spoken,
  startsOpen = false,
}: TireFieldsProps & { readonly startsOpen?: boolean }) {
  const holdsAsked = useHoldsAsked(['minKpa', 'maxKpa', 'treadWidthMm', 'lines', 'rows']);
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  // On what is ridden a tube decides much; elsewhere it is one more thing to know.
  const ridden = family.kind === 'bicycle' || family.kind === 'motorcycle';
  const tube = asks('tube') && <TubeField form={form} axles={axles} spoken={spoken} />;
  const own = { form, axles, spoken };
  const sheetFirst = family.kind === 'farm';
  return (
    <>
      <MarkingField {...own} family={family} />
      {asks('loadRange') && <LoadRangeField {...own} />}
      {ridden && tube}
      {(asks('beadLock') || asks('rimLock')) && <BeadField {...own} lock={asks('rimLock') ? 'rimLock' : 'beadLock'} />}
      {asks('rimWidth') && (
        <>
          <View style={styles.pair}>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                {...placesOf(axles, 'rimInnerMm')}
                label="Rim inside"
                spoken={`${spoken}rim width inside`}
                quantity="length"
              />
            </View>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                {...placesOf(axles, 'measuredWidthMm')}
                label="Tire, measured"
                spoken={`${spoken}tire width as measured`}
                quantity="length"
              />
            </View>
          </View>
          <Text as="small" tone="muted">
            No marking says how wide the tire really is on its rim: measure it at its widest, with air in it.
          </Text>
        </>
      )}
      {asks('rimWidth') && <HooksField {...own} />}
      {asks('casing') && <CasingField {...own} />}
      {asks('insert') && <InsertField {...own} />}
      {/* On a farm tire they are the only thing that tells: they come first. */}
      {asks('dataSheet') && sheetFirst && <DataSheet {...own} />}
      <Unfold label="What else the sidewall says" startsOpen={startsOpen || holdsAsked}>
        {!ridden && tube}
        <SidewallFields {...own} family={family} />
        {asks('dataSheet') && !sheetFirst && <DataSheet {...own} />}
      </Unfold>
    </>
  );
}

function LoadRangeField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'loadRange');
  const [loadRange, pick] = usePicked<Rig, LoadRange>(form, at, also);
  const marked = markedLoadRange(useValue<Rig, string>(form, placesOf(axles, 'tireMarking').at));
  return (
    <Choice
      label={marked ? 'Load range, from the marking' : 'Load range letter on the sidewall'}
      value={marked ?? loadRange}
      options={LOAD_RANGE_CODES.filter((code) => offered(code, marked ?? loadRange)).map((code) => ({
        code,
        name: code === 'standard' ? 'None' : code,
        note: code === 'standard' ? 'standard' : `${LOAD_RANGES[code].plyRating} ply`,
      }))}
      onChange={pick}
    />
  );
}

/** The letters of heavy trucks only where one of them is worn. */
const offered = (code: LoadRange, chosenCode: LoadRange): boolean =>
  !'GHJL'.includes(code) || 'GHJL'.includes(chosenCode) || code === chosenCode;

export function TubeField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'tube');
  const [tube, pick] = usePicked<Rig, boolean>(form, at, also);
  return (
    <Choice
      label="Inside"
      value={tube ? 'tube' : 'tubeless'}
      options={[
        { code: 'tubeless', name: 'Tubeless' },
        { code: 'tube', name: 'Tube' },
      ]}
      onChange={(code) => pick(code === 'tube')}
    />
  );
}

/** Whether the rim has hooks: asked of every bicycle tire narrow enough for it to matter. */
export function HooksField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'hookless');
  const [hookless, pick] = usePicked<Rig, boolean | null>(form, at, also);
  const marking = useValue<Rig, string>(form, placesOf(axles, 'tireMarking').at);
  const measuredMm = useValue<Rig, number | null>(form, placesOf(axles, 'measuredWidthMm').at);
  const reading = readMarking(marking);
  const matters =
    reading.ok &&
    hooksMatter({ build: { tire: reading.value, carcass: 1, ...(measuredMm !== null && { widthMm: measuredMm }) } });
  if (!matters) return null;
  return (
    <Choice
      label="Rim edge"
      value={hookless === null ? undefined : hookless ? 'hookless' : 'hooked'}
      options={[
        { code: 'hooked', name: 'Hooked' },
        { code: 'hookless', name: 'Hookless', note: '5\u00a0bar at most' },
      ]}
      onChange={(code) => pick(code === 'hookless')}
    />
  );
}

const LOCK_WORDS = {
  rimLock: { label: 'Rim lock', note: "Clamps the bead to the rim so that the tire can't creep." },
  beadLock: { label: 'Bead locks', note: 'Rings that clamp the bead.' },
};

function BeadField({ form, axles, lock }: TireProps & { readonly lock: keyof typeof LOCK_WORDS }) {
  const { at, also } = placesOf(axles, 'beadHold');
  const [hold, pick] = usePicked<Rig, BeadHold>(form, at, also);
  return <Toggle {...LOCK_WORDS[lock]} value={hold === lock} onChange={(on) => pick(on ? lock : 'none')} />;
}

function CasingField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'casing');
  const [casing, pick] = usePicked<Rig, Casing | null>(form, at, also);
  return (
    <Choice
      label="Casing"
      value={casing ?? undefined}
      options={CASINGS.map((code) => ({ code, name: CASING_WORDS[code] }))}
      onChange={pick}
    />
  );
}

function InsertField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'insert');
  const [insert, pick] = usePicked<Rig, boolean>(form, at, also);
  return <Toggle label="Insert" note="Foam inside" value={insert} onChange={pick} />;
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
});
