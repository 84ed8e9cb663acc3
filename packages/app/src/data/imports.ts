import {
  importOutcome,
  openImports,
  problem,
  type ArchiveEvent,
  type ImportOutcome,
  type ImportState,
  type LoadsEvent,
  type LogEvent,
  type OpenImport,
  type Problem,
  type Sheets,
} from '@dunlinmoss/contract';

import useSWR from 'swr';
import { v5 as uuidFrom } from 'uuid';

import { apiHere } from '../settings/who';
import { reachStore } from './client';
import { newId } from './newId';

/** What an import came to, when it came to nothing. */
export type ImportFailure =
  | { readonly code: 'away' }
  | { readonly code: 'cancelled' }
  /** It was to be stopped when all of it had come. */
  | { readonly code: 'underWay' }
  | { readonly code: 'notJson' }
  /** It came to nothing at the server, which is not said to be the person's fault. */
  | { readonly code: 'failed' }
  | { readonly code: 'refused'; readonly problem: Problem };

/** Thrown by the imports below; caught by the screen that asked. */
export class ImportFailed extends Error {
  constructor(readonly failure: ImportFailure) {
    super(failure.code);
  }
}

async function send(path: string, type: string, body: Blob, signal: AbortSignal): Promise<Response> {
  try {
    const response = await fetch(apiHere() + path, { method: 'POST', headers: { 'content-type': type }, body, signal });
    if (response.ok) {
      reachStore.set(true);
      return response;
    }
    const told = problem.safeParse(await response.json());
    if (!told.success || told.data.status >= 500) throw new ImportFailed({ code: 'away' });
    throw new ImportFailed({ code: 'refused', problem: told.data });
  } catch (error) {
    if (error instanceof ImportFailed) throw error;
    throw new ImportFailed({ code: signal.aborted ? 'cancelled' : 'away' });
  }
}

async function parsed(file: Blob): Promise<void> {
  try {
    JSON.parse(await file.text());
  } catch {
    throw new ImportFailed({ code: 'notJson' });
  }
}

/** Says what an import of a file of rigs and all else would do (a dry run). */
export async function previewFile(file: Blob, signal: AbortSignal): Promise<ImportOutcome> {
  await parsed(file);
  return importOutcome.parse(await (await send('/import?preview=true', 'application/json', file, signal)).json());
}

/** Imports a file of rigs and all else; see `importLong`. */
export async function importFile(file: File, signal: AbortSignal, onWaiting: () => void): Promise<ImportOutcome> {
  let outcome: ImportOutcome | undefined;
  await importLong({
    path: '/import',
    whole: true,
    type: 'application/json',
    file,
    signal,
    onWaiting,
    read: async (response) => {
      outcome = importOutcome.parse(await response.json().catch(() => brokenOff(signal)));
      return true;
    },
  });
  return outcome!;
}

/** Says what an import of a table of loads would do (a dry run). Each event is handed over as it comes. */
export async function previewLoads(
  file: Blob,
  signal: AbortSignal,
  onEvent: (event: LoadsEvent) => void,
): Promise<void> {
  await eachLine(await send('/import/loads', 'text/csv', file, signal), signal, onEvent);
}

/** Imports a table of loads as it was shown: that by its digest. Each event is handed over as it comes; see `importLong`. */
export const importLoads = (file: File, digest: string, { onEvent, ...hands }: Hands<LoadsEvent>): Promise<void> =>
  importLong({
    path: `/import/loads?apply=${digest}`,
    whole: true,
    type: 'text/csv',
    file,
    ...hands,
    read: eachOf(onEvent, hands.signal),
  });

/** Has a rig's log read in from a table. Each event is handed over as it comes; see `importLong`. */
export const importLog = (rigId: string, file: File, { onEvent, ...hands }: Hands<LogEvent>): Promise<void> =>
  importLong({
    path: `/import/log/${rigId}`,
    type: 'text/csv',
    file,
    ...hands,
    read: eachOf(onEvent, hands.signal),
  });

/** Has an archive of everything read in. Each event is handed over as it comes; see `importLong`. */
export const importArchive = (file: File, { onEvent, ...hands }: Hands<ArchiveEvent>): Promise<void> =>
  importLong({
    path: '/archive',
    type: 'application/zip',
    file,
    ...hands,
    read: eachOf(onEvent, hands.signal),
  });

/** Names of imports are made in it. Any, as long as it stays. */
const NAMES = '0192f000-0000-7000-8000-00000000a5e0';
/** Why an import is aborted where its screen was only left: what has come waits for whoever chooses the file again. */
export const LEFT = 'left';
/** So long it is waited before the server is tried again, ms; the last again and again. */
const AGAIN_MS = [1_000, 2_000, 4_000];
/** How often it is asked how far a file is, ms. */
const LOOK_MS = 300;

/** What a screen hands in. */
interface Hands<Event> {
  readonly signal: AbortSignal;
  readonly onEvent: (event: Event) => void;
  /** The server is away: it is gone on with by itself once it is back. */
  readonly onWaiting: () => void;
}

interface LongImport extends Pick<Hands<never>, 'signal' | 'onWaiting'> {
  readonly path: string;
  /** All of it is sent each time: it is not so long. */
  readonly whole?: true;
  readonly type: string;
  readonly file: File;
  /** Reads an answer. Whether that was the end. */
  readonly read: (response: Response) => Promise<boolean>;
}

/**
 * Sends a file of any length and hands over what the server says of it until it has ended. Where the line breaks it goes on
 * from what has come; so does the same file when it is chosen again, also after a reload. To cancel is to abort: nothing
 * of it stays, unless all of it has come by then.
 */
async function importLong({ path, whole, type, file, signal, onWaiting, read }: LongImport): Promise<void> {
  const name = uuidFrom(`${path} ${file.name} ${file.size} ${file.lastModified}`, NAMES);
  const own = `/imports/${name}`;
  const address = `${path}${path.includes('?') ? '&' : '?'}as=${name}`;
  let isFirst = true;
  for (let failed = 0; ;) {
    try {
      let state = await importStateOf(own, signal);
      // It was chosen before and ended: chosen again, it is meant anew.
      if (isFirst && (state?.state === 'done' || state?.state === 'refused')) {
        await ask(own, { method: 'DELETE', signal });
        state = null;
      }
      isFirst = false;
      const come = state?.bytes ?? 0;
      const rest = state === null || state.state === 'coming' ? file.slice(come) : new Blob([]);
      const from = state?.state === 'coming' ? come : 0;
      const answer = whole
        ? await send(address, type, file, signal)
        : await send(`${address}&from=${from}`, type, rest, signal);
      if (await read(answer)) return;
      failed = 0;
    } catch (error) {
      if (!(error instanceof ImportFailed)) throw error;
      if (error.failure.code === 'cancelled') throw await stopped(own, signal);
      if (error.failure.code !== 'away' && !isElsewhere(error.failure)) throw error;
    }
    if (signal.aborted) throw await stopped(own, signal);
    onWaiting();
    await pause(AGAIN_MS[Math.min(failed, AGAIN_MS.length - 1)]!, signal);
    failed += 1;
  }
}

/** Reads an answer of one value a line. That the server's own store was away is no end. */
const eachOf =
  <Event extends object>(onEvent: (event: Event) => void, signal: AbortSignal): LongImport['read'] =>
  async (response) => {
    let ended = false;
    await eachLine<Event>(response, signal, (event) => {
      if (isAway(event)) return;
      ended ||= 'done' in event || 'problem' in event;
      onEvent(event);
    });
    return ended;
  };

/** How often it is asked again while something comes in, ms. */
const OPEN_MS = 1_000;

/** What comes in just now, from whichever device; empty where the server is away. */
export function useOpenImports(): readonly OpenImport[] {
  const { data } = useSWR('imports', async () => openImports.parse(await (await ask('/imports', {})).json()).items, {
    refreshInterval: (items) => (items && items.length > 0 ? OPEN_MS : 0),
    shouldRetryOnError: false,
  });
  return data ?? [];
}

/** A file that lies at the server, for an hour, and how large it is, bytes. */
export interface FileAtServer {
  readonly path: string;
  readonly bytes: number;
}

/** Has everything put together as one file at the server. */
export function putTogether({
  signal,
  onEvent,
  onWaiting,
}: Hands<{ readonly written: number }>): Promise<FileAtServer> {
  return haveMade({
    nameOf: newId,
    ask: (id) => ({ path: `/archives/${id}`, init: { method: 'PUT' } }),
    signal,
    onState: ({ bytes }) => onEvent({ written: bytes }),
    onWaiting,
  });
}

/**
 * Has sheets laid out as one PDF at the server. The same again within the hour is there already. Throws `ImportFailed` with
 * `away` where nobody answers: a device can lay them out by itself.
 */
export function layOutAtServer(
  sheets: Sheets,
  { signal, onEvent }: Omit<Hands<{ readonly made: number }>, 'onWaiting'>,
): Promise<FileAtServer> {
  const body = JSON.stringify(sheets);
  const id = uuidFrom(body, NAMES);
  return haveMade({
    nameOf: () => id,
    ask: () => ({
      path: `/papers/${id}`,
      init: { method: 'PUT', headers: { 'content-type': 'application/json' }, body },
    }),
    signal,
    onState: ({ told }) => onEvent({ made: (told as { readonly made: number } | null)?.made ?? 0 }),
  });
}

interface Making extends Pick<Hands<never>, 'signal'> {
  /** The name of a new one. */
  readonly nameOf: () => string;
  /** How it is asked for, and where it lies then. */
  readonly ask: (id: string) => { readonly path: string; readonly init: RequestInit };
  readonly onState: (state: ImportState) => void;
  /** The server is away: it is waited for. Where there is none, that is the end. */
  readonly onWaiting?: () => void;
}

async function haveMade({ nameOf, ask: asking, signal, onState, onWaiting }: Making): Promise<FileAtServer> {
  let id = nameOf();
  let isBegun = false;
  for (let failed = 0; ;) {
    const { path, init } = asking(id);
    try {
      if (!isBegun) {
        const begun = await ask(path, { ...init, signal });
        if (!begun.ok) throw new ImportFailed({ code: 'refused', problem: problem.parse(await begun.json()) });
        isBegun = true;
      }
      const state = await importStateOf(`/imports/${id}`, signal);
      if (state?.state === 'refused') throw new ImportFailed({ code: 'failed' });
      // Forgotten: it is begun anew.
      if (state === null) {
        id = nameOf();
        throw new ImportFailed({ code: 'away' });
      }
      if (state.state === 'done') return { path, bytes: state.bytes };
      onState(state);
      failed = 0;
      await pause(LOOK_MS, signal);
    } catch (error) {
      if (!(error instanceof ImportFailed) || error.failure.code !== 'away' || !onWaiting) throw error;
      isBegun = false;
      onWaiting();
      await pause(AGAIN_MS[Math.min(failed, AGAIN_MS.length - 1)]!, signal);
      failed += 1;
    }
    if (signal.aborted) throw new ImportFailed({ code: 'cancelled' });
  }
}

const isAway = (event: object): boolean =>
  'problem' in event && (event.problem as { code?: unknown }).code === 'databaseAway';

/** Another tab sends the same file and has come further: that is asked for anew. */
const isElsewhere = (failure: ImportFailure): boolean =>
  failure.code === 'refused' && failure.problem.fields?.some(({ code }) => code === 'otherMark') === true;

/** Has what came of an import forgotten. What that came to. */
async function stopped(own: string, { reason }: AbortSignal): Promise<ImportFailed> {
  if (reason === LEFT) return new ImportFailed({ code: 'cancelled' });
  const answer = await fetch(apiHere() + own, { method: 'DELETE' }).catch(() => undefined);
  // Where the server is away it forgets by itself in a few days.
  return new ImportFailed({ code: answer?.status === 409 ? 'underWay' : 'cancelled' });
}

async function importStateOf(own: string, signal: AbortSignal): Promise<ImportState | null> {
  const answer = await ask(own, { signal });
  return answer.status === 404 ? null : ((await answer.json()) as ImportState);
}

/** Asks about an import. Throws `ImportFailed` where nobody answers. */
async function ask(path: string, init: RequestInit): Promise<Response> {
  const answer = await fetch(apiHere() + path, init).catch(() => undefined);
  if (answer && answer.status < 500) return answer;
  throw new ImportFailed({ code: init.signal?.aborted ? 'cancelled' : 'away' });
}

const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      resolve();
    });
  });

/** Hands over each JSON value of an answer that has one a line, as it comes. */
async function eachLine<Event>(
  response: Response,
  signal: AbortSignal,
  onEvent: (event: Event) => void,
): Promise<void> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      const lines = (rest + value).split('\n');
      rest = lines.pop()!;
      for (const line of lines) onEvent(JSON.parse(line) as Event);
    }
  } catch {
    brokenOff(signal);
  }
}

/** The line broke in the middle of an answer, or it is not wanted any more. */
function brokenOff(signal: AbortSignal): never {
  throw new ImportFailed({ code: signal.aborted ? 'cancelled' : 'away' });
}
