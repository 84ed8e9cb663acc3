import {
  outlineFigures,
  type OutlineFigures,
  type OutlineMm,
  type PointPx,
  type PrintQuestion,
  type PrintStage,
  type Reference,
} from '@dunlinmoss/core';

import { canonicalOf, quantityText, type QuantityText } from '../../../components/quantityText';
import type { Units } from '../../../settings/preferences';

/** Sheets that lie about, short side first, mm. Exact: ISO 216; the last is a common size across another ocean. */
const SHEETS = {
  A4: [210, 297],
  A3: [297, 420],
  letter: [215.9, 279.4],
} as const;
export type SheetCode = keyof typeof SHEETS | 'own';

/** A photo that is open, px. */
export interface OpenPhoto {
  readonly src: string;
  readonly width: number;
  readonly height: number;
}

/** The print that was found in it. */
export interface FoundPrint extends OutlineFigures {
  readonly netMm2: number | null;
  /** Ink beside the outline, as a share of all. */
  readonly leftOutShare: number;
  /** Its outline is none that a tire makes. */
  readonly isOdd: boolean;
  readonly outline: OutlineMm;
}

/** What must be entered about a photo before the print in it can be measured. */
export interface PhotoQuestion extends Pick<PrintQuestion, 'mark' | 'drawn' | 'rolls'> {
  readonly kind: Reference['kind'];
  readonly sheet: SheetCode;
  readonly lying: 'upright' | 'across';
  /** Of a tile or a sheet of its own, width and height; of a tape, between the marks. */
  readonly size: readonly [QuantityText, QuantityText];
}

export interface PhotoWork {
  readonly question: PhotoQuestion;
  readonly photo: OpenPhoto | undefined;
  readonly marks: readonly PointPx[];
  /** Whether the marks were moved from where they stand at first. */
  readonly moved: boolean;
  readonly stage: PrintStage | undefined;
  readonly problem: string | undefined;
  readonly found: FoundPrint | undefined;
  readonly mending: boolean;
  readonly keep: boolean;
}

export type PhotoAction =
  | { readonly type: 'choosing' }
  | { readonly type: 'opened'; readonly photo: OpenPhoto }
  | { readonly type: 'failed'; readonly problem: string; readonly unopened?: true }
  | { readonly type: 'tell'; readonly part: Partial<PhotoQuestion> }
  | { readonly type: 'mark'; readonly index: number; readonly to: PointPx }
  | { readonly type: 'stage'; readonly stage: PrintStage | undefined }
  | { readonly type: 'found'; readonly found: FoundPrint }
  | { readonly type: 'mend'; readonly outline: OutlineMm }
  | { readonly type: 'ink'; readonly netMm2: number | null }
  | { readonly type: 'mending'; readonly mending: boolean }
  | { readonly type: 'keep'; readonly keep: boolean }
  | { readonly type: 'markAnew' }
  | { readonly type: 'accepted' };

export const newPhotoWork = (units: Units): PhotoWork => ({
  question: {
    kind: 'sheet',
    sheet: 'A4',
    lying: 'upright',
    size: [quantityText('length', units.length, 300), quantityText('length', units.length, 300)],
    mark: 'dark',
    drawn: 'tread',
    rolls: 'upright',
  },
  photo: undefined,
  marks: [],
  moved: false,
  stage: undefined,
  problem: undefined,
  found: undefined,
  mending: false,
  keep: true,
});

/** Where the marks of a kind of reference stand at first. */
function startMarks(kind: Reference['kind'], { width, height }: OpenPhoto): readonly PointPx[] {
  const at = (x: number, y: number): PointPx => [x * width, y * height];
  return kind === 'tape'
    ? [at(0.2, 0.5), at(0.8, 0.5)]
    : [at(0.15, 0.15), at(0.85, 0.15), at(0.85, 0.85), at(0.15, 0.85)];
}

export function photoWork(now: PhotoWork, action: PhotoAction): PhotoWork {
  switch (action.type) {
    case 'choosing':
      return { ...now, problem: undefined, found: undefined, mending: false };
    case 'opened':
      return { ...now, photo: action.photo, marks: startMarks(now.question.kind, action.photo), moved: false };
    case 'failed':
      return { ...now, stage: undefined, problem: action.problem, ...(action.unopened && { photo: undefined }) };
    case 'tell': {
      const question = { ...now.question, ...action.part };
      const anew = action.part.kind !== undefined && now.photo !== undefined;
      return { ...now, question, ...(anew && { marks: startMarks(question.kind, now.photo), moved: false }) };
    }
    case 'mark':
      return { ...now, moved: true, marks: now.marks.with(action.index, action.to) };
    case 'stage':
      return { ...now, stage: action.stage, problem: undefined };
    case 'found':
      return { ...now, stage: undefined, found: action.found };
    case 'mend':
      return now.found
        ? {
            ...now,
            found: {
              ...now.found,
              ...outlineFigures(action.outline, now.question.rolls),
              outline: action.outline,
              leftOutShare: 0,
              // Whoever mended it has looked.
              isOdd: false,
            },
          }
        : now;
    case 'ink':
      return now.found ? { ...now, found: { ...now.found, netMm2: action.netMm2 } } : now;
    case 'mending':
      return { ...now, mending: action.mending };
    case 'keep':
      return { ...now, keep: action.keep };
    case 'markAnew':
      return { ...now, found: undefined, mending: false };
    case 'accepted':
      return { ...now, found: undefined, mending: false, photo: undefined };
  }
}

/** What is marked and how large it is; undefined until a size is entered. */
export function referenceOf({ question, marks }: PhotoWork): Reference | undefined {
  const { kind, sheet, lying, size } = question;
  const [a, b] = size.map((each) => canonicalOf('length', each));
  if (kind === 'tape') return a !== undefined && a > 0 ? { kind, ends: marks, lengthMm: a } : undefined;
  const [short, long] = kind === 'tile' || sheet === 'own' ? [a, b] : SHEETS[sheet];
  if (short === undefined || long === undefined || !(short > 0 && long > 0)) return undefined;
  const across = kind === 'sheet' && sheet !== 'own' && lying === 'across';
  return { kind, corners: marks, widthMm: across ? long : short, heightMm: across ? short : long };
}
