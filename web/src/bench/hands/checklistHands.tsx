/** What must hold before first power, and the quad by its main leads. */
import { boardHand } from './boardHand';
import type { Bench } from '../provider/bench';
import { Checklist } from './Checklist';
import type { Hands } from './hands';

export function checklistHands(bench: Bench): Hands {
  return {
    left: { title: 'what must hold', note: 'in this order', body: <Checklist bench={bench} /> },
    right: { title: 'the quad', note: 'main leads', body: mainLeadsBody(bench) },
  };
}

function mainLeadsBody(bench: Bench) {
  const { target } = bench.state;
  const slot = Object.keys(target.build.slots).find((key) => target.model(key)?.kind === 'battery lead');
  return slot ? boardHand(bench, slot, [], {}).body : null;
}
