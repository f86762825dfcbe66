/** What the planner found: what it costs, what changes beside what is built, other ports, ways out of a clash. */
import type { Conversion, Planned } from '@junctor/core';
import styled from 'styled-components';
import { Fact } from '../../ui/Frame';
import { KeyCap } from '../../ui/Plate';
import { severityWord } from '../job/FindingsLine';

export const List = styled.ul`
  font-size: 18px; line-height: 25px; padding-top: 8px;
  li { display: grid; grid-template-columns: 26px minmax(0, 1fr); padding: 3px 0; border-bottom: 1px solid ${({ theme }) => theme.edge}; }
  li[aria-current='true'] { font-weight: 700; } .quiet { color: ${({ theme }) => theme.quiet}; font-weight: 400; }
`;

export function Cost({ planned, running }: { planned: Planned | null; running: { share: number; words: string } | null }) {
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

export function Outcome({ planned, made, why, more }: { planned: Planned; made: Conversion; why: string; more: { wish: string; list: readonly { port: string; more: { loss: number; crowding: number; lengthMm: number }; drops: readonly string[] }[] } | null }) {
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
    planned.crossings.before > planned.crossings.after ? `${planned.crossings.before - planned.crossings.after} crossings fewer: leads that serve alike exchanged` : '',
    dormant.length > 0 ? `stays in, dormant: ${dormant.join(', ')}` : '',
  ].filter(Boolean);
  return (
    <List aria-label="What changes">
      {why && <li><span aria-hidden>▸</span><span>{why}</span></li>}
      {lines.map((line) => <li key={line}><span /><span>{line}</span></li>)}
      {planned.findings.slice(0, 4).map(({ key, severity, says }) => <li key={key}><span aria-hidden>▲</span><span>{severityWord[severity]}: {says}</span></li>)}
      {planned.findings.length === 0 && <li><span aria-hidden>●</span><span>No rule objects</span></li>}
    </List>
  );
}

export function Ways({ says, waiting }: { says: readonly string[]; waiting: boolean }) {
  return (
    <List aria-label="Ways out">
      {says.slice(0, 4).map((line, index) => <li key={line}><KeyCap>{index + 1}</KeyCap><span style={{ paddingLeft: 10 }}>{line}</span></li>)}
      {waiting && <li><span /><span role="status">looking for ways out</span></li>}
      {!waiting && says.length === 0 && <li><span /><span>none with the parts in the catalogue</span></li>}
    </List>
  );
}
