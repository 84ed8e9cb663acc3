import { loadCaseOf, type ComparisonBody, type RigRow, type Setup } from '@dunlinmoss/contract';
import { CASINGS, familyOf, LOAD_RANGE_CODES, type RigFormField } from '@dunlinmoss/core';
import { plainSetup } from '@dunlinmoss/domain';

import { RowQuantity, useProblem, usePicked } from '../../forms/fields';
import { chosen } from '../../forms/rowForm';
import { useValue, type OpenForm } from '../../forms/useRowForm';
import { Choice } from '../../components/Choice';
import { TextField } from '../../components/TextField';
import { Unfold } from '../../components/Unfold';
import { unitsStore } from '../../settings/preferences';
import { axleName } from '../../words/axles';
import { setupText } from '../../words/compare';
import { CASING_WORDS, MARKING_EXAMPLES, readBack } from '../../words/marking';

interface SetupFieldsProps {
  readonly form: OpenForm<ComparisonBody>;
  readonly which: 'first' | 'second';
  readonly rigs: readonly RigRow[];
  readonly startsOpen: boolean;
}

const WHICH = { first: 'First', second: 'Second' } as const;

/** One of the two: whose wheel, and what is changed on it. Whatever is left alone is as it stands on the rig. */
export function SetupFields({ form, which, rigs, startsOpen }: SetupFieldsProps) {
  const units = unitsStore.use();
  const setup = useValue<ComparisonBody, Setup>(form, `/${which}`);
  const rig = rigs.find(({ id }) => id === setup.rigId);
  const spoken = `${WHICH[which]}: `;
  const pickRig = (id: string): void => {
    const other = rigs.find((each) => each.id === id)!;
    const same = other.axles.find(({ position }) => position === setup.position) ?? other.axles[0]!;
    form.change((now) => ({
      ...chosen(now, [`/${which}`], plainSetup(other, same.position)),
      texts: Object.fromEntries(Object.entries(now.texts).filter(([key]) => !key.startsWith(`/${which}/`))),
    }));
  };
  return (
    <Unfold label={WHICH[which]} value={setupText(rig, setup, units)} startsOpen={startsOpen}>
      {rigs.length > 1 && (
        <Unfold label="Rig" value={rig?.name ?? 'not here: choose one'}>
          {(close) => (
            <Choice
              label={`${WHICH[which]}: rig`}
              layout="list"
              value={rig?.id}
              options={rigs.map(({ id, name }) => ({ code: id, name }))}
              onChange={(id) => {
                pickRig(id);
                close();
              }}
            />
          )}
        </Unfold>
      )}
      {rig && <OfRig form={form} which={which} rig={rig} setup={setup} spoken={spoken} />}
    </Unfold>
  );
}

interface OfRigProps extends Pick<SetupFieldsProps, 'form' | 'which'> {
  readonly rig: RigRow;
  readonly setup: Setup;
  readonly spoken: string;
}

function OfRig({ form, which, rig, setup, spoken }: OfRigProps) {
  const family = familyOf(rig.family);
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  const axle = rig.axles.find(({ position }) => position === setup.position);
  const [, pickPosition] = usePicked<ComparisonBody, Setup['position']>(form, `/${which}/position`);
  const [, pickCase] = usePicked<ComparisonBody, Setup['loadCaseId']>(form, `/${which}/loadCaseId`);
  const [loadRange, pickRange] = usePicked<ComparisonBody, Setup['loadRange']>(form, `/${which}/loadRange`);
  const [insert, pickInsert] = usePicked<ComparisonBody, Setup['insert']>(form, `/${which}/insert`);
  const [casing, pickCasing] = usePicked<ComparisonBody, Setup['casing']>(form, `/${which}/casing`);
  return (
    <>
      {rig.axles.length > 1 && (
        <Choice
          label={`${spoken}axle`}
          value={setup.position}
          options={rig.axles.map(({ position }) => ({ code: position, name: axleName(position, family.kind) }))}
          onChange={pickPosition}
        />
      )}
      {rig.loadCases.length > 1 && (
        <Choice
          label={`${spoken}loaded as`}
          layout="list"
          value={loadCaseOf(rig, setup.loadCaseId)?.id}
          options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
          onChange={pickCase}
        />
      )}
      <TireField form={form} which={which} rig={rig} spoken={spoken} worn={axle?.tireMarking ?? ''} />
      {asks('loadRange') && (
        <Choice
          label={`${spoken}load range letter`}
          value={loadRange ?? axle?.loadRange}
          options={LOAD_RANGE_CODES.filter((code) => !'GHJL'.includes(code) || code === axle?.loadRange).map(
            (code) => ({
              code,
              name: code === 'standard' ? 'None' : code,
            }),
          )}
          onChange={(code) => pickRange(code === axle?.loadRange && setup.tireMarking === null ? null : code)}
        />
      )}
      {asks('rimWidth') && (
        <>
          <RowQuantity
            form={form}
            at={`/${which}/rimInnerMm`}
            label="Rim inside, if another"
            spoken={`${spoken}rim width inside`}
            quantity="length"
          />
          <RowQuantity
            form={form}
            at={`/${which}/measuredWidthMm`}
            label="Tire measures, if otherwise"
            spoken={`${spoken}tire width as measured`}
            quantity="length"
          />
        </>
      )}
      {asks('insert') && (
        <Choice
          label={`${spoken}insert`}
          value={(insert ?? axle?.insert) ? 'with' : 'without'}
          options={[
            { code: 'without', name: 'Without' },
            { code: 'with', name: 'With' },
          ]}
          onChange={(code) => pickInsert((code === 'with') === axle?.insert ? null : code === 'with')}
        />
      )}
      {asks('casing') && (
        <Choice
          label={`${spoken}casing`}
          value={casing ?? axle?.casing ?? undefined}
          options={CASINGS.map((code) => ({ code, name: CASING_WORDS[code] }))}
          onChange={(code) => pickCasing(code === axle?.casing ? null : code)}
        />
      )}
      <RowQuantity
        form={form}
        at={`/${which}/pressureKpa`}
        label="Pressure, cold"
        spoken={`${spoken}pressure`}
        quantity="pressure"
        hint="Empty goes by the plan."
      />
    </>
  );
}

interface TireFieldProps extends Pick<SetupFieldsProps, 'form' | 'which'> {
  readonly rig: RigRow;
  readonly spoken: string;
  /** What stands on the rig. */
  readonly worn: string;
}

/** Another tire than it wears; empty leaves the one it has. */
function TireField({ form, which, rig, spoken, worn }: TireFieldProps) {
  const units = unitsStore.use();
  const at = `/${which}/tireMarking` as const;
  const marking = useValue<ComparisonBody, string | null>(form, at);
  const refused = useProblem(form, at);
  const { kind } = familyOf(rig.family);
  const back = marking === null ? undefined : readBack(marking, units, kind);
  return (
    <TextField
      label="Another tire"
      spokenLabel={`${spoken}another tire`}
      value={marking ?? ''}
      capitals
      onChange={(text) => {
        form.clearProblem(at);
        form.change((now) => chosen(now, [at], text.trim() === '' ? null : text));
      }}
      hint={
        back === undefined
          ? `Empty leaves ${worn} on. Like ${MARKING_EXAMPLES[kind]}.`
          : back.ok
            ? `Reads: ${back.text}.`
            : back.text
      }
      problem={refused}
    />
  );
}
