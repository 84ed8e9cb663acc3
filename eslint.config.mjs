import { readdirSync, readFileSync } from 'node:fs';

import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier/flat';
import { defineConfig } from 'eslint/config';
import globals from 'globals';

/** Imports go one way: core ← contract ← domain ← server and app. Nothing upward, nothing sideways. */
const mayNotImport = (...names) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: names.map((name) => ({
        group: [name, `${name}/**`],
        message: 'Imports go one way: core ← contract ← domain ← server and app.',
      })),
    },
  ],
});
/**
 * The folders of each package, bottom up: each imports from those before it alone, types included, so that no two hang
 * together. A new folder, or file beside them, gets its place here: without one the lint refuses to run.
 */
const LAYERS = {
  core: [
    ...[
      'units',
      'order',
      'result',
      'sources',
      'numerics',
      'atmosphere',
      'gauges',
      'loads',
      'tires',
      'tools',
      'capacity',
      'contact',
    ],
    ...[
      'families',
      'markings',
      'calibrate',
      'findings',
      'grounds',
      'soil',
      'depth',
      'track',
      'valves',
      'working',
      'axle',
      'modifiers',
      'reference',
    ],
    ...['limits', 'schools', 'cautions', 'plan', 'air', 'proof', 'route', 'print'],
    ...['rehearsal', 'index.ts', 'testing'],
  ],
  contract: [
    ...[
      'zod.ts',
      'ranges.ts',
      'quantities.ts',
      'people',
      'marking.ts',
      'problem.ts',
      'testing',
      'resources',
      'changes.ts',
      'devices.ts',
      'log.ts',
      'paper.ts',
      'imports.ts',
      'rig',
      'calculators',
    ],
    ...['answers.ts', 'exchange', 'openapi.ts', 'index.ts', 'api.ts'],
  ],
  domain: [
    ...[
      'gauge',
      'evidence',
      'plan',
      'depth',
      'outing',
      'air',
      'route',
      'rehearsal',
      'book',
      'board',
      'proof',
      'compare',
    ],
    ...['merge', 'index.ts', 'testing'],
  ],
  server: [
    ...[
      'config.ts',
      'threads.ts',
      'lifecycle.ts',
      'devices',
      'limits.ts',
      'logger.ts',
      'places.ts',
      'fairPlaces.ts',
      'securityText.ts',
      'db',
      'store',
      'repositories',
      'live',
    ],
    ...[
      'imports',
      'problems.ts',
      'metrics.ts',
      'people',
      'archive',
      'paper',
      'jobs',
      'space',
      'calculators',
      'overload.ts',
      'sameSite.ts',
      'routes',
      'app.ts',
      'main.ts',
    ],
  ],
  app: [
    ...['settings', 'data', 'words', 'theme', 'workers', 'components', 'forms', 'pictures', 'hooks', 'screens', 'app'],
    'testing',
  ],
};

/** What lies in a folder, but tests and declarations. */
const partsOf = (folder) =>
  readdirSync(new URL(folder, import.meta.url), { withFileTypes: true })
    .filter((entry) => entry.isDirectory() || (/\.tsx?$/.test(entry.name) && !/\.(test|d)\.tsx?$/.test(entry.name)))
    .map(({ name }) => name);
for (const [name, layers] of Object.entries(LAYERS)) {
  const lost = partsOf(`packages/${name}/src/`).filter((part) => !layers.includes(part));
  if (lost.length > 0) throw new Error(`packages/${name}/src: no layer for ${lost.join(', ')}. See LAYERS.`);
}
/** What two screens need is a component, a hook or of the domain: no folder of screens imports from another. */
const SCREENS = partsOf('packages/app/src/screens/').filter((part) => !part.includes('.'));

const zonesOf = (name, order) =>
  order.slice(0, -1).map((folder, place) => ({
    target: `./packages/${name}/src/${folder}`,
    from: order.slice(place + 1).map((later) => `./packages/${name}/src/${later}`),
    message: `Folders of ${name} import from those below them alone: see LAYERS in the lint configuration.`,
  }));
const ZONES = [
  ...Object.entries(LAYERS).flatMap(([name, order]) => zonesOf(name, order)),
  ...SCREENS.map((folder) => ({
    target: `./packages/app/src/screens/${folder}`,
    from: SCREENS.filter((other) => other !== folder).map((other) => `./packages/app/src/screens/${other}`),
    message: 'No folder of screens imports from another: make it a component, a hook, or part of the domain.',
  })),
];

/** What stands above the contract, and what no pure package takes. */
const ABOVE_CONTRACT = [
  ...['@dunlinmoss/domain', '@dunlinmoss/server', '@dunlinmoss/app'],
  ...['react*', 'react-native*', 'expo*', 'node:*'],
];
const OUTSIDE_CORE = ['react*', 'react-native*', 'expo*', 'node:*', 'zod', 'swr'];

/** Codes of families: each has a file of its own by its name. */
const FAMILIES = new URL('packages/core/src/families/', import.meta.url);
const FAMILY_CODES = readdirSync(FAMILIES)
  .filter((name) => readFileSync(new URL(name, FAMILIES), 'utf8').includes('as const satisfies Family;'))
  .map((name) => name.replace('.ts', ''));

export default defineConfig([
  { ignores: ['**/dist/', '**/.expo/', '.data/', 'docs/', '**/expo-env.d.ts'] },
  ...expo,
  prettier,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      eqeqeq: 'error',
      'no-console': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_+$', argsIgnorePattern: '^_', caughtErrors: 'all' },
      ],
      'import/no-duplicates': 'error',
      // The first question to a browser's tables of languages takes 20 to 50 ms on a slow phone.
      'no-restricted-properties': [
        'error',
        { property: 'localeCompare', message: 'Take compareTexts or compareNames of the core.' },
        ...['toLocaleTimeString', 'toLocaleDateString', 'toLocaleLowerCase'].map((property) => ({
          property,
          message: 'Times are written in words/format; letters are made small by toLowerCase.',
        })),
      ],
      // fast-check is used as `fc`, as its own documentation does.
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    files: ['packages/*/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'import/no-restricted-paths': ['error', { zones: ZONES }] },
  },
  {
    files: ['packages/app/src/screens/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          name: 'expo-router',
          importNames: ['useRouter'],
          message: 'What leads on after a save must not drag anybody back: useRouter of hooks.',
        },
      ],
    },
  },
  { files: ['**/*.{mjs,js}'], languageOptions: { globals: globals.node } },
  // What it has the page do runs in the page.
  { files: ['scripts/screenshots.mjs', 'scripts/bench/browser.mjs'], languageOptions: { globals: globals.browser } },
  {
    files: ['packages/{core,contract}/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'error', '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['packages/core/**/*.ts'],
    rules: {
      ...mayNotImport(
        '@dunlinmoss/contract',
        '@dunlinmoss/domain',
        '@dunlinmoss/server',
        '@dunlinmoss/app',
        ...OUTSIDE_CORE,
      ),
      // The core is pure: time, chance and the world come in as arguments.
      'no-restricted-globals': [
        'error',
        'Date',
        'process',
        'window',
        'document',
        'fetch',
        'performance',
        'localStorage',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Take a seeded source instead.' },
      ],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            ':matches(FunctionDeclaration, ArrowFunctionExpression, TSFunctionType, TSMethodSignature) > TSTypeAnnotation.returnType > TSUnionType > TSUndefinedKeyword',
          message: 'One way to fail: a Result where there is a reason to tell, null where there is just no figure.',
        },
        {
          selector: "ThrowStatement > NewExpression:not([callee.name='RangeError'])",
          message: 'Core throws only for a bug in its caller (RangeError); what may happen is a Result.',
        },
      ],
    },
  },
  {
    files: ['packages/contract/**/*.ts'],
    rules: mayNotImport(...ABOVE_CONTRACT),
  },
  {
    files: ['packages/domain/**/*.ts'],
    rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/app', 'react*', 'react-native*', 'expo*', 'node:*', 'zod'),
  },
  // What reads the faces from a disk is for servers and tests.
  { files: ['packages/paper/src/sheetsPdf.ts'], rules: mayNotImport(...ABOVE_CONTRACT) },
  {
    files: ['packages/server/**/*.ts'],
    rules: mayNotImport('@dunlinmoss/app', 'react*', 'react-native*', 'expo*'),
  },
  {
    files: ['packages/app/**/*.{ts,tsx}'],
    rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/contract/api', 'node:*'),
  },
  // Tests may read files; what ships may not.
  { files: ['packages/app/**/*.test.{ts,tsx}'], rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/contract/api') },
  {
    files: ['**/*.{test,spec}.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: `CallExpression[callee.property.name='filter'] BinaryExpression[operator='!=='] > Literal[value=/^(${FAMILY_CODES.join('|')})$/]`,
          message: 'No test leaves a family out: give it a row of its own, or tell what is to hold for it.',
        },
      ],
    },
  },
  // A fixture's `use` is no hook.
  { files: ['e2e/**/*.ts'], rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' } },
  {
    files: ['packages/app/src/pictures/**/*.{ts,tsx}'],
    rules: {
      // Pictures take numbers and draw: they fetch nothing and keep nothing.
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/data/*', '@dunlinmoss/contract'],
              message: 'Pictures take numbers and draw.',
            },
          ],
        },
      ],
    },
  },
]);
