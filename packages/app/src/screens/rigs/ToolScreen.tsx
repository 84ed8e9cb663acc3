import type { AirToolBody, AirToolRow, FieldProblem } from '@dunlinmoss/contract';
import { AIR_TOOLS, inToolOf, psi, VALVES, type AirToolCode } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';

import { unitsStore, type Units } from '../../settings/preferences';
import { inList, inPair, RowNumber, RowQuantity, RowText, usePicked, type NumberPlace } from '../../forms/fields';
import { useFormRow, useRowForm, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { FormColumn } from '../../components/FormColumn';
import { notify } from '../../components/Notice';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { pressure } from '../../words/format';
import { fieldText } from '../../words/problems';
import { savedText } from '../../words/saved';
import { TOOL_WORDS, VALVE_WORDS } from '../../words/tools';
import { RowFrame } from '../../components/RowFrame';
import { useRouter } from '../../hooks/useRouter';
import { BesideList } from './RigScreen';

/** The back pressures that labels speak of: none, 30, 50 and 80 psi. */
const LABEL_KPA = [0, psi(30), psi(50), psi(80)] as const;

const blankTool = (): Omit<AirToolBody, 'id'> => ({
  revision: 0,
  name: '',
  kind: 'coreDeflator',
  wheelsAtOnce: 1,
  flow: [],
  duty: null,
  budget: null,
  setKpa: null,
  valves: [],
  note: '',
});

/** One air tool; `new` begins another. */
export function ToolScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const fresh = id === 'new' ? 'New air tool' : 'Air tool';
  return (
    <RowFrame name="tools" id={id} around={(body, row) => <BesideList title={row?.name ?? fresh}>{body}</BesideList>}>
      {(row) => <ToolForm key={`${id} ${row?.revision ?? 0}`} row={row} />}
    </RowFrame>
  );
}

const WAYS: readonly (readonly ['out' | 'in', string])[] = [
  ['out', 'Lets air out'],
  ['in', 'Puts air in'],
];

/** Everything of a pump's label is a number above nothing. */
const toolProblem = (problem: FieldProblem, units: Units): string =>
  /^\/(flow|duty|budget)/.test(problem.path) ? 'Expected a number above 0.' : fieldText(problem, units);

export function ToolForm({ row }: { readonly row: AirToolRow | undefined }) {
  const router = useRouter();
  const form = useRowForm('tools', {
    draft: `tool:${row?.id ?? 'new'}`,
    row,
    blank: blankTool,
    units: unitsStore.use(),
    keyOf: flowKey,
    problemText: toolProblem,
    onSaved: (outcome, { name }) => {
      notify(savedText(outcome, name));
      router.navigate('/rigs/tools');
    },
  });
  const [kind, pickKind] = usePicked<AirToolBody, AirToolCode>(form, '/kind');
  const [wheelsAtOnce, pickWheels] = usePicked<AirToolBody, number>(form, '/wheelsAtOnce');

  return (
    <FormColumn>
      <RowText form={form} at="/name" label="Name" />
      {WAYS.map(([way, label]) => (
        <Choice
          key={way}
          label={label}
          value={kind}
          options={AIR_TOOLS.filter((tool) => tool.way === way).map(({ code }) => ({
            code,
            name: TOOL_WORDS[code].name,
            note: TOOL_WORDS[code].note || undefined,
          }))}
          onChange={pickKind}
        />
      ))}
      {kind === 'carbonDioxideBottle' && (
        <Text as="small" tone="rust">
          CO2 freezes skin: gloves on, and never point it at anyone.
        </Text>
      )}
      <Choice
        label="Wheels at once"
        value={String(wheelsAtOnce)}
        options={['1', '2', '4', '6'].map((code) => ({ code, name: code }))}
        onChange={(code) => pickWheels(Number(code))}
      />
      {kind === 'presetDeflators' && (
        <RowQuantity
          form={form}
          at="/setKpa"
          label="They stop at"
          quantity="pressure"
          hint="As you set them last: today’s plan is held against it."
        />
      )}
      <ValveFields form={form} />
      {inToolOf(kind) && <PumpFields form={form} kind={kind} />}
      <RowText form={form} at="/note" label="Note (if you like)" multiline />
      <Action kind="main" label={row ? 'Save the changes' : 'Save this tool'} onPress={() => void form.submit()} />
      {row && (
        <Action
          kind="hurt"
          icon="trash"
          label="Archive this tool"
          onPress={() => void form.archive?.(row.name, () => router.navigate('/rigs/tools'))}
        />
      )}
    </FormColumn>
  );
}

/** Which valves it fits as it is; none chosen says nothing. */
function ValveFields({ form }: { readonly form: OpenForm<AirToolBody> }) {
  const [valves, pick] = usePicked<AirToolBody, AirToolBody['valves']>(form, '/valves');
  return (
    <Unfold
      label="Valves it fits"
      value={valves.length === 0 ? 'not said' : valves.map((code) => VALVE_WORDS[code].name).join(', ')}
    >
      {VALVES.map((code) => (
        <Toggle
          key={code}
          label={VALVE_WORDS[code].name}
          note={VALVE_WORDS[code].note}
          value={valves.includes(code)}
          onChange={(on) => pick(VALVES.filter((each) => (each === code ? on : valves.includes(each))))}
        />
      ))}
    </Unfold>
  );
}

type Flow = AirToolBody['flow'][number];

/** What it delivers against a pressure; the points stand in the order of their pressures. */
function flowPlace(kpa: number): NumberPlace<AirToolBody> {
  const place = inList<AirToolBody, Flow>(
    '/flow',
    'litersPerMin',
    String(kpa),
    ({ pressureKpa }) => pressureKpa === kpa,
    (litersPerMin) => ({ pressureKpa: kpa, litersPerMin }),
  );
  return {
    ...place,
    write: (tool, value) => {
      const written = place.write(tool, value);
      return { ...written, flow: written.flow.toSorted((a, b) => a.pressureKpa - b.pressureKpa) };
    },
  };
}

const flowKey = (pointer: string, { flow }: AirToolBody): string => {
  const [, list, index] = pointer.split('/');
  const point = list === 'flow' && index !== undefined ? flow[Number(index)] : undefined;
  return point ? flowPlace(point.pressureKpa).key : pointer;
};

const GAS_PLACE: NumberPlace<AirToolBody> = {
  key: '/budget/kg',
  read: ({ budget }) => (budget?.kind === 'gas' ? budget.kg : null),
  write: (tool, kg) => ({ ...tool, budget: kg === null ? null : { kind: 'gas', kg } }),
};
const CHARGE_PLACE: NumberPlace<AirToolBody> = {
  key: '/budget/liters',
  read: ({ budget }) => (budget?.kind === 'liters' ? budget.liters : null),
  write: (tool, liters) => ({ ...tool, budget: liters === null ? null : { kind: 'liters', liters } }),
};

/** What a pump's label says: what it delivers, how long it may run, what it holds. */
function PumpFields({ form, kind }: { readonly form: OpenForm<AirToolBody>; readonly kind: AirToolCode }) {
  const units = unitsStore.use();
  const { flow } = useFormRow(form);
  const gas = kind === 'carbonDioxideBottle';
  // Points of the label's own pressures, and whatever others the tool has.
  const near = (kpa: number) => flow.find(({ pressureKpa }) => Math.abs(pressureKpa - kpa) < 1)?.pressureKpa ?? kpa;
  const points = [...new Set([...LABEL_KPA.map(near), ...flow.map(({ pressureKpa }) => pressureKpa)])];
  points.sort((a, b) => a - b);
  return (
    <Unfold label="What its label says" value="Without it, what such a pump commonly does is taken">
      {points.map((kpa) => (
        <RowQuantity
          key={kpa}
          form={form}
          at={flowPlace(kpa)}
          label={kpa === 0 ? 'Delivers, open' : `Delivers against ${pressure(kpa, units)}`}
          quantity="flow"
        />
      ))}
      <RowNumber form={form} at={inPair<AirToolBody>('/duty', 'onMin', 'restMin')} label="May run" unit="min" />
      <RowNumber form={form} at={inPair<AirToolBody>('/duty', 'restMin', 'onMin')} label="Then rests" unit="min" />
      {gas && <RowNumber form={form} at={GAS_PLACE} label="Gas in the bottle" unit="kg" />}
      {kind === 'handheldPump' && <RowNumber form={form} at={CHARGE_PLACE} label="A charge gives" unit="L" />}
    </Unfold>
  );
}
