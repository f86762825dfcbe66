/** What the rules say of this very wire, at its step: gauge, current, a contact that carries too much. */
import { judge } from '@junctor/core';
import { useMemo } from 'react';
import type { Bench } from '../../../bench/provider/bench';
import { Fact } from '../../../ui/Frame';

export function Minding({ wire, bench }: { wire: string; bench: Bench }) {
  const { plan } = bench.job;
  const { target } = bench.state;
  const worst = useMemo(
    () => judge(target, plan.links, plan.cells).find(({ wires }) => wires.includes(wire)),
    [target, plan, wire],
  );
  return worst ? (
    <Fact>
      <dt>mind</dt>
      <dd className="long">{worst.message}</dd>
    </Fact>
  ) : null;
}
