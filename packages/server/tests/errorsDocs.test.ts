import { readFileSync } from 'node:fs';
import path from 'node:path';

import { PROBLEM_CODES } from '@dunlinmoss/contract';

const page = readFileSync(path.resolve(__dirname, '../../../docs/errors.md'), 'utf8');

describe('docs/errors.md', () => {
  it('has a row for every reason that the API can give, and for no other', () => {
    const told = [...page.matchAll(/^\| `(\w+)` +\|/gm)].map(([, code]) => code);
    expect(told.sort()).toEqual([...PROBLEM_CODES].sort());
  });
});
