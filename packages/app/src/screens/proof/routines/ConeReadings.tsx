import { probeProfile } from '@dunlinmoss/contract';
import { toCanonical, type RoutineValues } from '@dunlinmoss/core';

import { request } from '../../../data/client';
import type { Units } from '../../../settings/preferences';
import { Action } from '../../../components/Action';
import { FilePicker } from '../../../components/FilePicker';
import { notify } from '../../../components/Notice';
import { Panel } from '../../../components/Panel';
import { Text } from '../../../components/Text';
import { readCone } from './coneTable';

interface ConeReadingsProps {
  readonly rigId: string;
  readonly units: Units;
  readonly setup: RoutineValues | undefined;
  readonly onRead: (runs: readonly RoutineValues[]) => void;
}

/** Cone readings that nobody has to type: from a table, or from the simulated probe. */
export function ConeReadings({ rigId, units, setup, onRead }: ConeReadingsProps) {
  const fromFile = async (file: File): Promise<void> => {
    const read = readCone(await file.text());
    if (!read.ok) {
      notify(read.message);
      return;
    }
    onRead(read.runs);
    notify(`${read.runs.length} readings taken from the table.`);
  };
  const fromProbe = async (): Promise<void> => {
    const query = new URLSearchParams({
      trackAKpa: String(setup?.trackAKpa ?? toCanonical('pressure', 'bar', 1.6)),
      trackBKpa: String(setup?.trackBKpa ?? toCanonical('pressure', 'bar', 0.8)),
    });
    try {
      const { readings } = probeProfile.parse(await request('GET', `/devices/probe/${rigId}?${query.toString()}`));
      onRead(readings);
    } catch {
      notify('The simulated probe can’t be reached just now.');
    }
  };
  return (
    <Panel title="Readings from elsewhere">
      <Text as="small" tone="muted">
        {`A table has the columns track (untouched, A, B), depth_mm and cone_kpa. Here they are shown in ${units.length} and ${units.pressure}.`}
      </Text>
      <FilePicker label="Read a table" accept=".csv,.txt" onPick={(file) => void fromFile(file)} />
      <Action label="Push the simulated probe in" onPress={() => void fromProbe()} />
    </Panel>
  );
}
