import type { RoutineValues } from '@dunlinmoss/core';
import { createElement, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { photoAddress } from '../../../data/photos';
import { Action } from '../../../components/Action';
import { Choice } from '../../../components/Choice';
import { notify } from '../../../components/Notice';
import { Panel } from '../../../components/Panel';
import { Text } from '../../../components/Text';
import { canonicalOf, type QuantityText } from '../../../components/quantityText';
import { usePalette } from '../../../theme/useLight';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import { filledIn, setOn } from '../nextRun';
import { anotherRun } from '../routineForm';
import { FieldOfRoutine, GaugeOfRoutine, RemoveRun } from '../RoutineFields';
import type { OpenRoutine } from '../openRoutine';
import { CountSquares } from './CountSquares';
import { PhotoMeasure } from './PhotoMeasure';

type How = 'photo' | 'squares' | 'ruler';

/** Prints of one wheel, from photos or by hand. */
export function PrintsInput({ open }: { readonly open: OpenRoutine }) {
  const palette = usePalette();
  const { values, units, wheel, outing, form } = open;
  const setKpa = setOn(outing, wheel);
  const { fields, append, drop } = open.runs;
  const [how, setHow] = useState<How>('photo');

  /** The pressure that a next print is likely made at: the road's first, then what is driven with. */
  const likelyKpa = (): number | null => {
    const last = form.getValues('runs').at(-1)?.pressureKpa as QuantityText | undefined;
    const lastKpa = last && canonicalOf('pressure', last);
    return lastKpa === undefined ? (wheel.roadKpa ?? setKpa) : setKpa;
  };
  const add = (measured: RoutineValues): void => {
    append(filledIn(anotherRun('print', { pressureKpa: likelyKpa(), how, ...measured }, units)));
    notify('Taken. Say at what pressure it was made.');
  };

  return (
    <>
      {fields.length > 0 && (
        <Panel title="Prints">
          <GaugeOfRoutine open={open} />
          {fields.map(({ id }, index) => {
            const photoId = values.runs[index]?.photoId;
            return (
              <View key={id} style={[styles.run, { borderColor: palette.line }]}>
                <View style={styles.head}>
                  <Text as="label" tone="muted">
                    {`Print ${index + 1}, ${ROUTINE_WORDS.print.options!.how![(values.runs[index]?.how as How) || 'ruler']!.toLowerCase()}`}
                  </Text>
                  <RemoveRun of={`print ${index + 1}`} onPress={() => drop(index)} />
                </View>
                {['pressureKpa', 'lengthMm', 'widthMm', 'grossMm2', 'netMm2'].map((name) => (
                  <FieldOfRoutine key={name} open={open} name={name} run={index} />
                ))}
                {typeof photoId === 'string' && photoId !== '' && <KeptPhoto id={photoId} />}
              </View>
            );
          })}
        </Panel>
      )}
      <Choice
        label={fields.length === 0 ? 'The first print' : 'One more print'}
        value={how}
        options={[
          { code: 'photo', name: 'A photo' },
          { code: 'squares', name: 'Squares' },
          { code: 'ruler', name: 'Ruler' },
        ]}
        onChange={setHow}
      />
      {how === 'photo' && <PhotoMeasure units={units} onAccept={(measured) => add({ ...measured })} />}
      {how === 'squares' && <CountSquares units={units} onCounted={add} />}
      {how === 'ruler' && <Action label="Type length and width" icon="plus" onPress={() => add({})} />}
    </>
  );
}

/** The photo that was kept with a print. */
function KeptPhoto({ id }: { readonly id: string }) {
  const [src, setSrc] = useState<string | null>();
  useEffect(() => {
    let here = true;
    void photoAddress(id).then((address) => {
      if (here) setSrc(address);
    });
    return () => {
      here = false;
    };
  }, [id]);
  if (src === undefined) return null;
  return src === null ? (
    <Text as="small" tone="muted">
      The photo of this print is at the server, which can’t be reached just now.
    </Text>
  ) : (
    createElement('img', {
      src,
      alt: 'The photo of this print',
      style: { width: '100%', maxWidth: 200, borderRadius: 3 },
    })
  );
}

const styles = StyleSheet.create({
  run: { borderTopWidth: 1, paddingTop: 8, gap: 8 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
});
