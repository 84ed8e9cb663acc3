import type { RigRow } from '@dunlinmoss/contract';
import { useState } from 'react';

import { useGauges } from '../../data/gauges';
import { unitsStore } from '../../settings/preferences';
import { Page } from '../../components/Page';
import { SheetActions, SheetView } from '../../components/SheetView';
import { rigCard } from '../../words/rigCard';
import { RigOfAddress } from '../../components/RigOfAddress';

/** A rig on one page, to print or keep. */
export const CardScreen = () => <RigOfAddress title="Rig card">{(rig) => <Card rig={rig} />}</RigOfAddress>;

function Card({ rig }: { readonly rig: RigRow }) {
  const units = unitsStore.use();
  const gauges = useGauges();
  const [now] = useState(() => new Date().toISOString());
  const sheet = rigCard(rig, gauges, units, now);
  return (
    <Page title="Rig card" result={<SheetView sheet={sheet} />}>
      <SheetActions sheet={sheet} name={rig.name} paper="A5" />
    </Page>
  );
}
