import type { LoadCaseBody, RigAxle, RigRow } from '@dunlinmoss/contract';
import { familyOf, POSTURE_CODES, type Family, type Posture } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { RowNumber, RowQuantity, usePicked } from '../../forms/fields';
import type { OpenForm } from '../../forms/useRowForm';
import { Choice } from '../../components/Choice';
import { Panel } from '../../components/Panel';
import { Slider } from '../../components/Slider';
import { Text } from '../../components/Text';
import { axleName, PART_WORDS } from '../../words/axles';
import { POSTURE_WORDS } from '../../words/families';
import { levelText } from '../../words/level';
import { weighingHint } from '../../words/loads';
import {
  askedParts,
  hasTrailer,
  unladenPlace,
  weighedBy,
  weighedInParts,
  weighedPlace,
  type WeighedBy,
} from './loadForm';

interface PartProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly rig: RigRow;
}

/** Each wheel or axle on a scale. */
export function ScaleFields({ form, rig }: PartProps) {
  return (
    <>
      <AxlesOnScales form={form} rig={rig} />
      <RowQuantity
        form={form}
        at="/wholeKg"
        label="The whole on the scale"
        quantity="mass"
        hint="If you weighed it whole too: its parts must sum to it."
      />
    </>
  );
}

function AxlesOnScales({ form, rig }: PartProps) {
  const family = familyOf(rig.family);
  return (
    <>
      <Text as="small" tone="muted">
        {weighingHint(family.kind)}
      </Text>
      {rig.axles.map((axle) => (
        <AxleOnScales key={axle.position} form={form} axle={axle} family={family} />
      ))}
    </>
  );
}

/** Weighed full and weighed empty in one go, and how full it is today. */
export function FullAndEmptyFields({ form, rig }: PartProps) {
  const [level, pick] = usePicked<LoadCaseBody, number | null>(form, '/level');
  return (
    <>
      <Text as="heading" level={2}>
        Weighed full
      </Text>
      <AxlesOnScales form={form} rig={rig} />
      <UnladenFields form={form} rig={rig} drawbar={false} />
      <Slider
        label="How full today"
        shown={levelText(level ?? 1)}
        value={level ?? 1}
        min={0}
        max={1}
        step={0.05}
        onChange={pick}
      />
      <Text as="small" tone="muted">
        It stands on Ground too, so that a pressure follows the tank as it empties.
      </Text>
    </>
  );
}

interface AxleOnScalesProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly axle: RigAxle;
  readonly family: Family;
}

function AxleOnScales({ form, axle: { position, wheels }, family }: AxleOnScalesProps) {
  const units = unitsStore.use();
  const [by, setBy] = useState(() => weighedBy(form.now().row, position));
  const name = axleName(position, family.kind);
  const { low, high } = family.likely.wheelLoadKg;
  const weighIn = (next: WeighedBy): void => {
    setBy(next);
    form.change((now) => weighedInParts(now, position, askedParts(next, wheels), units));
  };
  return (
    <Panel title={name}>
      {wheels > 1 && (
        <Choice
          label="Weighed"
          value={by}
          options={[
            { code: 'axle', name: 'Whole axle', note: 'shared alike: estimate' },
            { code: 'sides', name: wheels === 4 ? 'Each pair' : 'Each wheel', note: 'measured' },
            ...(wheels === 4 ? [{ code: 'wheels' as const, name: 'Each tire', note: 'measured' }] : []),
          ]}
          onChange={weighIn}
        />
      )}
      <View style={styles.wrap}>
        {askedParts(by, wheels).map((part) => {
          const count = part === 'axle' ? wheels : wheels === 4 && by === 'sides' ? 2 : 1;
          return (
            <View key={part} style={styles.half}>
              <RowQuantity
                form={form}
                at={weighedPlace(position, part)}
                label={part === 'single' || part === 'axle' ? 'On the scale' : PART_WORDS[part]}
                spoken={`${name}: ${PART_WORDS[part].toLowerCase()}`}
                quantity="mass"
                likely={{ low: low * count, high: high * count }}
              />
            </View>
          );
        })}
      </View>
    </Panel>
  );
}

/** What each axle weighs empty. */
export function UnladenFields({ form, rig, drawbar = true }: PartProps & { readonly drawbar?: boolean }) {
  const family = familyOf(rig.family);
  const { low, high } = family.likely.wheelLoadKg;
  return (
    <Panel title="Empty">
      <Text as="small" tone="muted">
        What each axle weighs with nothing on it: from a weighbridge, or the papers.
      </Text>
      <View style={styles.wrap}>
        {rig.axles.map(({ position, wheels }) => {
          const name = axleName(position, family.kind);
          return (
            <View key={position} style={styles.half}>
              <RowQuantity
                form={form}
                at={unladenPlace(position)}
                label={name}
                spoken={`${name}, empty`}
                quantity="mass"
                likely={{ low: low * wheels * 0.3, high: high * wheels }}
              />
            </View>
          );
        })}
        {drawbar && hasTrailer(rig) && (
          <View style={styles.half}>
            <RowQuantity
              form={form}
              at={unladenPlace('coupling')}
              label="Drawbar"
              spoken="Drawbar, empty"
              quantity="mass"
            />
          </View>
        )}
      </View>
    </Panel>
  );
}

/** Rider and bicycle, by how the rider sits. */
export function PostureFields({ form }: { readonly form: OpenForm<LoadCaseBody> }) {
  const [posture, pick] = usePicked<LoadCaseBody, Posture>(form, '/posture/posture');
  return (
    <Panel title="Rider and bicycle">
      <View style={styles.wrap}>
        <View style={styles.half}>
          <RowQuantity
            form={form}
            at="/posture/riderKg"
            label="Rider, dressed"
            quantity="mass"
            likely={{ low: 20, high: 200 }}
          />
        </View>
        <View style={styles.half}>
          <RowQuantity form={form} at="/posture/bikeKg" label="Bicycle" quantity="mass" likely={{ low: 5, high: 60 }} />
        </View>
      </View>
      <Choice
        label="How you sit"
        value={posture}
        options={POSTURE_CODES.map((code) => ({ code, ...POSTURE_WORDS[code] }))}
        onChange={pick}
      />
      <RowNumber form={form} at="/posture/frontShare" per={100} label="Front wheel, if you know it better" unit="%" />
    </Panel>
  );
}

const styles = StyleSheet.create({
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  half: { flexBasis: 130, flexGrow: 1, minWidth: 0 },
});
