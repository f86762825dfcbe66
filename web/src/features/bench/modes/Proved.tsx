/** One plain sentence for each gate: what was proved, by how many looks or readings. */
import type { Gate } from '@junctor/core';
import { lookedAt, notesOf, ofJob, provedSentence } from '@junctor/core';
import styled from 'styled-components';
import { Box } from '../../../bench/hands/Checklist';
import type { Bench } from '../../../bench/provider/bench';

const List = styled.ol`
  padding-top: 10px;
  font-size: 19px;
  line-height: 1.3;
  display: grid;
  gap: 14px;
  li {
    display: grid;
    grid-template-columns: 26px 1fr;
    align-items: baseline;
  }
`;

export function Proved({ bench }: { bench: Bench }) {
  return (
    <List>
      {bench.state.gates.map((gate) => (
        <li key={gate.id}>
          <Box done={gate.state === 'passed'} />
          <span>
            <strong>{gate.id}</strong>: {sentence(bench, gate)}
          </span>
        </li>
      ))}
    </List>
  );
}

function sentence(bench: Bench, { id, state, missing }: Gate): string {
  if (state === 'not in this job') return 'not in this job: nothing of it was touched';
  if (state === 'blocking')
    return bench.state.short ? 'a short stands between + and −' : `${missing.length} steps open`;
  const { steps, log, touches } = bench.state;
  const own = steps.filter(({ stretch }) => stretch === id);
  if (id === 'kit') {
    const lines = own.filter(({ verb }) => verb === 'count');
    const short = lines.filter(({ blockedReason }) => blockedReason !== null).length;
    const slots = own.flatMap((step) => (step.verb === 'weigh' ? [step.subject] : []));
    const weighed = notesOf(log, 'weight')
      .filter(ofJob(bench.job.id))
      .filter(({ record }) => slots.includes(record.body.what)).length;
    const signed = notesOf(log, 'signature').filter(ofJob(bench.job.id)).length;
    if (own.length === 0) return 'nothing was counted in';
    return `${lines.length} lines, ${short === 0 ? 'none' : short} short; ${weighed} parts weighed, ${signed} read loose`;
  }
  if (id === 'continuity') {
    const asked = own.filter((step) => step.verb === 'touch').length;
    if (touches.history.length > 0)
      return `no short between the main leads; ${asked} touches, the fewest that prove again what this job can have spoiled; ${touches.history.length} not asked: what an earlier job read there is history`;
    const loose = touches.ruledOutEarlier.size > 0 ? ' and loose parts' : '';
    return `no short between the main leads; ${asked} touches${loose} ${touches.list ? provedSentence(touches.list, touches.ruledOutEarlier) : ''}`;
  }
  if (id === 'first power') {
    const power = notesOf(log, 'power').findLast(ofJob(bench.job.id))?.record.body;
    const seen = power?.signs.filter((sign) => sign.seen).length ?? 0;
    return power
      ? `limited power for ${power.onS} s at ${power.packV} V, ${seen} of ${power.signs.length} signs seen`
      : 'not powered';
  }
  if (id === 'hand-over') return 'closed, weighed, handed over with its sheet';
  const joints = own.reduce(
    (sum, step) => sum + (step.verb === 'look' && step.about.kind === 'joints' ? lookedAt(step).length : 0),
    0,
  );
  const came = own.filter(({ verb }) => verb === 'free' || verb === 'drop').length;
  const plugs = own.filter((step) => step.verb === 'look' && step.about.kind === 'plug').length;
  const pieces = [
    joints > 0 && `${joints} ${joints === 1 ? 'joint' : 'joints'} looked at and good`,
    plugs > 0 && `${plugs} ${plugs === 1 ? 'plug' : 'plugs'} looked into and home`,
    came > 0 && `${came} taken off`,
  ].filter(Boolean);
  return pieces.join(', ') || 'nothing to look at';
}
