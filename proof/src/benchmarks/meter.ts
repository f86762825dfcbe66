/** Every meter card answers on every pair of every part model; touches of whole builds against decks run by ngspice. */
import type { Build, Meter, PartModel, TerminalRef, Touch } from '@junctor/core';
import { assemble, compile, emptyBuild, expectIn, makeCatalogue } from '@junctor/core';
import { shippedMeters, shippedModels } from '@junctor/catalogue';
import { hasNgspice } from '@junctor/core/testing/ngspice';
import type { Measurement } from './measurement';
import { none } from './measurement';
import { againstSpice } from './spice';

const cards: readonly Meter[] = shippedMeters.map((card, index) => ({ id: `m${index}`, ...card }));
const modes = ['tone', 'ohms', 'diode'] as const;

export async function meter(long: boolean): Promise<Measurement[]> {
  if (!hasNgspice()) throw new Error('ngspice is not installed: nothing to compare with');
  return [...pairs(long ? 1 : 12), ...againstSpice()];
}

/** One terminal of each conductor: a pair of those is a pair of all. @param every So many-th pair is asked. */
function pairs(every: number): Measurement[] {
  let asked = 0;
  const unanswered: string[] = [];
  for (const model of shippedModels()) {
    const build: Build = {
      ...emptyBuild,
      slots: { PART: { model: model.id, revision: model.revision, part: null, pose: null } },
    };
    const circuit = compile(assemble(build, makeCatalogue([model])));
    for (const [black, red] of pairsOf(model).filter((_, index) => index % every === 0))
      for (const card of cards)
        for (const mode of modes) {
          asked += 1;
          const touch: Touch = { black, red, mode, power: 'off' };
          const problem = problemOf(() => expectIn(circuit, touch, { meter: card, heldS: 2 }), mode);
          if (problem) unanswered.push(`${model.id} ${black} ${red} ${mode} ${card.name}: ${problem}`);
        }
  }
  for (const one of unanswered.slice(0, 5)) console.log(`# ${one}`);
  return [
    none(
      `touches without an answer, of ${asked} on ${every === 1 ? 'every pair' : `one pair in ${every}`} of every part model by three cards:`,
      unanswered.length,
    ),
  ];
}

function problemOf(ask: () => ReturnType<typeof expectIn>, mode: (typeof modes)[number]): string | null {
  try {
    const { passes, band } = ask();
    if (mode === 'tone') return passes.length > 0 ? null : 'no length';
    return band && band.every(Number.isFinite) && band[0] <= band[1] ? null : `a band of ${JSON.stringify(band)}`;
  } catch (error) {
    return (error as Error).message;
  }
}

function pairsOf({ terminals }: PartModel): [TerminalRef, TerminalRef][] {
  const first = terminals.filter(({ node }, index) => terminals.findIndex((other) => other.node === node) === index);
  return first.flatMap((a) =>
    first.flatMap((b): [TerminalRef, TerminalRef][] => (a === b ? [] : [[`PART.${a.id}`, `PART.${b.id}`]])),
  );
}
