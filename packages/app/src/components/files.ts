import { notify } from './Notice';
import { request } from '../data/client';

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
  link.href = `/api/v1${path}`;
  link.download = '';
  link.click();
}
