import { RESOURCES, type ComparisonBody, type ComparisonRow, type RigRow } from '@dunlinmoss/contract';
import { familyOf, groundOr, groundsFor, readMarking, SOIL_CODES, soilOf, STUCK } from '@dunlinmoss/core';
import { isAsItStands, plainSetup, setupOutcome, type NoOutcome, type SetupOutcome } from '@dunlinmoss/domain';
import type { Result } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';

import { useTestsOf } from '../../data/tests';
import { useRows } from '../../data/rows';
import { RowQuantity, RowText, usePicked } from '../../forms/fields';
import { useFormRow, useRowForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { NeedsRig } from '../../components/NeedsRig';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { RowFrame } from '../../components/RowFrame';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { chosenRigStore } from '../../hooks/useChosenRig';
import { useProof } from '../../hooks/useProof';
import { unitsStore } from '../../settings/preferences';
import { GROUND_WORDS, groundName } from '../../words/grounds';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import { CompareResult } from './CompareResult';
import { SetupFields } from './SetupFields';

/** Any two setups on one ground: two trucks, two tires, two pressures. */
export function CompareScreen() {
  const { id = 'new' } = useLocalSearchParams<{ id: string }>();
  const { rows: rigs, loading } = useRows('rigs');
  if (rigs.length === 0) return <NeedsRig title="Two setups" loading={loading} why="A comparison needs a rig." />;
  return (
    <RowFrame
      name="comparisons"
      id={id}
      around={(body, row) => (row || id === 'new' ? body : <Page title="Two setups">{body}</Page>)}
    >
      {(row) => <Compare key={`${id} ${row?.revision ?? 0}`} row={row} rigs={rigs} />}
    </RowFrame>
  );
}

interface CompareProps {
  readonly row: ComparisonRow | undefined;
  readonly rigs: readonly RigRow[];
}

function useBlank(rigs: readonly RigRow[]): () => Omit<ComparisonBody, 'id'> {
  const params = useLocalSearchParams<Record<'rig' | 'ground' | 'case', string>>();
  return () => {
    const asked = params.rig ?? chosenRigStore.get();
    const rig = rigs.find(({ id }) => id === asked) ?? rigs[0]!;
    const first = {
      ...plainSetup(rig, rig.axles.find(({ position }) => position === 'rear')?.position ?? rig.axles[0]!.position),
      ...(params.case !== undefined && { loadCaseId: params.case }),
    };
    return {
      revision: 0,
      name: '',
      keptAt: new Date().toISOString(),
      groundCode: groundOr(familyOf(rig.family), params.ground),
      soil: null,
      depthMm: null,
      first,
      second: first,
    };
  };
}

function Compare({ row, rigs }: CompareProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const blank = useBlank(rigs);
  const form = useRowForm('comparisons', {
    // What was begun for one rig is not what is asked of another.
    draft: `compare:${row?.id ?? `new:${blank().first.rigId}`}`,
    row,
    blank,
    units,
    onSaved: (outcome, { name }) => {
      notify(savedText(outcome, name, 'in the Book'));
      router.navigate('/book');
    },
  });
  const body = useFormRow(form);
  const [groundCode, pickGround] = usePicked<ComparisonBody, ComparisonBody['groundCode']>(form, '/groundCode');
  const [soil, pickSoil] = usePicked<ComparisonBody, ComparisonBody['soil']>(form, '/soil');
  const rigOf = (which: 'first' | 'second') => rigs.find(({ id }) => id === body[which].rigId);
  const [firstRig, secondRig] = [rigOf('first'), rigOf('second')];
  const tests = { first: useTestsOf(firstRig?.id), second: useTestsOf(secondRig?.id) };
  const outcomeOf = (which: 'first' | 'second'): Result<SetupOutcome, NoOutcome> | undefined => {
    const rig = rigOf(which);
    const { tireMarking } = body[which];
    if (!rig || (tireMarking !== null && !readMarking(tireMarking).ok)) return undefined;
    // Only what the contract takes is worked out: a number that is half typed is none yet.
    const setup = RESOURCES.comparisons.body.shape[which].safeParse(body[which]);
    return setup.success ? setupOutcome(rig, tests[which], setup.data, body) : undefined;
  };
  const proofOf = { first: useProof(firstRig?.id), second: useProof(secondRig?.id) };
  const provedOn = (which: 'first' | 'second'): number | undefined => {
    const rig = rigOf(which);
    const setup = body[which];
    if (!rig || setup.pressureKpa !== null || !isAsItStands(setup)) return undefined;
    const asked = { ground: groundCode, modifiers: [], speedKmh: null, loadCaseId: setup.loadCaseId };
    const { proved } = proofOf[which](rig, tests[which], asked);
    return proved.find(({ position }) => position === setup.position)?.pressureKpa;
  };
  const family = familyOf((firstRig ?? rigs[0]!).family);
  const soilWords = ROUTINE_WORDS.climb.options!.soil!;
  return (
    <Page
      title="Two setups"
      result={
        <CompareResult
          body={body}
          rigs={{ first: firstRig, second: secondRig }}
          outcomes={{ first: outcomeOf('first'), second: outcomeOf('second') }}
          proved={{ first: provedOn('first'), second: provedOn('second') }}
          units={units}
        />
      }
    >
      <Unfold label="Ground" value={groundName(groundCode)}>
        {(close) => (
          <Choice
            label="Ground"
            layout="list"
            value={groundCode}
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
      <SetupFields form={form} which="first" rigs={rigs} startsOpen={false} />
      <SetupFields form={form} which="second" rigs={rigs} startsOpen={row === undefined} />
      <Unfold label="How it sinks and climbs" value={soil === null ? 'no soil chosen' : soilWords[soil]}>
        <Choice
          label="Soil"
          value={soil ?? ''}
          options={[
            { code: '' as const, name: 'None' },
            ...SOIL_CODES.map((code) => ({ code, name: soilWords[code]! })),
          ]}
          onChange={(code) => pickSoil(code === '' ? null : code)}
        />
        {soil !== null && (
          <RowQuantity
            form={form}
            at="/depthMm"
            label="Firm ground below, at"
            quantity="length"
            hint={
              'bottomless' in soilOf(soil)
                ? 'Soft snow has no bottom of its own: say how deep it lies.'
                : 'Empty where it goes on down. A tall narrow tire may reach what lies below.'
            }
          />
        )}
      </Unfold>
      <RowText form={form} at="/name" label="Keep it in the Book as" />
      <Action label={row ? 'Save the changes' : 'Keep this comparison'} onPress={() => void form.submit()} />
      {row && (
        <Action
          kind="hurt"
          icon="trash"
          label="Archive this comparison"
          onPress={() => void form.archive?.(row.name, () => router.navigate('/book'))}
        />
      )}
      <Text as="small" tone="muted">
        A tire that you type here wears no sidewall: what it carries is taken from its size and letter, marked so.
      </Text>
    </Page>
  );
}
