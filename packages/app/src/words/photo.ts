import type { PrintProblem, PrintStage } from '@dunlinmoss/core';

/** What a photo is refused for, and what to do. */
export function photoProblemText(
  problem: PrintProblem | { readonly code: 'notAPhoto' | 'tooLarge' | 'notMarked' },
): string {
  switch (problem.code) {
    case 'notAPhoto':
      return 'This file is no photo that can be read, or it is broken. Expected a JPEG or PNG.';
    case 'tooLarge':
      return 'This photo is larger than can be read here. Take one of 12 megapixels or so, or make it smaller first.';
    case 'notMarked':
    case 'noReference':
      return 'Nothing in the photo has a known length yet. Drag the marks onto the corners of the sheet, or onto two points of a tape, and say how far apart they are. With none in the picture, take the photo again with one beside the print.';
    case 'crossedCorners':
      return 'The corners cross each other. Put them one after the other round the sheet, beginning at its top left.';
    case 'referenceTooSmall':
      return `The marks lie too close together: they have to be ${problem.leastPx} pixels apart at least. Go nearer, or mark something longer.`;
    case 'tooDark':
      return 'The paper is too dark to see the ink on it. Take the photo again in more light, without your shadow on it.';
    case 'tooFaint':
      return 'Ink and paper look alike. Say whether the mark is dark or light, or print again with more paint.';
    case 'nothingFound':
      return 'No print was found inside the marks. Look whether the corners are those of the sheet that it is on.';
    case 'cutByFrame':
      return 'The print runs over the edge of the sheet or the photo. The whole print has to be inside: use a larger sheet, or step back.';
    case 'twoPrints':
      return `There are ${problem.found} prints on this sheet. Cover all but one, or photograph them one at a time.`;
  }
}

export const STAGE_WORDS: Record<PrintStage, string> = {
  flatten: 'Taking perspective out',
  ink: 'Telling ink from paper',
  outline: 'Finding the outline',
  measure: 'Measuring',
};
export const STAGES: readonly PrintStage[] = ['flatten', 'ink', 'outline', 'measure'];
