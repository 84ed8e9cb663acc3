import { execFileSync } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const PAINTER = path.join(path.dirname(fileURLToPath(import.meta.url)), 'paintPrint.ts');

/** What is photographed, and from where. */
export interface Question {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly width: number;
  readonly height: number;
  /** Corners of the sheet as shares of the photo seen the right way up, from the top left round. */
  readonly corners: readonly (readonly [number, number])[];
}

export interface TakenPhoto extends Question {
  readonly jpeg: Buffer;
}

const CORNERS = [
  [0.14, 0.1],
  [0.88, 0.07],
  [0.94, 0.93],
  [0.08, 0.9],
] as const;

/** A phone's photo of a print whose length and width are known exactly. */
export function photoOfPrint(lengthMm: number, widthMm: number): TakenPhoto {
  const question: Question = { lengthMm, widthMm, width: 900, height: 1200, corners: CORNERS };
  const jpeg = execFileSync(process.execPath, ['--import', 'tsx', PAINTER, JSON.stringify(question)], {
    maxBuffer: 20e6,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return { ...question, jpeg };
}
