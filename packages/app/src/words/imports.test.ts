import { RESOURCE_NAMES, type ArchiveCounts, type LoadsOutcome } from '@dunlinmoss/contract';

import { FIRST_UNITS, type Units } from '../settings/preferences';
import {
  archiveDoneText,
  archiveProblemText,
  failureText,
  fileSizeText,
  lineText,
  loadsDoneText,
  openImportText,
  rowText,
  tableProblemText,
} from './imports';

const units: Units = FIRST_UNITS;
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');
const outcome = (change: Partial<LoadsOutcome>): LoadsOutcome => ({
  line: 7,
  action: 'add',
  rig: 'Knot',
  loadCase: 'Full',
  position: 'rear2',
  part: 'leftOuter',
  loadKg: 612.4,
  ...change,
});

describe('lineText', () => {
  it.each([
    [{}, 'Line 7: Knot, Full, second rear, left outer: 612 kg is added.'],
    [{ newCase: true }, 'Line 7: Knot, Full, second rear, left outer: 612 kg is added, in a new load case.'],
    [{ action: 'change', beforeKg: 590 }, 'Line 7: Knot, Full, second rear, left outer: 590 kg becomes 612 kg.'],
    [{ action: 'same' }, 'Line 7: Knot, Full, second rear, left outer: 612 kg, the same already.'],
    [{ action: 'leave' }, 'Line 7: Knot, Full, second rear, left outer: 612 kg, an estimate: left alone.'],
    [
      { action: 'refuse', problem: 'unknownAxle', position: 'mid', part: '', loadKg: null },
      'Line 7: Knot, Full, mid: expected front, rear, rear2, trailer, trailer2 or trailer3.',
    ],
  ] as const)('%j', (change, text) => {
    expect(plain(lineText(outcome(change as Partial<LoadsOutcome>), units))).toBe(text);
  });
});

describe('rowText', () => {
  it.each([
    ['add', 'Rig “Knot”: new, is added'],
    ['same', 'Rig “Knot”: here already, the same'],
    ['keepOurs', 'Rig “Knot”: here already and different, yours stays'],
  ] as const)('%s: %s', (action, text) => {
    expect(rowText({ kind: 'rigs', index: 0, name: 'Knot', action })).toBe(text);
  });
});

describe('failureText', () => {
  it('names the row, the field and what was expected', () => {
    const problem = {
      type: 'x',
      title: 'x',
      status: 400,
      code: 'invalid' as const,
      fields: [
        { path: '/rigs/3/axles/0/roadKpa', code: 'too_big', message: '', limit: 2000 },
        { path: '/rigs/4/name', code: 'too_small', message: '', limit: 1 },
      ],
    };
    expect(plain(failureText({ code: 'refused', problem }, units))).toBe(
      'Nothing was taken in: rig 4, axles 0 roadKpa: Expected 290 psi or less. Check the unit. (and 1 more)',
    );
  });

  it.each(['away', 'cancelled', 'notJson'] as const)('%s ends in a way on', (code) => {
    expect(failureText({ code }, units)).toMatch(/^[A-Z].*\.$/);
  });
});

describe('tableProblemText', () => {
  it('says which columns are missing and which were found', () => {
    const text = tableProblemText({
      code: 'columnMissing',
      columns: ['axle', 'load kg'],
      found: ['rig', 'colour'],
    } as never);
    expect(text).toBe('Expected the columns “axle”, “load kg”. Found: rig, colour.');
  });

  it.each(['empty', 'linesRefused', 'changedSince', 'databaseAway', 'serverStopped', 'internal'])(
    '%s is a sentence',
    (code) => {
      expect(tableProblemText({ code })).toMatch(/^[A-Z].*\.$/);
    },
  );
});

describe('what an archive came to', () => {
  const none = Object.fromEntries(
    [...RESOURCE_NAMES, 'log', 'photos'].map((part) => [part, { added: 0, alreadyThere: 3 }]),
  ) as ArchiveCounts;

  it.each([
    [none, 'Everything in it was here already.'],
    [{ ...none, rigs: { added: 1, alreadyThere: 0 } }, 'Added: 1 rig.'],
    [
      { ...none, tests: { added: 2, alreadyThere: 0 }, log: { added: 12_000, alreadyThere: 0 } },
      'Added: 2 tests, 12,000 readings of monitors.',
    ],
  ])('is told in a sentence', (counts, text) => {
    expect(archiveDoneText(counts)).toBe(text);
    expect(archiveDoneText(counts, 'noDigest')).toBe(
      `${text} It is of an earlier version, which damage shows in less surely: look it over.`,
    );
  });

  it.each([
    [{ code: 'lineRefused', part: 'outings', line: 7 } as const, 'Line 7 of the outings in it can’t be read.'],
    [{ code: 'notAnArchive' } as const, 'This is no archive that this application saved, or it is damaged.'],
    [{ code: 'missingReference' } as const, 'Something in it points at something that is not in it.'],
    [{ code: 'internal' } as const, 'nothing is taken in twice'],
    [{ code: 'diskFull' } as const, 'The disk of the server is full'],
    [{ code: 'serverStopped' } as const, 'does not try a third time'],
    [
      { code: 'spaceFull', part: 'photos' } as const,
      'With the photos in it there would be more than there is room for.',
    ],
  ])('%j is explained', (problem, text) =>
    expect(archiveProblemText(problem).replace("can't", 'can’t')).toContain(text),
  );
});

describe('what a table of loads came to', () => {
  it('says what was left out of it', () => {
    const counts = { add: 1_200, change: 34, same: 5, leave: 1, refuse: 0 };
    expect(loadsDoneText(counts)).toBe('1,234 loads are taken in.');
    expect(loadsDoneText({ ...counts, refuse: 2 })).toMatch(/^1,234 loads are taken in\. 2 lines were left out/);
  });
});

describe('how large a file is', () => {
  it('is told as people say it', () => {
    expect([0, 400, 11_748, 999_499, 1_000_000, 12_345_678, 2_000_000_000].map(fileSizeText)).toEqual([
      '1\u00a0kB',
      '1\u00a0kB',
      '12\u00a0kB',
      '999\u00a0kB',
      '1\u00a0MB',
      '12.3\u00a0MB',
      '2,000\u00a0MB',
    ]);
  });
});

describe('what comes in from before or elsewhere', () => {
  const one = { id: 'i', rigId: null, kind: 'log', state: 'working', bytes: 3_400_000, told: null } as const;
  it('says how far it is, and what one may do', () => {
    expect(openImportText({ ...one, state: 'coming' })).toMatch(
      /^A log is coming in: 3\.4\u00a0MB so far\. .* same file again/,
    );
    expect(openImportText({ ...one, told: { taken: 3, of: 8 } })).toMatch(/taken in \(3 of 8 parts\)\. It goes on/);
    expect(openImportText({ ...one, kind: 'archive', told: { part: 'rigs', progress: 4 } })).toMatch(
      /^An archive has come whole and is being taken in\. /,
    );
  });
});
