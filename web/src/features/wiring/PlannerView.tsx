/** The planner: wishes in the left hand, the wiring that serves them in the right, and what it costs between them. */
import type { Conversion, Planned, PlannedWish, Wish } from '@junctor/core';
import { planChangesTo, wishesFor } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useChangePlan } from '../../api/queries';
import { useRivals } from './useRivals';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { KeyCap } from '../../ui/Plate';
import { severityWord } from '../job/FindingsLine';
import { JobFrame } from '../job/JobFrame';
import type { SetMode } from '../job/mode';
import type { Bench } from '../job/useBench';
import { pinnedPort, withWay } from './wishEdits';
import { usePlanner } from './usePlanner';

const List = styled.ul`
  font-size: 18px; line-height: 25px; padding-top: 8px;
  li { display: grid; grid-template-columns: 26px minmax(0, 1fr); padding: 3px 0; border-bottom: 1px solid ${({ theme }) => theme.edge}; }
  li[aria-current='true'] { font-weight: 700; } .quiet { color: ${({ theme }) => theme.quiet}; font-weight: 400; }
`;

export function PlannerView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { plan } = bench.job;
  const change = useChangePlan(bench.job.id);
  const planner = usePlanner();
  const rivals = useRivals(plan.target, bench.catalogue);
  const [wishes, setWishes] = useState<readonly Wish[]>(() => (plan.wishes.length > 0 ? plan.wishes : wishesFor(plan.target, bench.catalogue)));
  const [pinned, setPinned] = useState(plan.pinned);
  const [slots, setSlots] = useState(plan.target.slots);
  const [at, setAt] = useState(0);
  const { state } = planner;
  const wish = wishes[Math.min(at, wishes.length - 1)];
  const result = state.is === 'answered' ? state.result : null;
  const planned = result?.is === 'planned' ? result : null;
  const ways = state.is === 'answered' && state.result.is === 'conflict' ? (state.ways ?? []) : [];
  const question = { slots, models: rivals.models ?? bench.catalogue.models, cells: plan.cells, wishes, pinned, keep: bench.state.asBuilt };
  const edit = (next: readonly Wish[], pins = pinned) => {
    setWishes(next);
    setPinned(pins);
    planner.forget();
  };
  const ask = (next = question) => planner.ask(next);
  const take = (made: Planned) => change.mutate({ version: plan.version, changes: planChangesTo(plan, { target: made.target, links: made.links, wishes, pinned }) }, { onSuccess: () => setMode({ is: 'wiring', wire: null }) });
  const wayOut = (index: number) => {
    const way = ways[index];
    if (!way) return;
    const next = withWay(way, { wishes, pinned, slots });
    setWishes(next.wishes);
    setPinned(next.pinned);
    setSlots(next.slots);
    ask({ ...question, ...next });
  };
  const wishAnswers: Answer[] = wish ? [
    { key: '1', label: wish.must ? 'May be dropped' : 'Must be served', act: () => edit(wishes.map((one) => (one === wish ? { ...one, must: !one.must } : one))) },
    { key: '2', label: 'Other ports', blocked: planned ? null : 'Plan first', act: () => planner.alternatives(wish) },
    { key: '3', label: pinnedPort(pinned, wish) ? 'Let its port go' : 'Hold its port', blocked: planned || pinnedPort(pinned, wish) ? null : 'Plan first', act: () => edit(wishes, togglePin(pinned, wish, planned)) },
  ] : [];
  const answers: Answer[] = [
    state.is === 'running' ? { key: 'Escape', label: 'Cancel', act: planner.cancel } : { key: 'Escape', label: 'To the wiring', act: () => setMode({ is: 'wiring', wire: null }) },
    { key: 'ArrowUp', also: ['-'], label: 'Wish before', hidden: true, act: () => setAt((at - 1 + wishes.length) % wishes.length) },
    { key: 'ArrowDown', also: ['+'], label: 'Wish after', hidden: true, act: () => setAt((at + 1) % wishes.length) },
    ...(ways.length > 0 ? ways.slice(0, 4).map(({ says }, index): Answer => ({ key: String(index + 1), label: says, act: () => wayOut(index) })) : wishAnswers),
    planned
      ? { key: 'Enter', label: 'Take this plan', main: true, act: () => take(planned), blocked: change.isPending ? 'changing' : null }
      : { key: 'Enter', label: 'Plan the wiring', main: true, act: () => ask(), blocked: state.is === 'running' ? 'planning' : null },
  ];
  return (
    <JobFrame
      bench={bench} shown={bench.state.current} answers={answers}
      sentence={sentence(state.is, planned, result?.is === 'conflict' ? result.why : null)}
      under={change.error ? `The plan was not changed: ${change.error.message}` : state.is === 'failed' ? `The planner stopped: ${state.why}` : underLine(planned, wish)}
      left={{ title: 'what is wanted', note: '↑ ↓ choose a wish', body: <Wishes wishes={wishes} planned={planned} current={wish ?? null} pinned={(one) => pinnedPort(pinned, one)} clash={result?.is === 'conflict' ? result.wishes : []} /> }}
      crossing={<Cost planned={planned} running={state.is === 'running' ? state : null} />}
      right={{
        title: planned ? 'the wiring that serves it' : result?.is === 'conflict' ? 'ways out' : 'the wiring', note: planned ? 'beside what is built now' : result?.is === 'conflict' ? 'each was tried; cheapest first' : 'nothing planned yet',
        body: planned && state.is === 'answered' && state.made ? <Outcome planned={planned} made={state.made} why={wish ? `${wish.id}: ${state.reasons[wish.id] ?? ''}` : ''} more={state.alternatives} /> : result?.is === 'conflict' ? <Ways says={ways.map(({ says, loss }) => `${says}${loss > 0 ? `, loses ${loss}` : ''}`)} waiting={state.is === 'answered' && state.ways === null} /> : null,
      }}
    />
  );
}

function togglePin(pinned: Bench['job']['plan']['pinned'], wish: Wish, planned: Planned | null) {
  const others = pinned.filter(({ what, of }) => what !== 'port' || of !== wish.id);
  const port = planned?.wishes.find((one) => one.wish.id === wish.id)?.port;
  return others.length < pinned.length || !port ? others : [...others, { what: 'port' as const, of: wish.id, value: port }];
}

function sentence(is: string, planned: Planned | null, conflict: string | null): string {
  if (is === 'running') return 'Planning the wiring';
  if (conflict) return `Not all of it can be: ${conflict}`;
  const dropped = planned?.wishes.filter(({ way }) => way === null).map(({ wish }) => wish.id) ?? [];
  if (planned) return dropped.length > 0 ? `Served but for ${dropped.join(', ')}. Take this plan?` : 'Everything wanted is served. Take this plan?';
  return 'What is wanted of these parts?';
}

function underLine(planned: Planned | null, wish: Wish | undefined): string {
  if (planned) return 'Proven: no other wiring of these parts loses less, doubles fewer pads or takes less wire.';
  return wish ? `${wish.id}: ${wish.must ? 'must be served' : `may be dropped, and then loses ${wish.lossIfDropped} of 10`}. Ways: ${wish.ways.join(', ')}.` : 'These parts ask for nothing.';
}

function Wishes({ wishes, planned, current, pinned, clash }: { wishes: readonly Wish[]; planned: Planned | null; current: Wish | null; pinned: (wish: Wish) => string | null; clash: readonly string[] }) {
  return (
    <List aria-label="Wishes">
      {wishes.map((wish) => (
        <li key={wish.id} aria-current={wish === current}>
          <span aria-hidden>{wish === current ? '▸' : ''}</span>
          <span>{wish.must ? '■' : '□'} {wish.id} <span className="quiet">{wish.must ? 'must' : 'may be dropped'}{pinned(wish) ? `, held on ${pinned(wish)}` : ''}</span>{clash.includes(wish.id) ? <strong> ▲ clashes</strong> : ''} {served(planned?.wishes.find((one) => one.wish.id === wish.id))}</span>
        </li>
      ))}
    </List>
  );
}

function served(planned: PlannedWish | undefined): string {
  if (!planned) return '';
  return planned.way === null ? '→ dropped' : `→ ${planned.port?.replace('/', ' ') ?? planned.way}`;
}

function Cost({ planned, running }: { planned: Planned | null; running: { share: number; words: string } | null }) {
  if (running) {
    return (
      <>
        <Fact><dt>planning</dt><dd>{Math.round(running.share * 100)} %</dd></Fact>
        <progress max={1} value={running.share} aria-label="Planning" style={{ width: '100%' }} />
        <p style={{ fontSize: 17 }} role="status">{running.words}</p>
      </>
    );
  }
  if (!planned) return null;
  return (
    <>
      <Fact><dt>lost wishes</dt><dd>{planned.cost.loss}</dd></Fact>
      <Fact><dt>doubled pads and full rails</dt><dd>{planned.cost.crowding}</dd></Fact>
      <Fact><dt>new wire and joints</dt><dd>{planned.cost.lengthMm} mm</dd></Fact>
    </>
  );
}

function Outcome({ planned, made, why, more }: { planned: Planned; made: Conversion; why: string; more: { wish: string; list: readonly { port: string; more: { loss: number; crowding: number; lengthMm: number }; drops: readonly string[] }[] } | null }) {
  if (more) {
    return (
      <List aria-label="Other ports">
        <li><span /><strong>{more.wish} on another port</strong></li>
        {more.list.length === 0 && <li><span /><span>no other port would do</span></li>}
        {more.list.slice(0, 9).map(({ port, more: { loss, crowding, lengthMm }, drops }) => <li key={port}><span /><span>{port.replace('/', ' ')} <span className="quiet">{[loss > 0 ? `loses ${drops.join(', ')}` : '', crowding > 0 ? `${crowding} more doubled` : '', `${lengthMm >= 0 ? `${lengthMm} mm more` : `${-lengthMm} mm less`} wire`].filter(Boolean).join(', ')}</span></span></li>)}
      </List>
    );
  }
  const { work, stays, portsFreed, portsTaken, partsOff, partsOn, cleans, contactsOut, dormant } = made;
  const lines = [
    `${stays.wires.length} wires stay as they are`,
    `joints to open ${work.jointsOpened}, to make ${work.jointsMade}; contacts ${work.contacts}, plugs ${work.plugs}`,
    cleans.length > 0 ? `old solder off: ${cleans.slice(0, 8).join(', ')}${cleans.length > 8 ? ` and ${cleans.length - 8} more` : ''}` : '',
    contactsOut.length > 0 ? `contacts out and insulated: ${contactsOut.map(({ wire }) => wire).join(', ')}` : '',
    partsOff.length > 0 ? `comes off, the customer’s: ${partsOff.map(({ slot }) => slot).join(', ')}` : '',
    partsOn.length > 0 ? `comes on: ${partsOn.map(({ slot }) => slot).join(', ')}` : '',
    portsFreed.length > 0 ? `ports freed: ${portsFreed.map((port) => port.replace('/', ' ')).join(', ')}` : '',
    portsTaken.length > 0 ? `ports taken: ${portsTaken.map((port) => port.replace('/', ' ')).join(', ')}` : '',
    dormant.length > 0 ? `stays in, dormant: ${dormant.join(', ')}` : '',
  ].filter(Boolean);
  return (
    <List aria-label="What changes">
      <li><span aria-hidden>▸</span><span>{why}</span></li>
      {lines.map((line) => <li key={line}><span /><span>{line}</span></li>)}
      {planned.findings.slice(0, 4).map(({ key, severity, says }) => <li key={key}><span aria-hidden>▲</span><span>{severityWord[severity]}: {says}</span></li>)}
      {planned.findings.length === 0 && <li><span aria-hidden>●</span><span>No rule objects</span></li>}
    </List>
  );
}

function Ways({ says, waiting }: { says: readonly string[]; waiting: boolean }) {
  return (
    <List aria-label="Ways out">
      {says.slice(0, 4).map((line, index) => <li key={line}><KeyCap>{index + 1}</KeyCap><span style={{ paddingLeft: 10 }}>{line}</span></li>)}
      {waiting && <li><span /><span role="status">looking for ways out</span></li>}
      {!waiting && says.length === 0 && <li><span /><span>none with the parts in the catalogue</span></li>}
    </List>
  );
}
