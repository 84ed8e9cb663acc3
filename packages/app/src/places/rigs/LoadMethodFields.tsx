import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, POSTURE_CODES } from '@dunlinmoss/core';
import { Controller, useWatch, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { Choice } from '../../pieces/Choice';
import { FormQuantity } from '../../pieces/FormQuantity';
import { NumberField } from '../../pieces/NumberField';
import { Panel } from '../../pieces/Panel';
import { Text } from '../../pieces/Text';
import { axleName, PART_WORDS } from '../../words/axles';
import { POSTURE_WORDS } from '../../words/families';
import { weighingHint } from '../../words/loads';
import { askedParts, hasTrailer, type LoadFormValues } from './loadForm';

interface PartProps {
  readonly control: Control<LoadFormValues>;
  readonly rig: RigRow;
}

/** Each wheel or axle on a scale. */
export function ScaleFields({ control, rig }: PartProps) {
  const family = familyOf(rig.family);
  const axles = useWatch({ control, name: 'axles' });
  return (
    <>
      <Text as="small" tone="muted">
        {weighingHint(family.kind)}
      </Text>
      {rig.axles.map(({ position, wheels }, index) => {
        const by = axles[index]?.by ?? 'axle';
        const name = axleName(position, family.kind);
        const { low, high } = family.likely.wheelLoadKg;
        return (
          <Panel key={position} title={name}>
            {wheels > 1 && (
              <Controller
                control={control}
                name={`axles.${index}.by`}
                render={({ field }) => (
                  <Choice
                    label="Weighed"
                    value={field.value}
                    options={[
                      { code: 'axle', name: 'Whole axle', note: 'shared alike: estimate' },
                      { code: 'sides', name: wheels === 4 ? 'Each pair' : 'Each wheel', note: 'measured' },
                      ...(wheels === 4 ? [{ code: 'wheels' as const, name: 'Each tire', note: 'measured' }] : []),
                    ]}
                    onChange={field.onChange}
                  />
                )}
              />
            )}
            <View style={styles.wrap}>
              {askedParts(by, wheels).map((part) => {
                const count = part === 'axle' ? wheels : wheels === 4 && by === 'sides' ? 2 : 1;
                return (
                  <View key={part} style={styles.half}>
                    <FormQuantity
                      control={control}
                      name={`axles.${index}.parts.${part}`}
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
      })}
      <FormQuantity
        control={control}
        name="whole"
        label="The whole on the scale"
        quantity="mass"
        hint="If you weighed it whole too: its parts must sum to it."
      />
    </>
  );
}

/** What each axle weighs empty. */
export function UnladenFields({ control, rig }: PartProps) {
  const family = familyOf(rig.family);
  const { low, high } = family.likely.wheelLoadKg;
  return (
    <Panel title="Empty">
      <Text as="small" tone="muted">
        What each axle weighs with nothing on it: from a weighbridge, or the papers.
      </Text>
      <View style={styles.wrap}>
        {rig.axles.map(({ position, wheels }, index) => {
          const name = axleName(position, family.kind);
          return (
            <View key={position} style={styles.half}>
              <FormQuantity
                control={control}
                name={`axles.${index}.unladen`}
                label={name}
                spoken={`${name}, empty`}
                quantity="mass"
                likely={{ low: low * wheels * 0.3, high: high * wheels }}
              />
            </View>
          );
        })}
        {hasTrailer(rig) && (
          <View style={styles.half}>
            <FormQuantity control={control} name="coupling" label="Drawbar" spoken="Drawbar, empty" quantity="mass" />
          </View>
        )}
      </View>
    </Panel>
  );
}

/** Rider and bicycle, by how the rider sits. */
export function PostureFields({ control }: { readonly control: Control<LoadFormValues> }) {
  return (
    <Panel title="Rider and bicycle">
      <View style={styles.wrap}>
        <View style={styles.half}>
          <FormQuantity
            control={control}
            name="rider"
            label="Rider, dressed"
            quantity="mass"
            likely={{ low: 20, high: 200 }}
          />
        </View>
        <View style={styles.half}>
          <FormQuantity control={control} name="bike" label="Bicycle" quantity="mass" likely={{ low: 5, high: 60 }} />
        </View>
      </View>
      <Controller
        control={control}
        name="posture"
        render={({ field }) => (
          <Choice
            label="How you sit"
            value={field.value}
            options={POSTURE_CODES.map((code) => ({ code, ...POSTURE_WORDS[code] }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="frontShare"
        render={({ field, fieldState }) => (
          <NumberField
            label="Front wheel, if you know it better"
            unit="%"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
    </Panel>
  );
}

const styles = StyleSheet.create({
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  half: { flexBasis: 130, flexGrow: 1, minWidth: 0 },
});
