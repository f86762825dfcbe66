/** Who may import whom: the rooms of docs/architecture.md. */
const no = (name, from, to, comment) => ({ name, severity: 'error', comment, from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    no('core-alone', '^core/', '^(server|web|demo|e2e|bench|cli)/', 'core imports nothing of the others'),
    no('web-only-core', '^web/', '^(server|demo|e2e)/', 'web and server meet only in core'),
    no('server-not-web', '^server/', '^(web|e2e)/', 'web and server meet only in core'),
    no('demo-only-core', '^demo/', '^(server|web|e2e)/', 'demo data is made with the core alone'),
    no('nobody-e2e', '^(core|server|web|demo)/', '^e2e/', 'nothing imports the journeys'),
    {
      name: 'core-dependencies',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '(schemas/|\\.test\\.ts$)' },
      to: { dependencyTypes: ['npm'], pathNot: 'node_modules/ml-matrix' },
    },
    {
      name: 'core-no-io',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '(testing/|\\.test\\.ts$)' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'no-schemas-in-first-load',
      severity: 'error',
      from: { path: '^web/src/' },
      to: { path: '^core/src/schemas/' },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
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
