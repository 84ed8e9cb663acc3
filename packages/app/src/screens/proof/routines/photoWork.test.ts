import type { PointPx } from '@dunlinmoss/core';

import { FIRST_UNITS, type Units } from '../../../settings/preferences';
import { newPhotoWork, photoWork, referenceOf, type FoundPrint, type PhotoAction, type PhotoWork } from './photoWork';

const units: Units = FIRST_UNITS;
const photo = { src: 'blob:1', width: 1000, height: 2000 };
const found = { lengthMm: 200, widthMm: 100, grossMm2: 20_000, netMm2: 12_000, leftOutShare: 0.1 } as FoundPrint;
const square: readonly PointPx[] = [
  [0, 0],
  [100, 0],
  [100, 200],
  [0, 200],
];
const after = (...actions: PhotoAction[]): PhotoWork => actions.reduce(photoWork, newPhotoWork(units));
const opened: PhotoAction = { type: 'opened', photo };

describe('photoWork', () => {
  it('starts the marks of what lies in view, and anew when that is another thing', () => {
    expect(after(opened).marks).toHaveLength(4);
    const tape = after(opened, { type: 'mark', index: 0, to: [1, 1] }, { type: 'tell', part: { kind: 'tape' } });
    expect(tape.marks).toHaveLength(2);
    expect(tape.moved).toBe(false);
    // Told something that moves no mark, they stay.
    const told = after(opened, { type: 'mark', index: 0, to: [1, 1] }, { type: 'tell', part: { mark: 'light' } });
    expect([told.marks[0], told.moved]).toEqual([[1, 1], true]);
  });

  it('measures a mended outline anew, with nothing left beside it', () => {
    const mended = after(opened, { type: 'found', found }, { type: 'mend', outline: square });
    expect(mended.found).toMatchObject({ lengthMm: 200, widthMm: 100, grossMm2: 20_000, leftOutShare: 0 });
    expect(photoWork(mended, { type: 'ink', netMm2: 9_000 }).found!.netMm2).toBe(9_000);
    // What is counted after it was given up counts for nothing.
    expect(after(opened, { type: 'ink', netMm2: 9_000 }).found).toBeUndefined();
  });

  it('keeps what was told and marked when the search fails, and drops a photo that can’t be opened', () => {
    const failed = after(opened, { type: 'mark', index: 1, to: [5, 5] }, { type: 'failed', problem: 'no print' });
    expect(failed).toMatchObject({ problem: 'no print', photo, moved: true });
    expect(after(opened, { type: 'failed', problem: 'no photo', unopened: true }).photo).toBeUndefined();
    expect(photoWork(failed, { type: 'choosing' }).problem).toBeUndefined();
  });
});

describe('referenceOf', () => {
  const size = [
    { text: '300', unit: 'mm' as const },
    { text: '400', unit: 'mm' as const },
  ] as const;
  const told = (part: Partial<PhotoWork['question']>) => referenceOf(after(opened, { type: 'tell', part }));

  it.each([
    ['a sheet upright', {}, { kind: 'sheet', widthMm: 210, heightMm: 297 }],
    ['a sheet across', { lying: 'across' }, { kind: 'sheet', widthMm: 297, heightMm: 210 }],
    [
      'a sheet of its own size, as it was typed',
      { sheet: 'own', size, lying: 'across' },
      { widthMm: 300, heightMm: 400 },
    ],
    ['a tile', { kind: 'tile', size }, { kind: 'tile', widthMm: 300, heightMm: 400 }],
    ['a tape', { kind: 'tape', size }, { kind: 'tape', lengthMm: 300 }],
  ] as const)('%s', (_, part, expected) => expect(told(part)).toMatchObject(expected));

  it('waits for a size that was not typed', () => {
    expect(told({ kind: 'tile', size: [{ text: '', unit: 'mm' }, size[1]] })).toBeUndefined();
    expect(told({ kind: 'tape', size: [{ text: '0', unit: 'mm' }, size[1]] })).toBeUndefined();
  });
});
