/** Runs the kinds of test one after the other, counts them, and ends with one line that says how it went. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

const workspaces = ['core', 'solver', 'catalogue', 'server', 'demo', 'cli', 'proof', 'web', 'e2e'];

const kinds = {
  types: () =>
    ['tsconfig.node.json', 'tsconfig.browser.json'].map((file) =>
      command(`types by ${file}`, 'npx', ['tsc', '-p', file]),
    ),
  lint: () => [
    command('eslint', 'npx', ['eslint', '.', '--max-warnings', '0']),
    command('who imports whom', 'npx', ['depcruise', '--config', '.dependency-cruiser.cjs', ...workspaces]),
    command('catalogue has all data', 'node', ['--import', 'tsx', 'catalogue/src/lintCatalogue.ts']),
  ],
  unit: () => vitest('unit'),
  // The shop as ./start runs it serves the pages, so both kinds build them first.
  server: () => withPages(() => vitest('server')),
  e2e: () => withPages(playwright),
};

const asked = process.argv[2];
if (asked && !(asked in kinds)) {
  console.error(`Unknown kind ${asked}. Known: ${Object.keys(kinds).join(', ')}`);
  process.exit(2);
}
let passed = 0;
let failed = 0;
for (const kind of asked ? [asked] : Object.keys(kinds)) {
  const from = Date.now();
  const results = kinds[kind]();
  for (const result of results) {
    passed += result.passed;
    failed += result.failed;
  }
  console.log(`${kind}: ${((Date.now() - from) / 1000).toFixed(0)} s`);
}
if (passed === 0) failed += 1;
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

function run(program, args, env = {}) {
  return spawnSync(program, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1;
}

function command(name, program, args) {
  const ok = run(program, args) === 0;
  if (!ok) console.error(`failed: ${name}`);
  return { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
}

function withPages(tests) {
  const built = command('pages build', 'bash', ['-c', '. scripts/install.sh && need_pages']);
  return built.failed ? [built] : tests();
}

/** A run that ends without a report counts as failed. */
function counted(file, read, status) {
  if (!existsSync(file)) return [{ passed: 0, failed: 1 }];
  const result = read(JSON.parse(readFileSync(file, 'utf8')));
  if (status !== 0 && result.failed === 0) result.failed = 1;
  return [result];
}

function vitest(project) {
  const file = `.out/${project}.json`;
  rmSync(file, { force: true });
  const status = run('npx', [
    'vitest',
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ]);
  return counted(file, (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }), status);
}

function playwright() {
  const file = '.out/e2e.json';
  rmSync(file, { force: true });
  const status = run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: `${process.cwd()}/${file}`,
  });
  return counted(file, ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }), status);
}
