import { readFileSync } from 'node:fs';
import path from 'node:path';

interface Instead {
  readonly asked: string;
  readonly by?: string;
  readonly taken: string;
}
const { INSTEAD, taken } = jest.requireActual<{
  INSTEAD: readonly Instead[];
  taken: (asked: string, by: string) => string;
}>('../instead');

/** A library's file, of the version that our own packages have. */
const fileOf = (by: string): string => {
  const [library, ...rest] = by.split('/');
  const paths = [path.join(__dirname, '../../contract')];
  return path.join(path.dirname(require.resolve(`${library}/package.json`, { paths })), ...rest);
};

describe('what the bundler takes in the place of what a library asks for', () => {
  const said = INSTEAD.flatMap((each) => (each.by === undefined ? [] : [{ ...each, by: each.by }]));

  it.each(said)('is asked for still: $asked by $by', ({ asked, by, taken: name }) => {
    const file = fileOf(by);
    expect(readFileSync(file, 'utf8')).toMatch(new RegExp(`(require\\(|from )["']${asked.replaceAll('.', '\\.')}["']`));
    expect(taken(asked, file)).toBe(name);
    // Our own files get what they ask for.
    expect(taken(asked, file.replace('node_modules', 'packages'))).toBe(asked);
  });

  it.each([...new Map(INSTEAD.map((each) => [each.taken, each])).values()])(
    'is there: $taken',
    ({ by, taken: name }) => {
      const from = by === undefined ? __dirname : path.dirname(fileOf(by));
      expect(() => require.resolve(name, { paths: [from] })).not.toThrow();
    },
  );
});
