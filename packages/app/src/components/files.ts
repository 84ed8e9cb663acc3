import { notify } from './Notice';
import { request } from '../data/client';
import { apiHere } from '../settings/who';

/** Hands a person a file to keep. */
export function giveFile(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has begun to read it by then.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** A file's name from a name that may have anything in it. */
export const fileName = (name: string, ending: string): string =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'dunlinmoss'}.${ending}`;

/** Hands over a table as a file for a spreadsheet. A cell that it would run as a formula is written as text. */
export async function saveTable(name: string, cells: readonly (readonly string[])[]): Promise<void> {
  try {
    const { default: papa } = await import('papaparse');
    const plain = cells.map((row) => row.map((cell) => cell.replaceAll('\u00a0', ' ')));
    giveFile(fileName(name, 'csv'), new Blob([papa.unparse(plain, { escapeFormulae: true })], { type: 'text/csv' }));
  } catch {
    notify('The table could not be made just now: what makes it can’t be fetched.');
  }
}

/** Fetches what the server exports and hands it over. */
export async function saveAsFile(path: string, name: string): Promise<void> {
  try {
    const exported = await request('GET', path);
    giveFile(name, new Blob([JSON.stringify(exported, null, 2)], { type: 'application/json' }));
  } catch {
    notify("The store can't be reached: nothing to save just now.");
  }
}

/** Has the browser itself fetch a file that may be larger than memory. */
export function saveFrom(path: string): void {
  const link = document.createElement('a');
  link.href = `${apiHere()}${path}`;
  link.download = '';
  link.click();
}
