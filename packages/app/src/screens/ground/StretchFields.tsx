import type { RigRow, RouteBody, RouteStretchBody } from '@dunlinmoss/contract';
import {
  canBog,
  familyOf,
  fromCanonical,
  groundOf,
  groundsFor,
  STUCK,
  SURENESS,
  type GroundCode,
} from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { RowClock, RowNumber, RowQuantity, usePicked } from '../../forms/fields';
import { removed } from '../../forms/rowForm';
import type { OpenForm } from '../../forms/useRowForm';
import type { Units } from '../../settings/preferences';
import { GROUND_WORDS, groundName } from '../../words/grounds';
import { loadText, stretchText, SURENESS_WORDS } from '../../words/route';
import { wayUnit } from '../../words/way';

interface StretchFieldsProps {
  readonly form: OpenForm<RouteBody>;
  readonly index: number;
  readonly stretch: RouteStretchBody;
  readonly count: number;
  readonly rig: RigRow;
  readonly units: Units;
  /** Its length is that of the track between two marks. */
  readonly onTrack: boolean;
}

/** One stretch of a day: a line that opens. */
export function StretchFields({ form, index, stretch, count, rig, units, onTrack }: StretchFieldsProps) {
  const family = familyOf(rig.family);
  const at = <Field extends keyof RouteStretchBody>(field: Field): `/stretches/${number}/${Field}` =>
    `/stretches/${index}/${field}`;
  const [, pickGround] = usePicked<RouteBody, GroundCode>(form, at('groundCode'));
  const [, pickLoad] = usePicked<RouteBody, string | null>(form, at('loadCaseId'));
  const [, pickEnd] = usePicked<RouteBody, string | null>(form, at('endLoadCaseId'));
  const [, pickSureness] = usePicked<RouteBody, RouteStretchBody['sureness']>(form, at('sureness'));
  const [, pickNoStopping] = usePicked<RouteBody, boolean>(form, at('noStopping'));
  const [, pickFreeAir] = usePicked<RouteBody, boolean>(form, at('freeAir'));
  const [, pickFound] = usePicked<RouteBody, RouteStretchBody['found']>(form, at('found'));
  // What was typed into the others stays with the place it was typed for: order changes by what is kept alone.
  const move = (by: 1 | -1): void =>
    form.change(({ row }) => {
      const stretches = [...row.stretches];
      [stretches[index], stretches[index + by]] = [stretches[index + by]!, stretches[index]!];
      return { row: { ...row, stretches }, texts: {} };
    });
  const soft = canBog(groundOf(stretch.groundCode));
  const several = rig.loadCases.length > 1;
  const perUnit = fromCanonical('speed', units.speed, 1) / 1000;
  return (
    <Unfold label={stretchText(stretch, rig, units)} value={`${index + 1}. ${groundName(stretch.groundCode)}`}>
      <Unfold label="Ground" value={groundName(stretch.groundCode)}>
        {(close) => (
          <Choice
            label={`Ground of stretch ${index + 1}`}
            layout="list"
            value={stretch.groundCode}
            options={groundsFor(family)
              .filter((code) => code !== STUCK)
              .map((code) => ({ code, name: GROUND_WORDS[code].name }))}
            onChange={(code) => {
              pickGround(code);
              close();
            }}
          />
        )}
      </Unfold>
      {!onTrack && <RowNumber form={form} at={at('lengthM')} label="How long" unit={wayUnit(units)} per={perUnit} />}
      <RowNumber
        form={form}
        at={at('climbDeg')}
        label="Steepest climb"
        unit="°"
        hint="0 on the flat. A ramp of 1 in 10 is 6°."
      />
      {soft && (
        <Choice
          label="How sure are you of it?"
          layout="list"
          value={stretch.sureness}
          options={SURENESS.map((code) => ({ code, name: SURENESS_WORDS[code] }))}
          onChange={pickSureness}
        />
      )}
      {stretch.found !== null && stretch.found !== 'asThought' && (
        <Action label={`Found ${stretch.found} last time: forget that`} onPress={() => pickFound(null)} />
      )}
      {several && (
        <Unfold label="Loaded" value={loadText(stretch, rig)}>
          <Choice
            label="As it begins"
            layout="list"
            value={stretch.loadCaseId ?? ''}
            options={[{ code: '', name: 'As it stands' }, ...rig.loadCases.map(({ id, name }) => ({ code: id, name }))]}
            onChange={(code) => pickLoad(code === '' ? null : code)}
          />
          <Choice
            label="And at its end"
            layout="list"
            value={stretch.endLoadCaseId ?? ''}
            options={[{ code: '', name: 'The same' }, ...rig.loadCases.map(({ id, name }) => ({ code: id, name }))]}
            onChange={(code) => pickEnd(code === '' ? null : code)}
          />
        </Unfold>
      )}
      <RowQuantity
        form={form}
        at={at('speedKmh')}
        label="Fastest you would drive"
        quantity="speed"
        hint="Empty goes by the ground’s guide."
      />
      <Toggle
        label="No stopping on it"
        note="You stop before it, or after"
        value={stretch.noStopping}
        onChange={pickNoStopping}
      />
      <Toggle
        label="Air where it begins"
        note="A tank, a workshop, a filling station: your own pump is spared"
        value={stretch.freeAir}
        onChange={pickFreeAir}
      />
      <RowClock form={form} at={at('closesAtMin')} label="Through by" hint="The tide, or the light." />
      <RowClock form={form} at={at('opensAtMin')} label="Not before" />
      <View style={styles.row}>
        {index > 0 && !onTrack && (
          <Action icon="chevron-up" label="Earlier" spoken={`Earlier: stretch ${index + 1}`} onPress={() => move(-1)} />
        )}
        {index < count - 1 && !onTrack && (
          <Action icon="chevron-down" label="Later" spoken={`Later: stretch ${index + 1}`} onPress={() => move(1)} />
        )}
        {count > 1 && (
          <Action
            icon="trash"
            label="Skip this stretch"
            spoken={`Skip this stretch: ${index + 1}`}
            onPress={() =>
              form.change((now) => {
                const next = removed(now, ['/stretches'], index);
                if (!onTrack) return next;
                // On a track its way belongs to the one before it, or behind.
                const stretches = [...next.row.stretches];
                const heir = Math.max(0, index - 1);
                stretches[heir] = { ...stretches[heir]!, lengthM: stretches[heir]!.lengthM + stretch.lengthM };
                return { ...next, row: { ...next.row, stretches } };
              })
            }
          />
        )}
      </View>
    </Unfold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
