import {
  importOutcome,
  problem,
  type ArchiveEvent,
  type ImportOutcome,
  type LoadsEvent,
  type LogEvent,
  type Problem,
} from '@dunlinmoss/contract';

import { apiHere } from '../settings/who';
import { reachStore } from './client';

/** What an import came to, when it came to nothing. */
export type ImportFailure =
  | { readonly code: 'away' }
  | { readonly code: 'cancelled' }
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

/** Has a rig's log read in from a table. Each event is handed over as it comes; to cancel is to abort, and nothing stays. */
export async function importLog(
  rigId: string,
  file: Blob,
  signal: AbortSignal,
  onEvent: (event: LogEvent) => void,
): Promise<void> {
  await eachLine(await send(`/import/log/${rigId}`, 'text/csv', file, signal), signal, onEvent);
}

/** Has an archive of everything read in. Each event is handed over as it comes; to cancel is to abort, and nothing stays. */
export async function importArchive(
  file: Blob,
  signal: AbortSignal,
  onEvent: (event: ArchiveEvent) => void,
): Promise<void> {
  await eachLine(await send('/archive', 'application/zip', file, signal), signal, onEvent);
}

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
