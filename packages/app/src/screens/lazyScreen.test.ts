import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const APP = path.join(__dirname, '../app');
/** Today, what frames every screen, and what an address says that leads nowhere. */
const WITH_THE_FIRST_PAGE = ['+not-found.tsx', '_layout.tsx', 'index.tsx'];

const routes = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.tsx'));

describe('the routes', () => {
  it.each(routes.filter((file) => !WITH_THE_FIRST_PAGE.includes(file)))('%s ships in the second file', (file) => {
    // As CONTRIBUTING says under “Add a screen”; anything else would make the first page larger.
    const lines = readFileSync(path.join(APP, file), 'utf8').trim().split('\n');
    expect(lines).toEqual([
      expect.stringMatching(/^import \{ lazyScreen \} from '(\.\.\/)+screens\/lazyScreen';$/),
      '',
      expect.stringMatching(/^export default lazyScreen\('\w+'\);$/),
    ]);
  });
});
