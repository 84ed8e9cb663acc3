import { PROBLEM_CODES, type Problem } from '@dunlinmoss/contract';

import { credentialProblems, peopleProblemText } from './people';

const problem = (change: Partial<Problem>): Problem => ({
  type: 'urn:x',
  title: 'As the server says it',
  status: 400,
  code: 'invalid',
  ...change,
});

describe('peopleProblemText', () => {
  it.each(PROBLEM_CODES)('has a sentence for %s', (code) => {
    expect(peopleProblemText(problem({ code }))).toMatch(/^[A-Z].+\.$/);
  });

  it('says for how long, in whole minutes', () => {
    expect(peopleProblemText(problem({ code: 'tooManyTries', retryAfterS: 61 }))).toContain('in 2 min');
    expect(peopleProblemText(problem({ code: 'tooManyTries' }))).toContain('in 1 min');
  });
});

describe('credentialProblems', () => {
  const field = (path: string, code: string) => ({ path, code, message: 'x' });

  it('says beside each field what it expects, wherever it stands in what was sent', () => {
    const fields = [field('/person/name', 'nameMixed'), field('/person/passphrase', 'too_small')];
    const { name, passphrase } = credentialProblems(problem({ fields }));
    expect(name).toMatch(/^Expected letters of one alphabet/);
    expect(passphrase).toMatch(/^Expected at least 12 characters/);
    expect(credentialProblems(problem({ fields: [field('/name', 'too_small')] })).name).toMatch(/2 to 40 letters/);
  });

  it('says nothing of fields that are as expected', () => expect(credentialProblems(problem({}))).toEqual({}));
});
