import type { ProofTestRow } from '@dunlinmoss/contract';
import { familyOf, type GroundCode, type Kind } from '@dunlinmoss/core';
import { useState } from 'react';
import { ScrollView } from 'react-native';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { fileName, giveFile } from '../../components/files';
import { NeedsRig } from '../../components/NeedsRig';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { unitsStore } from '../../settings/preferences';
import { KIND_WORDS } from '../../words/families';
import { groundName } from '../../words/grounds';
import { useProofs } from '../../hooks/useProof';
import { wallGrounds, wallLines, wallSheet, wallTable, type WallOrder } from '../../words/wallSheet';

/** All machines of a kind by all grounds on one sheet, for the wall. */
export function WallScreen() {
  const { rows: rigs, loading } = useRows('rigs');
  const kinds = [...new Set(rigs.map(({ family }) => familyOf(family).kind))];
  const [chosen, setKind] = useState<Kind>();
  // A farm's wall is what it is most often for.
  const kind = chosen ?? (kinds.includes('farm') ? 'farm' : kinds[0]);
  if (kind === undefined) return <NeedsRig title="Wall sheet" loading={loading} why="A sheet needs machines." />;
  return (
    <OfKind key={kind} kind={kind}>
      {kinds.length > 1 && (
        <Choice
          label="Machines"
          value={kind}
          options={kinds.map((code) => ({ code, name: KIND_WORDS[code] }))}
          onChange={setKind}
        />
      )}
    </OfKind>
  );
}

function OfKind({ kind, children }: { readonly kind: Kind; readonly children: React.ReactNode }) {
  const units = unitsStore.use();
  const { rows: rigs } = useRows('rigs');
  const { rows: tests } = useRows('tests');
  const { rows: outings } = useRows('outings');
  const [grounds, setGrounds] = useState<readonly GroundCode[]>(() => wallGrounds(kind));
  const [order, setOrder] = useState<WallOrder>('name');
  const [allLoads, setAllLoads] = useState(false);
  const [nowMs] = useState(() => Date.now());
  const withProofs = useProofs();
  const testsOf = (rigId: string): ProofTestRow[] => tests.filter((test) => test.rigId === rigId);
  const table = wallTable({
    rigs,
    testsOf,
    kind,
    grounds,
    allLoads,
    order,
    units,
    proofOf: (rig, asked) =>
      withProofs(rig, { tests: testsOf(rig.id), outings: outings.filter(({ rigId }) => rigId === rig.id) }, asked),
  });
  const sheet = wallSheet(table, units, new Date(nowMs).toISOString());
  const saveTable = async (): Promise<void> => {
    try {
      const { default: papa } = await import('papaparse');
      // A cell that a spreadsheet would run as a formula is written as text.
      const text = papa.unparse(wallLines(table) as string[][], { escapeFormulae: true });
      giveFile(fileName('pressures by machine', 'csv'), new Blob([text], { type: 'text/csv' }));
    } catch {
      notify('The table could not be made just now: what makes it can’t be fetched.');
    }
  };
  return (
    <Page
      title="Wall sheet"
      result={
        <>
          <SheetActions sheet={sheet} name="pressures by machine" paper="A4" />
          <Action icon="download" label="Table (CSV)" onPress={() => void saveTable()} />
          <ScrollView horizontal>
            <SheetView sheet={sheet} minWidth={Math.max(340, 190 + 118 * table.grounds.length)} />
          </ScrollView>
        </>
      }
    >
      <Text tone="muted">Every machine by every ground, with what was proved on them.</Text>
      {children}
      <Unfold label="Grounds" value={`${table.grounds.length} of ${wallGrounds(kind).length}`}>
        {wallGrounds(kind).map((code) => (
          <Toggle
            key={code}
            label={groundName(code)}
            value={grounds.includes(code)}
            onChange={(on) => setGrounds(on ? [...grounds, code] : grounds.filter((each) => each !== code))}
          />
        ))}
      </Unfold>
      <Toggle label="Every load of a machine" note="a line each" value={allLoads} onChange={setAllLoads} />
      <Unfold
        label="In the order of"
        value={order === 'name' ? 'names' : `softest on ${groundName(order).toLowerCase()}`}
      >
        {(close) => (
          <Choice
            label="In the order of"
            layout="list"
            value={order}
            options={[
              { code: 'name' as WallOrder, name: 'Names' },
              ...table.grounds.map((code) => ({
                code: code as WallOrder,
                name: `Softest on ${groundName(code).toLowerCase()}`,
              })),
            ]}
            onChange={(next) => {
              setOrder(next);
              close();
            }}
          />
        )}
      </Unfold>
    </Page>
  );
}
