import type { Sheets } from '@dunlinmoss/contract';
import { SourceSans3_400Regular } from '@expo-google-fonts/source-sans-3/400Regular';
import { SourceSans3_600SemiBold } from '@expo-google-fonts/source-sans-3/600SemiBold';
import { Asset } from 'expo-asset';

import { makePdf } from '../workers/sheetWork';

const bytesOf = async (font: number): Promise<ArrayBuffer> => (await fetch(Asset.fromModule(font).uri)).arrayBuffer();

/** Sheets as one PDF, made by this device. Throws where what makes it can't be fetched. */
export async function pdfHere(sheets: Sheets): Promise<Blob> {
  const [text, strong] = await Promise.all([bytesOf(SourceSans3_400Regular), bytesOf(SourceSans3_600SemiBold)]);
  return new Blob([(await makePdf(sheets, { text, strong })) as BlobPart], { type: 'application/pdf' });
}
