import type { LogEvent } from '@dunlinmoss/contract';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { fileName, giveFile } from '../../components/files';
import { ImportFailed, importLog, useOpenImports } from '../../data/imports';
import { useLog } from '../../data/logs';
import { Action } from '../../components/Action';
import { FilePicker } from '../../components/FilePicker';
import { notify } from '../../components/Notice';
import { OpenImports } from '../../components/OpenImports';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Progress } from '../../components/Progress';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { LogLines } from '../../pictures/LogLines';
import { apiHere } from '../../settings/who';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { countText, dayAndTime } from '../../words/format';
import { failureText, IMPORT_WAITS } from '../../words/imports';
import { logEndText } from '../../words/log';
import { AirQuestion } from './AirQuestion';
import type { AirJob } from '../../hooks/useAirJob';

/** Everything monitors ever said of a rig: one picture of it, and tables in and out. */
export const LogScreen = () => (
  <AirQuestion title="Log">{(job, choice) => <Log key={job.rig.id} job={job} choice={choice} />}</AirQuestion>
);

type Import =
  | { readonly at: 'idle' }
  | { readonly at: 'running'; readonly bytes: number; readonly ofBytes: number; readonly lines: number }
  /** The store is away. */
  | { readonly at: 'waiting' }
  /** All of it has come: from here on it goes on by itself. */
  | { readonly at: 'taking'; readonly taken: number; readonly of: number }
  | { readonly at: 'ended'; readonly text: string; readonly lines: readonly string[]; readonly good: boolean };

function Log({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const palette = usePalette();
  const { rig, units } = job;
  const { log, asOf, askAgain } = useLog(rig.id);
  const [state, setState] = useState<Import>({ at: 'idle' });
  const running = useRef<AbortController>(null);
  const open = useOpenImports().filter(({ rigId }) => rigId === rig.id);
  const isOpen = open.length > 0;
  const wasOpen = useRef(isOpen);
  // What came in elsewhere is in the log now.
  useEffect(() => {
    if (wasOpen.current && !isOpen) askAgain();
    wasOpen.current = isOpen;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isOpen]);

  const take = async (file: File): Promise<void> => {
    const cancel = new AbortController();
    running.current = cancel;
    setState({ at: 'running', bytes: 0, ofBytes: file.size, lines: 0 });
    try {
      let last: LogEvent | undefined;
      const take = (event: LogEvent): void => {
        last = event;
        if ('taken' in event) setState({ at: 'taking', ...event });
        if ('progress' in event) {
          setState({ at: 'running', bytes: event.bytes, ofBytes: file.size, lines: event.progress });
        }
      };
      await importLog(rig.id, file, {
        signal: cancel.signal,
        onEvent: take,
        onWaiting: () => setState({ at: 'waiting' }),
      });
      setState({ at: 'ended', ...logEndText(last) });
      askAgain();
    } catch (error) {
      if (!(error instanceof ImportFailed)) throw error;
      setState({ at: 'ended', text: failureText(error.failure, units), lines: [], good: false });
    }
  };

  const give = async (): Promise<void> => {
    try {
      const answer = await fetch(`${apiHere()}/export/log/${rig.id}`);
      if (!answer.ok) throw new Error();
      giveFile(fileName(`${rig.name} log`, 'csv'), await answer.blob());
    } catch {
      notify("The store can't be reached: nothing to save just now.");
    }
  };

  return (
    <Page
      title="Log"
      result={
        <>
          {log === undefined ? (
            <Loading />
          ) : log === null ? (
            <Empty text="The store can’t be reached just now, and this device has not seen this log yet." />
          ) : log.wheels.length === 0 ? (
            <Empty text="Nothing in it yet. Monitors write it while they are watched; a table of theirs can be read in." />
          ) : (
            <Panel title={`${dayAndTime(log.from)} to ${dayAndTime(log.to)}`}>
              {asOf !== null && <Text role="status">{`As this device saw it on ${dayAndTime(asOf)}.`}</Text>}
              <LogLines
                units={units}
                palette={palette}
                wheels={log.wheels.map(({ stretches, ...place }) => ({
                  name: wheelName(place),
                  points: stretches.map(({ at, leastKpa, mostKpa }) => ({ atMs: Date.parse(at), leastKpa, mostKpa })),
                }))}
              />
              <Text as="small" tone="muted">
                {`${countText(log.readings)} readings, drawn as the least and most of each stretch: no peak is lost.`}
              </Text>
            </Panel>
          )}
        </>
      }
    >
      {choice}
      <Panel title="A table in">
        <Text as="small" tone="muted">
          CSV with the columns time, axle, wheel, pressure_kpa (or pressure_psi, pressure_bar) and, if known, temp_c.
          Times with their zone, as 2026-11-20T06:40:00Z. Axles: front, rear, trailer; wheels: left, right, single.
        </Text>
        {state.at === 'idle' && <OpenImports items={open} />}
        {(state.at === 'idle' || state.at === 'ended') && (
          <FilePicker label="Choose a table" accept=".csv,text/csv" onPick={(file) => void take(file)} />
        )}
        {state.at === 'running' && (
          <>
            <Progress label="Bytes" done={state.bytes} total={state.ofBytes} />
            <Text>{`${countText(state.lines)} lines`}</Text>
          </>
        )}
        {state.at === 'waiting' && <Text role="status">{IMPORT_WAITS}</Text>}
        {state.at === 'taking' && (
          <>
            <Progress label="Taken in, in parts" done={state.taken} total={state.of} />
            <Text as="small" tone="muted">
              All of it has come: it is taken in also when this page is closed.
            </Text>
          </>
        )}
        {(state.at === 'running' || state.at === 'waiting') && (
          <Action label="Stop, keep nothing" onPress={() => running.current?.abort()} />
        )}
        {state.at === 'ended' && (
          <View role={state.good ? 'status' : 'alert'} style={styles.end}>
            <Text tone={state.good ? 'ink' : 'rust'}>{state.text}</Text>
            {state.lines.map((line) => (
              <Text key={line} as="small">
                {line}
              </Text>
            ))}
          </View>
        )}
      </Panel>
      <Action icon="download" label="The log as a table" onPress={() => void give()} />
    </Page>
  );
}

const styles = StyleSheet.create({ end: { gap: 3 } });
