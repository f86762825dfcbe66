/** Runs the kinds of test one after the other, counts them, and ends with one line that says how it went. */
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

const workspaces = ['core', 'solver', 'catalogue', 'server', 'demo', 'cli', 'proof', 'web', 'e2e'];

const kinds = {
  types: () =>
    ['tsconfig.node.json', 'tsconfig.browser.json'].map((file) => command(`types by ${file}`, 'tsc', ['-p', file])),
  lint: () => [
    command('format, else npm run format', 'prettier', ['.', '--check', '--log-level', 'warn']),
    command('eslint', 'eslint', ['.', '--max-warnings', '0']),
    command('nothing is exported or depended on that nobody uses', 'knip', []),
    command('who imports whom', 'depcruise', ['--config', '.dependency-cruiser.cjs', ...workspaces]),
    command('catalogue has all data', 'node', ['--import', 'tsx', 'catalogue/src/lintCatalogue.ts']),
  ],
  unit: () => vitest('unit'),
  // The shop as ./start runs it serves the pages, so both kinds build them first.
  server: () => withPages(() => vitest('server')),
  e2e: () => withPages(playwright),
  // The bars of the gate and of the shop, in their short form; ./measure NAME --long takes the long one.
  bars: async () => [await bar('gate', 'access', 'fuzz', 'kill')].flat(),
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
  const results = (await Promise.all(await kinds[kind]())).flat();
  for (const result of results) {
    passed += result.passed;
    failed += result.failed;
  }
  console.log(`${kind}: ${((Date.now() - from) / 1000).toFixed(0)} s`);
}
if (passed === 0) failed += 1;
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** The exit code; what is said comes out whole when it ends if several run beside each other. */
function run(program, args, { env = {}, whole = false } = {}) {
  const child = spawn(program, args, {
    stdio: whole ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    env: { ...process.env, PATH: `node_modules/.bin:${process.env.PATH}`, ...env },
  });
  let said = '';
  for (const stream of whole ? [child.stdout, child.stderr] : []) stream.on('data', (chunk) => (said += chunk));
  return new Promise((resolve) => {
    child.once('error', () => resolve(1));
    child.once('close', (code) => {
      if (said && code !== 0) process.stderr.write(said);
      resolve(code ?? 1);
    });
  });
}

async function command(name, program, args) {
  const ok = (await run(program, args, { whole: true })) === 0;
  console.log(`${ok ? 'holds' : 'FAILED'}: ${name}`);
  return { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
}

/** The first beside the others, which go one after the other. */
async function bar(first, ...others) {
  const measured = (name) => command(`bar: ${name}`, 'node', ['--import', 'tsx', 'e2e/measure/main.ts', name]);
  const inTurn = async () => {
    const results = [];
    for (const name of others) results.push(await measured(name));
    return results;
  };
  return (await Promise.all([measured(first), inTurn()])).flat();
}

async function withPages(tests) {
  const built = await command('pages build', 'bash', ['-c', '. scripts/install.sh && need_pages']);
  return built.failed ? [built] : tests();
}

/** A run that ends without a report counts as failed. */
function counted(file, read, status) {
  if (!existsSync(file)) return [{ passed: 0, failed: 1 }];
  const result = read(JSON.parse(readFileSync(file, 'utf8')));
  if (status !== 0 && result.failed === 0) result.failed = 1;
  return [result];
}

async function vitest(project) {
  const file = `.out/${project}.json`;
  rmSync(file, { force: true });
  const status = await run('vitest', [
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ]);
  return counted(file, (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }), status);
}

async function playwright() {
  const file = '.out/e2e.json';
  rmSync(file, { force: true });
  const status = await run('playwright', ['test', '--config', 'e2e/playwright.config.ts'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: `${process.cwd()}/${file}` },
  });
  return counted(file, ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }), status);
}
