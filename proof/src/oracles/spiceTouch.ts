/**
 * A touch of a meter as a deck for ngspice, written from the build itself: copper by flooding, the insides from the
 * catalogue, the meter as a source with its limit. It shares nothing with the core's circuits.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Build, Catalogue, MeterSource, TerminalRef } from '@junctor/core';
import { conductors } from './dcSolve';
import type { Broken } from './insides';
import { endsOf, failedOhms } from './insides';
import type { Bridge } from './trueMeter';

interface SpiceProbe {
  black: TerminalRef;
  red: TerminalRef;
  source: MeterSource;
  /** What is wrong with it. */
  bridges?: readonly Bridge[];
  broken?: readonly Broken[];
  /** For a tone: ohms at which it ceases; the run ends after so many seconds. */
  tone?: { stopsAboveOhms: number; runS: number };
}

const kelvin = '.options reltol=1e-5 abstol=1e-12 temp=26.85 tnom=26.85 gmin=1e-12';
const emission = 1.7;
const thermalV = 0.025852;

/** Volts at the probes once all has settled, or seconds until they rise through the threshold; null: never. */
export function spiceTouch(build: Build, catalogue: Catalogue, probe: SpiceProbe): number | null {
  const point = conductors(build, catalogue);
  const names = new Map<string, string>();
  const at = (ref: TerminalRef) => {
    const slot = ref.slice(0, ref.indexOf('.'));
    const terminal = catalogue.model(build.slots[slot]!).terminals.find(({ id }) => `${slot}.${id}` === ref)!;
    return point(slot, terminal.node);
  };
  names.set(at(probe.black), '0');
  const name = (node: string) => names.get(node) ?? names.set(node, `n${names.size}`).get(node)!;
  const [red, { limitV, limitA, seriesOhms }] = [name(at(probe.red)), probe.source];
  if (red === '0') return probe.tone ? null : 0;
  const { bridges = [], broken = [] } = probe;
  const parts = Object.entries(build.slots).flatMap(([slot, fitted]) =>
    catalogue.model(fitted).elements.flatMap((element) => {
      const failed = broken.find((one) => one.slot === slot && one.element === element.id)?.is;
      const nameAt = (node: string) => name(point(slot, node));
      return [
        ...(failed === 'open' || failed === 'short' ? [] : insideLines(element, nameAt)),
        ...(failed === 'short' || failed === 'leaky'
          ? [`R ${endsOf(element).map(nameAt).join(' ')} ${failedOhms[failed]}`]
          : []),
      ];
    }),
  );
  const shorts = [...build.contacts, ...bridges].map(
    ({ a, b, ohms }) => `R ${name(at(a))} ${name(at(b))} ${Math.max(ohms, 1e-3)}`,
  );
  const source =
    seriesOhms === null
      ? [`I 0 ${red} ${limitA}`, `D ${red} lim IDEAL`, `V lim 0 ${limitV}`]
      : [`V met 0 ${limitV}`, `R met ${red} ${seriesOhms}`];
  const thresholdOf = (ohms: number) => (seriesOhms === null ? limitA * ohms : (limitV * ohms) / (seriesOhms + ohms));
  const analysis = probe.tone
    ? [
        `.tran ${probe.tone.runS / 4000} ${probe.tone.runS} 0 ${probe.tone.runS / 4000} uic`,
        `.meas tran result when v(${red})=${thresholdOf(probe.tone.stopsAboveOhms)} rise=1`,
      ]
    : ['.op', `.print op v(${red})`];
  const numbered = [...parts, ...shorts, ...source].map((line, index) => line.replace(/^([A-Z]+)/, `$1${index}x`));
  const floating = [...new Set(names.values())]
    .filter((node) => node !== '0')
    .map((node) => `Rg${node} ${node} 0 1e10`);
  const deck = ['touch', ...numbered, ...floating, '.model IDEAL D(IS=1e-9 N=0.01)', kelvin, ...analysis, '.end', ''];
  return run(deck.join('\n'), probe.tone ? /^result\s*=\s*([-+.\deE]+)/m : /^0\s+([-+.\deE]+)/m);
}

type Element = ReturnType<Catalogue['model']>['elements'][number];

function insideLines(element: Element, name: (node: string) => string): string[] {
  const diode = (anode: string, cathode: string, law: { forwardV: number; atA: number; seriesOhms: number }) => {
    const saturation = law.atA / Math.expm1((law.forwardV - law.atA * law.seriesOhms) / (emission * thermalV));
    const kind = `M${saturation.toExponential(6)}r${law.seriesOhms}`.replace(/[-+.]/g, 'p');
    return [
      `D ${name(anode)} ${name(cathode)} ${kind}`,
      `.model ${kind} D(IS=${saturation} N=${emission} RS=${law.seriesOhms})`,
    ];
  };
  switch (element.is) {
    case 'resistor':
    case 'winding':
      return [`R ${name(element.a)} ${name(element.b)} ${element.ohms}`];
    case 'load':
      return [`R ${name(element.plus)} ${name(element.minus)} ${element.offOhms}`];
    case 'capacitor': {
      const [plus, minus] = [name(element.plus), name(element.minus)];
      // A capacitor and its series resistance meet where nothing else is.
      const inner = `${plus}m${minus}c${element.id}`.replace(/[^a-zA-Z0-9]/g, '');
      return [
        `C ${plus} ${inner} ${element.farads} ic=0`,
        `R ${inner} ${minus} ${element.esrOhms}`,
        `R ${plus} ${minus} ${element.leakOhms}`,
      ];
    }
    case 'diode':
      return diode(element.anode, element.cathode, element);
    case 'regulator':
      return [
        `R ${name(element.output)} ${name(element.ground)} ${element.offOhms}`,
        ...(element.backDiodeV === null
          ? []
          : diode(element.output, element.input, { forwardV: element.backDiodeV, atA: 1e-3, seriesOhms: 1 })),
      ];
    case 'switch':
      return [];
  }
}

/** @throws {Error} If ngspice fails. */
function run(deck: string, pattern: RegExp): number | null {
  const unique = [
    ...new Map(deck.split('\n').map((line) => [line.startsWith('.model') ? line : Symbol(), line])).values(),
  ];
  const folder = mkdtempSync(join(tmpdir(), 'junctor-deck-'));
  try {
    const file = join(folder, 'touch.cir');
    writeFileSync(file, unique.join('\n'));
    const { stdout, stderr } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' });
    const found = pattern.exec(stdout)?.[1];
    if (found === undefined && !/measure.*failed|out of interval/i.test(stdout + stderr))
      throw new Error(`ngspice gave no result:\n${(stdout + stderr).slice(-600)}`);
    return found === undefined ? null : Number(found);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
