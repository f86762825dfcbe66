/**
 * An oracle for the meter: the same circuit, whole and uncontracted, run by ngspice. Shares no solver with the core.
 * Only for tests and measurements.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Circuit } from '../physics/circuit/compile';
import type { Meter } from '../facts/terms/meter';

export function hasNgspice(): boolean {
  return spawnSync('ngspice', ['--version'], { stdio: 'ignore' }).status === 0;
}

export interface SpiceTouch {
  /** Seconds until the port's voltage rises through the meter's threshold; null when it never does. */
  toneS: number | null;
  /** Red against black at the end of the run. */
  settledV: number;
  /** Volts on each capacitor at the end. */
  chargeV: Record<string, number>;
}

/** Runs a touch of a voltage-source meter for some seconds, from given charges. @throws {Error} If ngspice fails. */
export function spiceTouch(
  circuit: Circuit,
  { black, red }: { black: string; red: string },
  meter: Meter,
  { chargeV, runS }: { chargeV: Readonly<Record<string, number>>; runS: number },
): SpiceTouch {
  const name = new Map(circuit.nodes.map((node, index) => [node, node === black ? '0' : `n${index}`]));
  const capacitors: string[] = [];
  const lines = circuit.branches.flatMap(({ id, a, b, element }, index): string[] => {
    const [na, nb] = [name.get(a)!, name.get(b)!];
    switch (element.is) {
      case 'resistor':
        return [`R${index} ${na} ${nb} ${element.ohms}`];
      case 'capacitor':
        capacitors.push(id);
        return [
          `C${index} ${na} m${index} ${element.farads} ic=${chargeV[id] ?? 0}`,
          `RC${index} m${index} ${nb} ${element.esrOhms}`,
          `EC${capacitors.length} cap${capacitors.length} 0 ${na} m${index} 1`,
        ];
      case 'diode': {
        const is =
          element.atA / (Math.exp((element.forwardV - element.atA * element.seriesOhms) / (1.7 * 0.025852)) - 1);
        return [`D${index} ${na} ${nb} d${index}`, `.model d${index} D(IS=${is} N=1.7 RS=${element.seriesOhms})`];
      }
      case 'unknown switch':
        return [];
    }
  });
  const thresholdV = (meter.limitV * meter.stopsAboveOhms) / (meter.seriesOhms! + meter.stopsAboveOhms);
  const port = name.get(red)!;
  const deck = [
    'touch',
    ...lines,
    ...circuit.nodes.filter((node) => node !== black).map((node, index) => `RG${index} ${name.get(node)} 0 1e10`),
    `VM meter 0 ${meter.limitV}`,
    `RM meter ${port} ${meter.seriesOhms}`,
    `.options reltol=1e-4 abstol=1e-12 temp=26.85 tnom=26.85`,
    `.tran ${runS / 2000} ${runS} 0 ${runS / 2000} uic`,
    `.meas tran tone when v(${port})=${thresholdV} rise=1`,
    `.meas tran settled find v(${port}) at=${runS}`,
    ...capacitors.map((_, index) => `.meas tran left${index + 1} find v(cap${index + 1}) at=${runS}`),
    '.end',
    '',
  ].join('\n');
  const folder = mkdtempSync(join(tmpdir(), 'junctor-spice-'));
  try {
    writeFileSync(join(folder, 'touch.cir'), deck);
    const out = execFileSync('ngspice', ['-b', join(folder, 'touch.cir')], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const value = (what: string) => {
      const found = new RegExp(`^${what}\\s*=\\s*([-+.\\deE]+)`, 'm').exec(out)?.[1];
      return found === undefined ? null : Number(found);
    };
    const settledV = value('settled');
    if (settledV === null) throw new Error(`ngspice gave no result:\n${out.slice(-600)}`);
    return {
      toneS: value('tone'),
      settledV,
      chargeV: Object.fromEntries(capacitors.map((id, index) => [id, value(`left${index + 1}`)!])),
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
