import type { ArchiveEvent, ImportOutcome, LoadsEvent, LoadsOutcome } from '@dunlinmoss/contract';
import { useEffect, useRef, useState } from 'react';

import { giveFile, saveAsFile, saveFrom } from '../../components/files';
import {
  ImportFailed,
  importArchive,
  importFile,
  importLoads,
  LEFT,
  previewFile,
  previewLoads,
  putTogether,
  useOpenImports,
  type ImportFailure,
} from '../../data/imports';
import { apiHere } from '../../settings/who';
import { unitsStore } from '../../settings/preferences';
import { bringDemoBack } from '../../data/demo';
import { useArchived } from '../../data/rows';
import { readAgain } from '../../data/sync';
import { Action } from '../../components/Action';
import { FilePicker } from '../../components/FilePicker';
import { notify } from '../../components/Notice';
import { OpenImports } from '../../components/OpenImports';
import { Panel } from '../../components/Panel';
import { Progress } from '../../components/Progress';
import { Text } from '../../components/Text';
import {
  archiveDoneText,
  archivePartText,
  archiveProblemText,
  failureText,
  fileSizeText,
  IMPORT_WAITS,
  loadsDoneText,
  OUT_FAILED,
  OUT_STOPPED,
  OUT_WAITS,
  puttingTogetherText,
  tableProblemText,
} from '../../words/imports';
import { useRouter } from '../../hooks/useRouter';
import { BesideList } from './RigScreen';
import { Lines, Rows, type Done } from './ImportLines';
import { KeepingLogs } from './KeepingLogs';
import { ThisDevice } from './ThisDevice';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'working'; readonly what: string; readonly done: number; readonly total: number }
  | { readonly kind: 'rows'; readonly file: File; readonly outcome: ImportOutcome }
  | { readonly kind: 'lines'; readonly file: File; readonly lines: readonly LoadsOutcome[]; readonly done: Done }
  | { readonly kind: 'archive'; readonly file: File }
  | { readonly kind: 'failed'; readonly text: string };

/** Rigs and loads out to files and in from them. Nothing is taken in before it is shown what that would do. */
export function FilesScreen() {
  const router = useRouter();
  const units = unitsStore.use();
  const open = useOpenImports().filter(({ kind }) => kind !== 'log');
  const [state, setState] = useState<State>({ kind: 'idle' });
  const cancel = useRef<AbortController | undefined>(undefined);
  useEffect(() => () => cancel.current?.abort(LEFT), []);

  /** Runs one import; whatever goes wrong is shown in words. */
  const working = async (what: string, work: (signal: AbortSignal) => Promise<State>): Promise<void> => {
    cancel.current = new AbortController();
    setState({ kind: 'working', what, done: 0, total: 0 });
    try {
      setState(await work(cancel.current.signal));
    } catch (error) {
      const failure: ImportFailure = error instanceof ImportFailed ? error.failure : { code: 'away' };
      setState({ kind: 'failed', text: failureText(failure, units) });
    }
  };

  const onWaiting = (): void => setState({ kind: 'working', what: IMPORT_WAITS, done: 0, total: 0 });

  /** What is said of the lines of a table, and where that ended. */
  const lines = async (
    file: File,
    what: string,
    importing: (onEvent: (event: LoadsEvent) => void) => Promise<void>,
  ): Promise<State> => {
    const told: LoadsOutcome[] = [];
    let last: State = { kind: 'failed', text: tableProblemText({ code: 'internal' }) };
    await importing((event) => {
      if ('progress' in event) setState({ kind: 'working', what, done: event.progress, total: event.total });
      else if ('outcomes' in event) for (const outcome of event.outcomes) told.push(outcome);
      else if ('problem' in event) last = { kind: 'failed', text: tableProblemText(event.problem as never) };
      else last = { kind: 'lines', file, lines: told, done: event.done };
    });
    return last;
  };

  const ask = (file: File): void => {
    if (/\.zip$/i.test(file.name)) setState({ kind: 'archive', file });
    else if (/\.json$/i.test(file.name)) {
      void working('Reading the file', async (signal) => ({
        kind: 'rows',
        file,
        outcome: await previewFile(file, signal),
      }));
    } else {
      const what = 'Reading the lines';
      void working(what, (signal) => lines(file, what, (onEvent) => previewLoads(file, signal, onEvent)));
    }
  };
  const takeRows = (file: File): void =>
    void working('Taking it in', async (signal) => {
      const { added } = await importFile(file, signal, onWaiting);
      readAgain();
      notify(added === 1 ? 'One is added.' : `${added} are added.`);
      router.navigate('/rigs');
      return { kind: 'idle' };
    });
  const takeArchive = (file: File): void =>
    void working('Sending the archive', async (signal) => {
      let last: State = { kind: 'failed', text: archiveProblemText({ code: 'internal' }) };
      const onEvent = (event: ArchiveEvent): void => {
        if ('part' in event) {
          setState({ kind: 'working', what: archivePartText(event.part), done: event.progress, total: 0 });
        } else if ('problem' in event) last = { kind: 'failed', text: archiveProblemText(event.problem) };
        else {
          notify(archiveDoneText(event.done, event.remark));
          last = { kind: 'idle' };
        }
      };
      await importArchive(file, { signal, onEvent, onWaiting });
      readAgain();
      return last;
    });
  const takeLines = (file: File, digest: string): void =>
    void working('Taking the loads in', async (signal) => {
      const last = await lines(file, 'Taking the loads in', (onEvent) =>
        importLoads(file, digest, { signal, onEvent, onWaiting }),
      );
      if (last.kind !== 'lines') return last;
      readAgain();
      notify(loadsDoneText(last.done.counts));
      router.navigate('/rigs');
      return { kind: 'idle' };
    });

  const saveTable = async (): Promise<void> => {
    const response = await fetch(`${apiHere()}/export/loads.csv`).catch(() => undefined);
    if (response?.ok) giveFile('loads.csv', await response.blob());
    else notify("The store can't be reached: nothing to save just now.");
  };

  return (
    <BesideList title="Files: in and out">
      <Panel title="Read a file">
        <Text>
          A .json that this application saved, or a .csv of weighed loads, one line a wheel or axle: you see line by
          line what it would do before anything is done. A .zip with everything in it is taken in at once; what is here
          already stays as it is. All of a file is taken in, or nothing.
        </Text>
        {state.kind === 'idle' && <OpenImports items={open} />}
        {state.kind !== 'working' && <FilePicker label="Choose a file" accept=".zip,.json,.csv,.txt" onPick={ask} />}
        {state.kind === 'working' && (
          <>
            <Progress label={state.what} done={state.done} total={state.total} />
            <Action label="Stop" onPress={() => cancel.current?.abort()} />
          </>
        )}
        {state.kind === 'failed' && (
          <Text role="alert" tone="rust">
            {state.text}
          </Text>
        )}
      </Panel>
      {state.kind === 'archive' && (
        <Panel title="This archive would">
          <Text>
            {`Add everything in ${state.file.name} that is not here: rigs, outings, tests and their photos, logs, what was archived. What is here already stays as it is.`}
          </Text>
          <Action kind="main" label="Take it in" onPress={() => takeArchive(state.file)} />
        </Panel>
      )}
      {state.kind === 'rows' && <Rows outcome={state.outcome} onTake={() => takeRows(state.file)} />}
      {state.kind === 'lines' && (
        <Lines lines={state.lines} done={state.done} onTake={() => takeLines(state.file, state.done.digest)} />
      )}
      <Panel title="Save">
        <Everything />
        <Action
          icon="download"
          label="Rigs and what was done, as text (.json)"
          onPress={() => void saveAsFile('/export', 'dunlinmoss.json')}
        />
        <Action icon="download" label="All loads, as a table" onPress={() => void saveTable()} />
        <Text as="small" tone="muted">
          The table has the columns rig, load case, axle, wheel, load kg and how. It may come back with semicolons,
          decimal commas or a “load lb” column.
        </Text>
      </Panel>
      <ThisDevice />
      <KeepingLogs />
      <DemoBack />
    </BesideList>
  );
}

type Whole =
  | { readonly at: 'idle'; readonly text?: string }
  | { readonly at: 'working'; readonly text: string }
  | { readonly at: 'ready'; readonly path: string; readonly bytes: number };

/** Everything as one file: put together at the store first, then fetched by the browser, which goes on where a line breaks. */
function Everything() {
  const [whole, setWhole] = useState<Whole>({ at: 'idle' });
  const cancel = useRef<AbortController | undefined>(undefined);
  useEffect(() => () => cancel.current?.abort(), []);
  const begin = async (): Promise<void> => {
    cancel.current = new AbortController();
    const { signal } = cancel.current;
    setWhole({ at: 'working', text: puttingTogetherText(0) });
    try {
      const { path, bytes } = await putTogether({
        signal,
        onEvent: ({ written }) => setWhole({ at: 'working', text: puttingTogetherText(written) }),
        onWaiting: () => setWhole({ at: 'working', text: OUT_WAITS }),
      });
      setWhole({ at: 'ready', path, bytes });
      saveFrom(path);
    } catch (error) {
      const isStopped = error instanceof ImportFailed && error.failure.code === 'cancelled';
      setWhole({ at: 'idle', text: isStopped ? OUT_STOPPED : OUT_FAILED });
    }
  };
  if (whole.at === 'working') {
    return (
      <>
        <Text role="status">{whole.text}</Text>
        <Action label="Stop putting it together" onPress={() => cancel.current?.abort()} />
      </>
    );
  }
  return (
    <>
      <Action icon="download" label="Everything, photos and logs too (.zip)" onPress={() => void begin()} />
      {whole.at === 'ready' && (
        <>
          <Text role="status">
            {`It is ready, ${fileSizeText(whole.bytes)}, as the store had it just now, and your browser fetches it. If that breaks off, fetch it once more within the hour.`}
          </Text>
          <Action label="Fetch it once more" onPress={() => saveFrom(whole.path)} />
        </>
      )}
      {whole.at === 'idle' && whole.text !== undefined && <Text role="alert">{whole.text}</Text>}
    </>
  );
}

/** The demo machines that were put away, with the way back. */
function DemoBack() {
  const { rows, whole } = useArchived('rigs');
  const demo = rows.filter((rig) => rig.demo);
  if (demo.length === 0) return null;
  const back = async (): Promise<void> => {
    await bringDemoBack(demo);
    notify('The demo machines are back.');
  };
  return (
    <Panel title="Demo">
      <Text>
        {whole
          ? `${demo.length === 1 ? 'One demo machine is' : `${demo.length} demo machines are`} hidden.`
          : 'The demo is being hidden …'}
      </Text>
      <Action label="Bring the demo back" disabled={!whole} onPress={() => void back()} />
    </Panel>
  );
}
