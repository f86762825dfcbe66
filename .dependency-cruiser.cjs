/** Who may import whom, read from the lists in docs/architecture.md: the page is the rule. */
const { readFileSync, readdirSync } = require('node:fs');
const { join } = require('node:path');

const page = readFileSync(join(__dirname, 'docs/architecture.md'), 'utf8');

/** The lines of one list of the page. */
function list(name) {
  const found = new RegExp('^```' + name + '\\n([\\s\\S]*?)^```', 'm').exec(page);
  if (!found) throw new Error(`docs/architecture.md has no list \`\`\`${name}`);
  return found[1].trimEnd().split('\n');
}

/** Concepts of the core in order, as `facts/terms`. */
function storeys() {
  let storey = '';
  return list('storeys').flatMap((line) => {
    const [word] = line.trim().split(/\s+/);
    if (!line.startsWith(' ')) storey = word.replace('/', '');
    return line.startsWith(' ') ? [`${storey}/${word}`] : [];
  });
}

/** Everything in a folder must stand in its list, or nobody would hold it to a place. */
function allListed(folder, names, besides) {
  const there = readdirSync(join(__dirname, folder), { withFileTypes: true }).filter((entry) => entry.isDirectory());
  const unknown = there.map(({ name }) => name).filter((name) => !names.includes(name) && !besides.includes(name));
  if (unknown.length > 0) throw new Error(`docs/architecture.md does not place ${unknown.join(', ')} of ${folder}`);
}

const test = '(\\.test\\.tsx?$|/testing/)';
const forbid = (name, from, to, more = {}) => ({ name, severity: 'error', from, to, ...more });

/** In a list, each may import itself and what stands before it. */
function inOrder(label, root, names) {
  return names
    .slice(0, -1)
    .map((name, index) =>
      forbid(
        `${label}: ${name} imports what stands after it`,
        { path: `^${root}/${name}/`, pathNot: test },
        { path: `^${root}/(${names.slice(index + 1).join('|')})/` },
      ),
    );
}

function roomRules() {
  const rooms = list('rooms').map((line) => {
    const [, name, plain, tests] = /^(\S+)\s*([^(]*)(?:\((.*)\))?$/.exec(line);
    return {
      name,
      may: plain.trim().split(/\s+/).filter(Boolean),
      inTests: (tests ?? '').split(/\s+/).filter(Boolean),
    };
  });
  const all = rooms.map(({ name }) => name);
  return rooms.flatMap(({ name, may, inTests }) => {
    const others = (allowed) => all.filter((other) => other !== name && !allowed.includes(other)).join('|');
    return [
      forbid(`room ${name}`, { path: `^${name}/`, pathNot: test }, { path: `^(${others(may)})/` }),
      forbid(`tests of ${name}`, { path: `^${name}/.*${test}` }, { path: `^(${others([...may, ...inTests])})/` }),
    ];
  });
}

const concepts = storeys();
for (const storey of new Set(concepts.map((concept) => concept.split('/')[0]))) {
  const own = concepts.filter((concept) => concept.startsWith(`${storey}/`)).map((concept) => concept.split('/')[1]);
  allListed(`core/src/${storey}`, own, []);
}
const folders = list('server').join(' ').split(/\s+/);
allListed('server/src', folders, ['testing']);
const pages = list('web').join(' ').split(/\s+/);
allListed('web/src', pages, ['testing']);

module.exports = {
  forbidden: [
    ...roomRules(),
    ...inOrder('core', 'core/src', concepts),
    ...inOrder('server', 'server/src', folders),
    ...inOrder('web', 'web/src', pages),
    forbid(
      'features do not import each other',
      { path: '^web/src/features/([^/]+)/' },
      {
        path: '^web/src/features/',
        pathNot: '^web/src/features/$1/',
      },
    ),
    forbid(
      'only routes.tsx joins the features',
      { path: '^web/src/[^/]+$', pathNot: '^web/src/routes.tsx$' },
      {
        path: '^web/src/features/',
      },
    ),
    forbid(
      'oracles import only types',
      { path: '^proof/src/oracles/' },
      { path: '^(?!proof/)', dependencyTypesNot: ['type-only', 'npm', 'core'] },
    ),
    forbid(
      'core needs no package',
      { path: '^core/src/', pathNot: `(border/schemas/|${test})` },
      { dependencyTypes: ['npm', 'npm-dev'] },
    ),
    forbid('core does no input or output', { path: '^core/src/', pathNot: test }, { dependencyTypes: ['core'] }),
    forbid(
      'testing is for tests',
      { path: '^(core|server|web)/src/', pathNot: test },
      { path: '^(core|server|web)/src/testing/' },
    ),
    forbid('no schemas in the first load', { path: '^web/src/' }, { path: '^core/src/border/schemas/' }),
    forbid('no cycles', {}, { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|data|node_modules)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
