import { Icon } from 'react-native-paper';
import { familyOf, isAskedOf, readsGauge, routineOf } from '@dunlinmoss/core';
import { Controller, type Path } from 'react-hook-form';

import { Choice } from '../../components/Choice';
import { ReadingDoubtNote } from '../../components/ReadingDoubtNote';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { pressure } from '../../words/format';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { GaugeOfTest } from './GaugeOfTest';
import { asQuantityText, type FieldText } from './fieldText';
import { isPressureOfRun, isUnread } from './nextRun';
import type { RoutineFormValues } from './routineForm';
import { RoutineField } from './RoutineField';
import type { OpenRoutine } from './openRoutine';

interface FieldOfRoutineProps {
  readonly open: OpenRoutine;
  readonly name: string;
  /** The run it is of; of the setup without one. */
  readonly run?: number;
}

/** One field of the setup or of a run, by what the test says of it. */
export function FieldOfRoutine({ open, name, run }: FieldOfRoutineProps) {
  const { code, form, names, rig, chooseWheelOf } = open;
  const routine = routineOf(code);
  const words = ROUTINE_WORDS[code];
  const label = words.fields[name] ?? name;
  const { kind } = familyOf(rig.family);
  const field = (run === undefined ? routine.setup : routine.run)[name]!;
  if (!isAskedOf(field, kind)) return null;
  return (
    <Controller
      control={form.control}
      name={(run === undefined ? `setup.${name}` : `runs.${run}.${name}`) as Path<RoutineFormValues>}
      render={({ field: { value, onChange }, fieldState }) => (
        <>
          <RoutineField
            field={field}
            label={label}
            spoken={run === undefined ? label : `${words.run ?? 'Run'} ${run + 1}: ${label.toLowerCase()}`}
            value={value as FieldText}
            onChange={(typed) =>
              run !== undefined && field.type === 'wheel' ? chooseWheelOf(run, String(typed)) : onChange(typed)
            }
            hint={isPressureOfRun(name) && run !== undefined ? pressureHint(open, run, name) : undefined}
            options={words.options?.[name]}
            kind={kind}
            wheels={names}
            problem={fieldState.error?.message}
          />
          {isPressureOfRun(name) && run !== undefined && isRead(open, run, name) && (
            <ReadingDoubtNote
              typed={asQuantityText(value as FieldText)}
              limits={open.limitsOf(open.values.runs[run]?.wheel)}
              roadKpa={(open.wheels.find(({ key }) => key === open.values.runs[run]?.wheel) ?? open.wheel).roadKpa}
              onChange={onChange}
            />
          )}
        </>
      )}
    />
  );
}

/** Whether somebody read this pressure off a gauge. */
const isRead = ({ code, values }: OpenRoutine, run: number, name: string): boolean =>
  readsGauge(routineOf(code)) && values.runs[run] !== undefined && !isUnread(values.runs[run], name);

/** What stands in a run's pressure before anybody typed there was read by nobody. */
function pressureHint(
  { code, values, wheels, wheel, units, row }: OpenRoutine,
  run: number,
  name: string,
): string | undefined {
  const typed = values.runs[run];
  if (!typed || !isUnread(typed, name) || !readsGauge(routineOf(code))) return undefined;
  if (asQuantityText(typed[name]).filledIn) return 'Filled in, read by nobody yet: type what your gauge says.';
  const { roadKpa } = wheels.find(({ key }) => key === typed.wheel) ?? wheel;
  return roadKpa === null || row
    ? undefined
    : `On the road you run ${pressure(roadKpa, units)}; type what your gauge says.`;
}

/** Which wheel the test is made on, where there are several. */
export function WheelOfTest({ open, label }: { readonly open: OpenRoutine; readonly label: string }) {
  const { wheels, values, chooseWheel } = open;
  if (wheels.length < 2) return null;
  return (
    <Choice
      label={label}
      value={values.wheel}
      options={wheels.map((each) => ({ code: each.key, name: wheelName(each) }))}
      onChange={chooseWheel}
    />
  );
}

/** The gauge of a test's readings. */
export const GaugeOfRoutine = ({ open: { code, form, values, offsetKpa, units } }: { readonly open: OpenRoutine }) =>
  readsGauge(routineOf(code)) ? (
    <GaugeOfTest
      gaugeId={values.gaugeId}
      onChange={(gaugeId) => form.setValue('gaugeId', gaugeId, { shouldDirty: true })}
      offsetKpa={offsetKpa}
      units={units}
    />
  ) : null;

interface RemoveRunProps {
  /** `run 2`. */
  readonly of: string;
  readonly onPress: () => void;
}

export function RemoveRun({ of, onPress }: RemoveRunProps) {
  const palette = usePalette();
  return (
    <Press
      aria-label={`Remove ${of}`}
      onPress={onPress}
      style={{ flexDirection: 'row', gap: 4, alignItems: 'center', paddingHorizontal: 8 }}
    >
      <Icon source="trash" size={18} color={palette.muted} />
      <Text as="small" tone="muted">
        Remove
      </Text>
    </Press>
  );
}
