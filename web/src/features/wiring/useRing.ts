/** The ring on a board: it stands on the pad in question and walks to others by the arrows. */
import type { TerminalRef } from '@junctor/core';
import { splitRef, terminalOf } from '@junctor/core';
import { useState } from 'react';
import { padTowards } from '../../drawing/view';
import type { Bench } from '../../bench/provider/bench';
import { sideFor } from '../../drawing/Board';

export type Direction = 'left' | 'right' | 'up' | 'down';

interface Ring {
  at: TerminalRef;
  moved: boolean;
  flipped: boolean;
  walk: (direction: Direction) => void;
  turnOver: () => void;
  pick: (ref: TerminalRef) => void;
  back: () => void;
}

/** `of`: what the ring is asked for; another joint has its ring on its own pad again. */
export function useRing(bench: Bench, of: string, usual: TerminalRef): Ring {
  const [ring, setRing] = useState<{ of: string; ref: TerminalRef; flipped: boolean } | null>(null);
  const mine = ring?.of === of ? ring : null;
  const at = mine?.ref ?? usual;
  const flipped = mine?.flipped ?? false;
  const { slot, terminal } = splitRef(at);
  const { target, asBuilt } = bench.state;
  const model = (slot in target.build.slots ? target : asBuilt).model(slot)!;
  const side = sideFor(model, [terminal], flipped);
  return {
    at,
    moved: at !== usual,
    flipped,
    walk: (direction) => {
      const next = padTowards(model, side, terminalOf(model, terminal)!, direction);
      if (next) setRing({ of, ref: `${slot}.${next.id}`, flipped });
    },
    turnOver: () => {
      const over = side === 'top' ? 'bottom' : 'top';
      const there = model.terminals.find(({ sides, form }) => sides.includes(over) && form === 'pad');
      if (there) setRing({ of, ref: `${slot}.${there.id}`, flipped: there.sides.length > 1 && over === 'bottom' });
    },
    pick: (ref) => setRing({ of, ref, flipped: false }),
    back: () => setRing(null),
  };
}
