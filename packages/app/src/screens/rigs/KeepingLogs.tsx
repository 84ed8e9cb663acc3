import type { LogKeeping } from '@dunlinmoss/contract';
import useSWR from 'swr';

import { Away, request } from '../../data/client';
import { whoStore } from '../../settings/who';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';

const PATH = '/log-keeping';
/** For good, or a year and the month that is begun, or two. */
const CHOICES = [
  { code: 'good', name: 'For good', months: null },
  { code: '25', name: 'Two years', months: 25 },
  { code: '13', name: 'A year', months: 13 },
] as const;
type Code = (typeof CHOICES)[number]['code'];

/** How long each reading of monitors is kept. Nothing is taken away on the spot: it can be said otherwise meanwhile. */
export function KeepingLogs() {
  const { data, mutate } = useSWR<LogKeeping>(PATH);
  const { me, crewId } = whoStore.use();
  // Alone, or who leads: to the others it is told.
  const role = me?.spaces.find(({ id }) => id === crewId)?.role;
  const may = !me?.signIn || crewId === null || role === 'lead' || role === 'own';
  if (!data) return null;
  const chosen = CHOICES.find(({ months }) => months === data.months);
  const keep = (code: Code): void => {
    const { months } = CHOICES.find((choice) => choice.code === code)!;
    request('PUT', PATH, { months }).then(
      (kept) => void mutate(kept as LogKeeping, { revalidate: false }),
      (error: unknown) =>
        notify(error instanceof Away ? 'It needs a signal.' : 'That was refused: those who lead the crew say it.'),
    );
  };
  return (
    <Panel title="Readings of monitors">
      {may ? (
        <Choice
          label="Keep each reading"
          value={chosen?.code}
          options={CHOICES.map(({ code, name }) => ({ code, name }))}
          onChange={keep}
        />
      ) : (
        <Text>{`Each is kept ${chosen ? chosen.name.toLowerCase() : `${data.months} months`}.`}</Text>
      )}
      <Text as="small" tone="muted">
        {data.months === null
          ? 'What they come to every ten minutes is kept for good either way.'
          : 'Older ones are taken away within a day, and what they came to every ten minutes stays for good. A table or everything as a file, saved before, has them all.'}
      </Text>
    </Panel>
  );
}
