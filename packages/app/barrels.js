const { createHash } = require('node:crypto');
const fs = require('node:fs');
const path = require('node:path');

/*
 * Our packages have one barrel each, and a bundler takes all of a barrel for one name of it. This Babel plugin sends every
 * import and re-export to the file that the name comes from: the first page loads what it uses, and a worker of a few
 * functions does not carry the schemas of everything.
 */

const PACKAGES = path.resolve(__dirname, '..');
const BARRELS = Object.fromEntries(
  ['core', 'contract', 'domain'].map((name) => [`@dunlinmoss/${name}`, path.join(PACKAGES, name, 'src/index.ts')]),
);

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

function plugin({ types: t }) {
  const known = new Map(Object.entries(BARRELS).map(([name, barrel]) => [name, namesOf(barrel)]));
  return {
    name: 'past-the-barrels',
    visitor: {
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

/** Changes with what the barrels export: files that were transformed before are transformed anew (`metro.config.js`). */
const barrelsHash = () => {
  const hash = createHash('sha256');
  for (const barrel of Object.values(BARRELS)) hash.update(fs.readFileSync(barrel));
  return hash.digest('hex');
};

module.exports = Object.assign(plugin, { barrelsHash });
