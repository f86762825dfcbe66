/** How a joint is made: tip, setting, strip, seconds. */
import type { Recipe } from '@junctor/core';
import { alloyOf, armEdge, landedOn, recipeFor, splitJoint, leavesTo } from '@junctor/core';
import type { Bench } from '../../bench/provider/bench';
import { useBench } from '../../bench/provider/useBench';
import { Fact } from '../../ui/Frame';

/** The recipe for a joint of the plan, in the solder of the job. */
export function recipeOf({ job, state: { target } }: Bench, joint: string): Recipe {
  const { wire: id, end } = splitJoint(joint)!;
  const wire = target.build.wires[id]!;
  return recipeFor(wire.awg, target.terminal(landedOn(wire.ends[end])!)!, alloyOf(job.plan.schools));
}

export function RecipeFacts({ joint }: { joint: string }) {
  const bench = useBench();
  const { wire: id, end } = splitJoint(joint)!;
  const { target } = bench.state;
  const wire = target.build.wires[id]!;
  const leaves = leavesTo(target, wire, end);
  const isReversed = bench.job.plan.schools['turning senses'] === 'reversed';
  const edge = armEdge(target, wire, isReversed ? 'reversed' : 'normal');
  const { tipMm, setC, stripMm, flowsS, stopS } = recipeOf(bench, joint);
  return (
    <>
      <Fact>
        <dt>tip</dt>
        <dd>{tipMm} mm</dd>
      </Fact>
      <Fact>
        <dt>iron, {alloyOf(bench.job.plan.schools)} solder</dt>
        <dd>{setC} °C</dd>
      </Fact>
      <Fact>
        <dt>strip</dt>
        <dd>{stripMm.toFixed(1)} mm</dd>
      </Fact>
      <Fact>
        <dt>flows after</dt>
        <dd>
          {flowsS[0]} to {flowsS[1]} s
        </dd>
      </Fact>
      <Fact>
        <dt>stop at</dt>
        <dd>{stopS} s</dd>
      </Fact>
      {wire.from === 'stock' && wire.lengthMm !== null ? (
        <Fact>
          <dt>{wire.colour}, cut to</dt>
          <dd>{wire.lengthMm} mm</dd>
        </Fact>
      ) : (
        <Fact>
          <dt>colour</dt>
          <dd>{wire.colour}</dd>
        </Fact>
      )}
      {leaves && (
        <Fact>
          <dt>leaves its pad to the</dt>
          <dd>{leaves}</dd>
        </Fact>
      )}
      {edge && (
        <Fact>
          <dt>along the arm, looking outwards</dt>
          <dd className="long">its {edge} edge: the blade reaches it last</dd>
        </Fact>
      )}
    </>
  );
}
