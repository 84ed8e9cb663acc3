import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import type { RoutineCode } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';

import { useOutingOf } from '../../data/outings';
import { useChosenRig } from '../../hooks/useChosenRig';
import { useRow, useRows } from '../../data/rows';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { RowMissing } from '../../components/RowFrame';
import { ROUTINE_WORDS } from '../../words/proof/registry';

/** What a test is opened with: the saved one, or a new one on the outing given, under way, or none. */
export interface OpenedTest {
  readonly row: ProofTestRow | undefined;
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
}

interface TestPageProps {
  readonly code: RoutineCode;
  readonly children: (opened: OpenedTest) => ReactNode;
}

/** Opens the test of the address: `new` begins one. What is missing is said, with a way on. */
export function TestPage({ code, children }: TestPageProps) {
  const { name: title } = ROUTINE_WORDS[code];
  const { id, outing: outingId, rig: rigId } = useLocalSearchParams<{ id: string; outing?: string; rig?: string }>();
  const isNew = id === 'new';
  const test = useRow('tests', isNew ? undefined : id);
  const linked = useRow('outings', isNew ? outingId : (test.row?.outingId ?? undefined));
  const rigs = useRows('rigs');
  const chosen = useChosenRig(isNew && outingId === undefined ? rigId : undefined);
  // A test is of the rig of its own row or outing; a new one of the rig that was chosen, and of no other.
  const wanted = test.row?.rigId ?? linked.row?.rigId ?? (outingId === undefined ? chosen.rig?.id : undefined);
  const rig = useRow('rigs', wanted);
  const open = useOutingOf(isNew && outingId === undefined ? wanted : undefined);
  const outing = linked.row ?? open.outing;
  const row = test.row?.kind === code ? test.row : undefined;

  if (test.missing || rig.missing || (test.row && !row)) {
    return (
      <Page title={title}>
        <RowMissing name="tests" />
      </Page>
    );
  }
  const waits =
    !rig.row ||
    (!isNew && !row) ||
    (isNew && (chosen.loading || linked.loading || (outingId === undefined && open.loading)));
  if (waits || !rig.row) {
    const none = isNew && !rigs.loading && rigs.rows.length === 0;
    return <NeedsRig title={title} loading={!none} why="A test needs a rig: load, tires and placard." />;
  }
  return children({ row, rig: rig.row, outing });
}
