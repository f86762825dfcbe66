/** Capacitor tones and diode volts of the shipped quad against ngspice, which shares no solver with the core. */
import type { Circuit, TerminalRef } from '@junctor/core';
import { compile, makeCatalogue, reduceToPort, touchResponse, assemble } from '@junctor/core';
import { hasNgspice, spiceTouch } from '@junctor/core/testing/ngspice';
import { shippedMeter, shippedModels, shippedTemplate } from '@junctor/catalogue';
import type { Measurement } from './measurement';
import { atMost } from './measurement';

const meter = { id: 'm', name: 'm', ...shippedMeter };
/** A meter that gives one milliampere from three volts, as diode mode does. */
const diodeMeter = { ...meter, limitV: 3, seriesOhms: 3000, beepBelowOhms: 0.001, stopsAboveOhms: 0.001 };
const charged = { 'CAP/BULK': 1.2, 'ESC/CERAMICS': 1.2 };

export async function tones(): Promise<Measurement[]> {
  if (!hasNgspice()) throw new Error('ngspice is not installed: nothing to compare with');
  const { target } = shippedTemplate('quad-serial-6s').plan;
  const circuit = compile(assemble(target, makeCatalogue(shippedModels())));
  return [...toneErrors(circuit), ...diodeErrors(circuit)];
}

function toneErrors(circuit: Circuit): Measurement[] {
  const cases: [string, TerminalRef, TerminalRef, Record<string, number>][] = [
    ['main leads from empty', 'BAT.MINUS', 'BAT.PLUS', {}],
    ['main leads exchanged', 'BAT.PLUS', 'BAT.MINUS', charged],
    ['main leads exchanged, half charged', 'BAT.PLUS', 'BAT.MINUS', { 'CAP/BULK': 0.6, 'ESC/CERAMICS': 0.6 }],
  ];
  return cases.map(([what, black, red, charge]) => {
    const [from, to] = [circuit.at[black]!, circuit.at[red]!];
    // Contracted as the screens use it, against the whole circuit.
    const mine = touchResponse(reduceToPort(circuit, { blackNode: from, redNode: to }, 0.5, false), meter, charge, {
      heldS: 0,
      watchS: 25,
    }).toneS;
    const theirs = spiceTouch(circuit, { black: from, red: to }, meter, { chargeV: charge, runS: 4 }).toneS ?? 0;
    return atMost(`tone, ${what}:`, {
      value: (100 * Math.abs(mine - theirs)) / theirs,
      unit: `% of ${theirs.toFixed(3)} s`,
      bar: 5,
      digits: 2,
    });
  });
}

function diodeErrors(circuit: Circuit): Measurement[] {
  const cases: [string, TerminalRef, TerminalRef][] = [
    ['phase to +', 'ESC.BP', 'ESC.A1'],
    ['- to phase', 'ESC.A1', 'ESC.BM'],
    ['ground to a signal pin', 'FC.RX1', 'FC.G1'],
    ['3.3 V rail to ground', 'BAT.MINUS', 'FC.3V3A'],
  ];
  return cases.map(([what, black, red]) => {
    const [from, to] = [circuit.at[black]!, circuit.at[red]!];
    const mine = touchResponse(
      reduceToPort(circuit, { blackNode: from, redNode: to }, 0.5, false),
      diodeMeter,
      {},
      { heldS: 0, watchS: 0 },
    ).settledV;
    const theirs = spiceTouch(circuit, { black: from, red: to }, diodeMeter, { chargeV: {}, runS: 60 }).settledV;
    return atMost(`diode volts, ${what}:`, {
      value: 1000 * Math.abs(mine - theirs),
      unit: `mV of ${(1000 * theirs).toFixed(0)} mV`,
      bar: 20,
      digits: 1,
    });
  });
}
