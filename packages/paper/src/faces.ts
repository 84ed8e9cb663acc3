import { readFileSync } from 'node:fs';
import path from 'node:path';

import type { SheetFonts } from './sheetsPdf';

/** The two faces of words, read from their package: on a server, in a test, in a bench. A browser fetches them. */
export function facesHere(): SheetFonts {
  const folder = path.dirname(require.resolve('@expo-google-fonts/source-sans-3/package.json'));
  const face = (file: string): ArrayBuffer => new Uint8Array(readFileSync(path.join(folder, file))).buffer;
  return {
    text: face('400Regular/SourceSans3_400Regular.ttf'),
    strong: face('600SemiBold/SourceSans3_600SemiBold.ttf'),
  };
}
