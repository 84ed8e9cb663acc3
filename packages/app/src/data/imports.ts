import {
  importOutcome,
  problem,
  type ArchiveEvent,
  type ImportOutcome,
  type ImportState,
  type LoadsEvent,
  type LogEvent,
  type Problem,
} from '@dunlinmoss/contract';

import { v5 as uuidFrom } from 'uuid';

import { apiHere } from '../settings/who';
import { reachStore } from './client';

/** What an import came to, when it came to nothing. */
export type ImportFailure =
  | { readonly code: 'away' }
  | { readonly code: 'cancelled' }
  /** It was to be stopped when all of it had come. */
  | { readonly code: 'underWay' }
  | { readonly code: 'notJson' }
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

/** Imports a file of rigs and all else, or only reports what that would do (a dry run). */
export async function importFile(file: Blob, preview: boolean, signal: AbortSignal): Promise<ImportOutcome> {
  try {
    JSON.parse(await file.text());
  } catch {
    throw new ImportFailed({ code: 'notJson' });
  }
  const response = await send(`/import${preview ? '?preview=true' : ''}`, 'application/json', file, signal);
  return importOutcome.parse(await response.json());
}

/**
 * Imports a table of loads, or, without a digest, only reports what that would do (a dry run). Each event is handed over as it
 * comes. To cancel is to abort: the server then takes back what it had begun.
 */
export async function importLoads(
  file: Blob,
  digest: string | undefined,
  signal: AbortSignal,
  onEvent: (event: LoadsEvent) => void,
): Promise<void> {
  const path = digest === undefined ? '/import/loads' : `/import/loads?apply=${digest}`;
  await eachLine(await send(path, 'text/csv', file, signal), signal, onEvent);
}

/** Has a rig's log read in from a table. Each event is handed over as it comes; see `importLong`. */
export const importLog = (
  rigId: string,
  file: File,
  signal: AbortSignal,
  onEvent: (event: LogEvent) => void,
  onWaiting: () => void,
): Promise<void> => importLong({ path: `/import/log/${rigId}`, type: 'text/csv', file, signal, onEvent, onWaiting });

/** Has an archive of everything read in. Each event is handed over as it comes; see `importLong`. */
export const importArchive = (
  file: File,
  signal: AbortSignal,
  onEvent: (event: ArchiveEvent) => void,
  onWaiting: () => void,
): Promise<void> => importLong({ path: '/archive', type: 'application/zip', file, signal, onEvent, onWaiting });

/** Names of imports are made in it. Any, as long as it stays. */
const NAMES = '0192f000-0000-7000-8000-00000000a5e0';
/** Why an import is aborted where its screen was only left: what has come waits for whoever chooses the file again. */
export const LEFT = 'left';
/** So long it is waited before the server is tried again, ms; the last again and again. */
const AGAIN_MS = [1_000, 2_000, 4_000];

interface LongImport<Event> {
  readonly path: string;
  readonly type: string;
  readonly file: File;
  readonly signal: AbortSignal;
  readonly onEvent: (event: Event) => void;
  /** The server is away: it is gone on with by itself once it is back. */
  readonly onWaiting: () => void;
}

/**
 * Sends a file of any length and hands over what the server says of it until it has ended. Where the line breaks it goes on
 * from what has come; so does the same file when it is chosen again, also after a reload. To cancel is to abort: nothing
 * of it stays, unless all of it has come by then.
 */
async function importLong<Event extends object>(parts: LongImport<Event>): Promise<void> {
  const { path, type, file, signal, onEvent, onWaiting } = parts;
  const name = uuidFrom(`${path} ${file.name} ${file.size} ${file.lastModified}`, NAMES);
  const own = `/imports/${name}`;
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
      let ended = false;
      await eachLine<Event>(await send(`${path}?as=${name}&from=${from}`, type, rest, signal), signal, (event) => {
        if (isAway(event)) return;
        ended ||= 'done' in event || 'problem' in event;
        onEvent(event);
      });
      if (ended) return;
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
    throw new ImportFailed({ code: signal.aborted ? 'cancelled' : 'away' });
  }
}
