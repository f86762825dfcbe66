/** The command line as somebody runs it: text, data, files in and out, and how it ends. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { hasNgspice } from '@junctor/core/testing/ngspice';
import { check, buildFile, heapFile } from '@junctor/core/schemas';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '../..');
const template = (name: string) => join(root, 'catalogue/templates', `${name}.json`);
const folder = mkdtempSync(join(tmpdir(), 'junctor-cli-'));

function run(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(root, 'cli/src/main.ts'), ...args],
    { encoding: 'utf8', cwd: root },
  );
  return { status, out: stdout, err: stderr };
}

/** Bad input, with these words about it. */
const refusal = (words: string) => ({ status: 2, err: expect.stringContaining(words) as unknown });

function given(name: string, edit: (file: Record<string, never>) => void): string {
  const file = JSON.parse(readFileSync(template('quad-serial-6s'), 'utf8')) as Record<string, never>;
  edit(file);
  const path = join(folder, name);
  writeFileSync(path, JSON.stringify(file, null, 2));
  return path;
}

// Each call compiles the core anew.
describe('junctor', { timeout: 180_000 }, () => {
  it('checks: 0 when nothing is found, 1 when something is', () => {
    expect(run('check', template('quad-serial-6s'))).toEqual({ status: 0, out: 'no rule objects\n', err: '' });
    const { status, out } = run('check', template('quad-glasshouse-6s'), '--json');
    expect([status, (JSON.parse(out) as { rule: string }[]).map(({ rule }) => rule)]).toEqual([1, ['signal level']]);
  });

  it('plans, and what it plans is a build file that checks clean and converts to nothing against itself', () => {
    const planned = run('plan', template('quad-serial-6s'), '--json');
    expect(planned.status).toBe(0);
    const file = join(folder, 'planned.json');
    writeFileSync(file, planned.out);
    expect(run('check', file).status).toBe(0);
    expect(run('convert', file, file)).toMatchObject({ status: 0 });
    expect(run('convert', template('quad-serial-6s'), file).out).toContain(
      'outputs: corner 1 from 1 to 2, corner 2 from 2 to 1\n',
    );
    writeFileSync(file, run('plan', template('quad-serial-6s'), '--keep', template('quad-serial-6s'), '--json').out);
    expect(run('convert', template('quad-serial-6s'), file).out).toContain('joints to open: none\n');
  });

  it('lists the touches that prove a build, for the meter in hand, as lines and as CSV', () => {
    const file = join(root, 'docs/formats/example-build.json');
    const { status, out } = run('probes', file);
    expect([status, out.match(/of (\d+) faults that kill, (\d+) by these/)?.slice(1)]).toEqual([1, ['45', '44']]);
    expect(out).toContain('not seen, kill: capacitor reversed: the capacitor');
    const rows = run('probes', file, '--as', 'csv').out.trimEnd().split('\r\n');
    expect(rows[0]).toBe('no,mode,black,red,good,would show');
    expect(rows.length - 1).toBe(Number(out.match(/(\d+) touches/)![1]));
    expect(run('probes', file, '--meter', 'none such')).toMatchObject(refusal('no card none such'));
  }, 60_000);

  it('says what a touch must show, and which touches show a fault', () => {
    const file = join(root, 'docs/formats/example-build.json');
    expect(run('expect', file, 'BAT.MINUS', 'ESC.A1', '--mode', 'diode')).toMatchObject({
      status: 0,
      out: expect.stringMatching(/^diode volts: black on BAT −, red on ESC A1: /),
    });
    expect(run('expect', file, 'BAT.MINUS', 'ESC.Z9')).toMatchObject(refusal('no terminal ESC.Z9 in the build'));
    expect(run('expect', file, 'BAT.MINUS', 'ESC.A1', '--mode', 'volts').status).toBe(2);
    expect(run('simulate', file).out).toContain('solder bridge 1  kill: between ESC A1 and ESC B1\n');
    const shown = run('simulate', file, '--fault', 'joint open 1');
    expect([shown.status, shown.out.split('\n')[0]]).toEqual([1, 'joint open 1  stop: the red battery lead on ESC B+']);
    expect(shown.out).toMatch(/\n {2}tone: black on BAT \+, red on ESC \S+: .*; with it: silent\n/);
    expect(run('simulate', file, '--fault', 'joint open 99')).toMatchObject(
      refusal('no fault joint open 99; junctor simulate FILE lists them'),
    );
  }, 60_000);

  it('writes a deck with a fault in it: a resistor more for metal that touches', () => {
    const file = join(root, 'docs/formats/example-build.json');
    const [good, faulty] = [[], ['--fault', 'solder bridge 1']].map((fault) =>
      run('netlist', file, '--as', 'spice', ...fault).out.split('\n'),
    );
    expect(faulty!.length).toBe(good!.length + 2);
    expect(faulty!.find((line) => line.startsWith('* fault'))).toBe('* fault ESC:PA1 ESC:PB1: ESC:PA1 to ESC:PB1');
  });

  it('writes nets, a wire list, a drawing and a deck that a SPICE reads', () => {
    const file = template('quad-serial-6s');
    expect(run('netlist', file).out).toContain('M1.A');
    expect(run('netlist', file, '--as', 'csv').out.split('\r\n')[0]).toBe(
      'wire,from,to,gauge awg,colour,length mm,purpose',
    );
    expect(run('netlist', file, '--as', 'svg').out).toMatch(/^<\?xml[\s\S]*<path[\s\S]*<\/svg>\s*$/);
    const deck = run('netlist', file, '--as', 'spice').out;
    if (!hasNgspice()) return expect(deck).toContain('.end');
    writeFileSync(join(folder, 'deck.cir'), deck.replace('.end', 'VT n1 0 1\n.op\n.end'));
    const spice = spawnSync('ngspice', ['-b', join(folder, 'deck.cir')], { encoding: 'utf8' });
    expect(`${spice.stdout}${spice.stderr}`).not.toMatch(/error/i);
  });

  it('gives the sheet, takes it back as a dump, and says what differs', () => {
    const sheet = run('sheet', template('quad-serial-6s')).out;
    const dump = join(folder, 'dump.txt');
    writeFileSync(dump, sheet.replaceAll(/^.*# measure$/gm, ''));
    expect(run('sheet', template('quad-serial-6s'), '--dump', dump)).toMatchObject({ status: 0 });
    writeFileSync(dump, 'nonsense');
    expect(run('sheet', template('quad-serial-6s'), '--dump', dump)).toMatchObject({
      status: 2,
      err: `${dump}:1: a line is written key = value\n`,
    });
  });

  it('refuses bad input with line, path and reason', () => {
    const refused = (path: string) => {
      const { status, err } = run('check', path);
      return [status, err.replaceAll(folder, '')];
    };
    writeFileSync(join(folder, 'half.json'), '{\n"format": ');
    expect(refused(join(folder, 'half.json'))).toEqual([2, expect.stringMatching(/^\/half\.json:2: is no JSON/)]);
    const wire = given(
      'nowhere.json',
      (file) =>
        void Object.assign(
          (file as never as { plan: { target: { wires: Record<string, { ends: { at: object }[] }> } } }).plan.target
            .wires.W1!.ends[1]!.at,
          { ref: 'FC.NOWHERE' },
        ),
    );
    expect(refused(wire)).toEqual([
      2,
      expect.stringMatching(/^\/nowhere\.json:\d{2,}: plan\.target\.wires\.W1\.ends\.1: there is no FC\.NOWHERE\n$/),
    ]);
    const part = given(
      'unknown.json',
      (file) =>
        void Object.assign(
          (file as never as { plan: { target: { slots: Record<string, object> } } }).plan.target.slots.RX!,
          { model: 'no-such' },
        ),
    );
    expect(refused(part)).toEqual([
      2,
      expect.stringContaining('plan.target.slots.RX: the catalogue has no part model no-such revision 1'),
    ]);
    const version = given('later.json', (file) => void Object.assign(file, { version: 2 }));
    expect(refused(version)).toEqual([2, expect.stringMatching(/^\/later\.json:3: version: /)]);
    const twice = join(folder, 'twice.json');
    writeFileSync(twice, readFileSync(template('quad-serial-6s'), 'utf8').replace(/"W1": \{/, '"W2": {}, "W1": {'));
    expect(refused(twice)).toEqual([
      2,
      expect.stringMatching(/^\/twice\.json:\d+: plan\.target\.wires\.W2: stands there already\n$/),
    ]);
    expect(refused(join(folder, 'none.json'))).toEqual([2, '/none.json:1: cannot be read\n']);
    expect(run('fly', 'x').status).toBe(2);
  });
});

describe('the published build schema', () => {
  const validate = new Ajv2020({ allowUnionTypes: true }).compile(
    JSON.parse(readFileSync(join(root, 'docs/formats/build.schema.json'), 'utf8')) as object,
  );
  it('says what the program’s own schema says, of templates and of each broken in one place', () => {
    for (const name of ['quad-serial-6s', 'quad-culvert-4s', 'quad-glasshouse-6s', 'carrier-coax-6s']) {
      const file = JSON.parse(readFileSync(template(name), 'utf8')) as Record<string, unknown>;
      expect([name, validate(file), check(buildFile, file).ok]).toEqual([name, true, true]);
      for (const path of places(file).filter((_, index) => index % 23 === 0)) {
        for (const value of [undefined, 7.5, 'x y', null]) {
          const copy = broken(file, path, value);
          expect([name, path.join('.'), value, validate(copy)]).toEqual([
            name,
            path.join('.'),
            value,
            check(buildFile, copy).ok,
          ]);
        }
      }
    }
  });
});

describe('the published heap schema', () => {
  const read = (name: string) => JSON.parse(readFileSync(join(root, 'docs/formats', name), 'utf8')) as object;
  const validate = new Ajv2020({ allowUnionTypes: true }).compile(read('heap.schema.json'));
  it('says what the program’s own schema says, of an example and of it broken in each place', () => {
    const file = { ...read('example-heap.json'), cells: [4, 6] };
    expect([validate(file), check(heapFile, file).ok]).toEqual([true, true]);
    for (const path of places(file))
      for (const value of [undefined, 7.5, 0, 17, 'x y', '', null, []]) {
        const copy = broken(file, path, value);
        // Which of two numbers is the greater a schema cannot say.
        if (path[0] === 'cells' && path.length > 1 && typeof value === 'number') continue;
        expect([path.join('.'), value, validate(copy)]).toEqual([path.join('.'), value, check(heapFile, copy).ok]);
      }
  });
});

function places(value: unknown, path: readonly string[] = []): (readonly string[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    ...(path.length > 0 ? [path] : []),
    ...Object.entries(value).flatMap(([key, one]) => places(one, [...path, key])),
  ];
}

function broken(file: unknown, path: readonly string[], value: unknown): unknown {
  const copy = structuredClone(file);
  const holder = path.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], copy) as Record<
    string,
    unknown
  >;
  if (value === undefined && !Array.isArray(holder)) delete holder[path.at(-1)!];
  else holder[path.at(-1)!] = value ?? null;
  return copy;
}
