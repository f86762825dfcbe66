/** Every board that the touches go to, drawn with their numbers. */
import type { ListedTouch, Side, TerminalRef } from '@junctor/core';
import { capital, slotTitle, splitRef } from '@junctor/core';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Bench } from '../../../bench/provider/bench';
import { terminalMarks } from '../../../drawing/marks';
import { TouchMap } from '../../../drawing/TouchMap';

const Maps = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(400px, 1fr));
  gap: 12px 24px;
  figure {
    margin: 0;
    break-inside: avoid;
  }
  figcaption {
    font-size: 17px;
    font-weight: 700;
  }
`;

/** Parts with fewer places than this need no drawing. */
const leastPlaces = 2;

export function TouchMaps({ bench: { state }, touches }: { bench: Bench; touches: readonly ListedTouch[] }) {
  const { target } = state;
  const marks = useMemo(() => terminalMarks(state), [state]);
  const numbers = useMemo(() => numbersAt(touches), [touches]);
  const refs = [...numbers.keys()];
  const boards = [...new Set(refs.map((ref) => splitRef(ref).slot))].flatMap((slot) =>
    (['top', 'bottom'] as const).flatMap((side): { slot: string; side: Side }[] => {
      const own = refs.filter((ref) => splitRef(ref).slot === slot && target.terminal(ref)?.sides.includes(side));
      // What can be touched from above is drawn from above alone.
      const here = own.filter((ref) => side === 'top' || !target.terminal(ref)?.sides.includes('top'));
      return here.length >= leastPlaces ? [{ slot, side }] : [];
    }),
  );
  return (
    <section>
      <h2>Where they go</h2>
      <Maps>
        {boards.map(({ slot, side }) => (
          <figure key={`${slot} ${side}`}>
            <TouchMap slot={slot} model={target.model(slot)!} side={side} marks={marks} numbers={numbers} />
            <figcaption>
              {capital(slotTitle(slot, target))}, {side === 'top' ? 'top side up' : 'underside up'}
            </figcaption>
          </figure>
        ))}
      </Maps>
    </section>
  );
}

function numbersAt(touches: readonly ListedTouch[]): ReadonlyMap<TerminalRef, readonly number[]> {
  const numbers = new Map<TerminalRef, number[]>();
  touches.forEach(({ touch: { black, red } }, index) => {
    for (const ref of [black, red]) numbers.set(ref, [...(numbers.get(ref) ?? []), index + 1]);
  });
  return numbers;
}
