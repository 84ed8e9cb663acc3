const fs = require('node:fs');
const path = require('node:path');

/*
 * Our packages have one barrel each, and a bundler takes all of a barrel for one name of it. This Babel plugin reads the
 * barrels and has every import, and what is passed on, go to the file that the name comes from: the first page then loads what it uses, and a
 * worker of a few functions does not carry the schemas of everything.
 */

const PACKAGES = path.resolve(__dirname, '..');
const BARRELS = Object.fromEntries(
  ['core', 'contract', 'domain'].map((name) => [`@dunlinmoss/${name}`, path.join(PACKAGES, name, 'src/index.ts')]),
);

/**
 * The same for libraries of which a few names are used. The router has all kinds of tabs, stacks and headers, and its link shows
 * what it leads to while it is held down: on a page none of that is seen.
 */
const ROOT = path.resolve(PACKAGES, '..', 'node_modules');
const hook = (name) => ['expo-router/build/hooks/' + name, name];
const SINGLE = {
  uuid: { v7: ['uuid/dist/v7', 'default'] },
  'd3-random': Object.fromEntries(
    ['Gamma', 'Lcg', 'Normal', 'Uniform'].map((name) => [
      `random${name}`,
      [`d3-random/src/${name.toLowerCase()}`, 'default'],
    ]),
  ),
  'expo-router': {
    Link: ['expo-router/build/link/BaseExpoRouterLink', 'BaseExpoRouterLink'],
    Slot: ['expo-router/build/views/Navigator', 'Slot'],
    useLocalSearchParams: hook('useLocalSearchParams'),
    usePathname: hook('usePathname'),
    useRouter: hook('useRouter'),
  },
};

/**
 * One barrel of a library is asked for as a whole, by code that is no module: from it each name is fetched when it is first used.
 * At once they were all of its components, a tenth of what an opening runs. What that code does not use does not ship.
 */
const WHOLE = path.join(ROOT, 'react-native-web/dist/index.js');
const USED_OF_WHOLE = ['I18nManager', 'Platform', 'StyleSheet', 'Text', 'View', 'useColorScheme'];

/** Where each name of a barrel comes from: `{ psi: '/…/units/units' }`. */
function namesOf(barrel) {
  const names = new Map();
  const text = fs.readFileSync(barrel, 'utf8');
  for (const [, listed, from] of text.matchAll(/export (?:type )?\{([^}]*)\} from '([^']+)'/g)) {
    for (const each of listed.split(',')) {
      const [name, alias] = each
        .trim()
        .replace(/^type /, '')
        .split(/ as /);
      if (name) names.set(alias ?? name, { name, file: path.join(path.dirname(barrel), from) });
    }
  }
  return names;
}

/**
 * The names that are asked of a barrel by the files they come from: `{ './units': [[node, 'psi']] }`. None where one of them
 * is only a type, or not of the barrel: the compiler says which.
 */
function filesOf(specifiers, names, filename, nameOf) {
  const byFile = new Map();
  for (const each of specifiers) {
    const found = names.get(nameOf(each));
    if (!found) return undefined;
    const to = path.relative(path.dirname(filename), found.file).split(path.sep).join('/');
    const file = to.startsWith('.') ? to : `./${to}`;
    byFile.set(file, [...(byFile.get(file) ?? []), [each, found.name]]);
  }
  return byFile;
}

/** What the barrels say, and what is done with it, for the key of what was bundled before. */
const saidByBarrels = () =>
  [__filename, ...Object.values(BARRELS)].map((barrel) => fs.readFileSync(barrel, 'utf8')).join('\n');

function plugin({ types: t, template }) {
  const known = new Map([
    ...Object.entries(BARRELS).map(([name, barrel]) => [name, namesOf(barrel)]),
    ...Object.entries(SINGLE).map(([name, files]) => [
      name,
      new Map(Object.entries(files).map(([each, [file, own]]) => [each, { name: own, file: path.join(ROOT, file) }])),
    ]),
  ]);
  return {
    name: 'past-the-barrels',
    visitor: {
      Program(at, { filename }) {
        if (filename !== WHOLE) return;
        const getters = at.node.body.flatMap((each) => {
          if (!t.isExportNamedDeclaration(each) || !each.source) throw new Error(`Not a barrel any more: ${WHOLE}`);
          return each.specifiers.map(({ local, exported: { name } }) => {
            const get = USED_OF_WHOLE.includes(name)
              ? `require('${each.source.value}').${local.name}`
              : `{ throw new Error('${name} was left out of this barrel: see barrels.js'); }`;
            return template.statement.ast(
              `Object.defineProperty(exports, '${name}', { enumerable: true, get: () => ${get} });`,
            );
          });
        });
        at.node.body = [
          template.statement.ast(`Object.defineProperty(exports, '__esModule', { value: true });`),
          ...getters,
        ];
      },
      ImportDeclaration(at, { filename }) {
        const names = known.get(at.node.source.value);
        if (!names || at.node.importKind === 'type') return;
        const own = at.node.specifiers.filter((each) => t.isImportSpecifier(each) && each.importKind !== 'type');
        const byFile = filesOf(own, names, filename, ({ imported }) => imported.name);
        if (!byFile) return;
        at.replaceWithMultiple(
          [...byFile].map(([file, found]) =>
            t.importDeclaration(
              found.map(([{ local }, name]) => t.importSpecifier(t.identifier(local.name), t.identifier(name))),
              t.stringLiteral(file),
            ),
          ),
        );
      },
      ExportNamedDeclaration(at, { filename }) {
        const names = at.node.source && known.get(at.node.source.value);
        if (!names || at.node.exportKind === 'type') return;
        const byFile = filesOf(at.node.specifiers, names, filename, ({ local }) => local.name);
        if (!byFile) return;
        at.replaceWithMultiple(
          [...byFile].map(([file, found]) =>
            t.exportNamedDeclaration(
              null,
              found.map(([{ exported }, name]) => t.exportSpecifier(t.identifier(name), t.identifier(exported.name))),
              t.stringLiteral(file),
            ),
          ),
        );
      },
    },
  };
}

module.exports = Object.assign(plugin, { saidByBarrels });
