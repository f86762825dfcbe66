/** What the planner found: what it costs, what changes beside what is built, other ports, ways out of a clash. */
import { useBench } from '../../bench/provider/useBench';
import type { Assembly, Alternative, Conversion, Planned } from '@junctor/core';
import { assemble, leftUnwired, crimpWords, alignmentWords, penaltyWords, motorChangeWords } from '@junctor/core';
import styled from 'styled-components';
import { Fact } from '../../ui/Frame';
import { KeyCap } from '../../ui/Plate';
import { severityWord } from '../../bench/frame/FindingsLine';
import { Words } from '../../ui/layout';

const Way = styled.button`
  border: 0;
  padding: 0 0 0 10px;
  background: none;
  text-align: left;
  cursor: pointer;
`;
export const List = styled.ul`
  font-size: 18px;
  line-height: 25px;
  padding-top: 8px;
  li {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    padding: 3px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
  }
  li[aria-current='true'] {
    font-weight: 700;
  }
  .line {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .quiet {
    color: ${({ theme }) => theme.quiet};
    font-weight: 400;
  }
`;

export function Cost({
  planned,
  made,
  running,
}: {
  planned: Planned | null;
  made: Conversion | null;
  running: { share: number; words: string } | null;
}) {
  if (running) {
    return (
      <>
        <Fact>
          <dt>planning</dt>
          <dd>{Math.round(running.share * 100)} %</dd>
        </Fact>
        <progress max={1} value={running.share} aria-label="Planning" />
        <Words role="status">{running.words}</Words>
      </>
    );
  }
  if (!planned || !made) return null;
  const penalties = penaltyWords(planned.softPenalties);
  return (
    <>
      <Fact>
        <dt>lost wishes</dt>
        <dd>{planned.wishes.filter(({ way }) => way === null).length}</dd>
      </Fact>
      <Fact>
        <dt>joints to open, to make</dt>
        <dd>
          {made.work.jointsOpened}, {made.work.jointsMade}
        </dd>
      </Fact>
      <Fact>
        <dt>new wire</dt>
        <dd>{made.work.newWireMm} mm</dd>
      </Fact>
      <Fact>
        <dt>crowded by</dt>
        <dd className="long">
          {penalties.length === 0 ? 'nothing' : penalties.map((line) => <div key={line}>{line}</div>)}
        </dd>
      </Fact>
    </>
  );
}

export function Outcome({
  planned,
  made,
  why,
  more,
}: {
  planned: Planned;
  made: Conversion;
  why: string;
  more: { wish: string; list: readonly Alternative[] } | null;
}) {
  const {
    catalogue,
    state: { asBuilt },
  } = useBench();
  const unwired = leftUnwired(assemble(planned.target, catalogue)).filter((slot) => !made.dormant.includes(slot));
  if (more) {
    return (
      <List aria-label="Other ports">
        <li>
          <span />
          <strong>{more.wish} on another port</strong>
        </li>
        {more.list.length === 0 && (
          <li>
            <span />
            <span>no other port would do</span>
          </li>
        )}
        {more.list.slice(0, 9).map((alternative) => (
          <li key={alternative.port}>
            <span />
            <span>
              {alternative.port.replace('/', ' ')} <span className="quiet">{priceWords(alternative)}</span>
            </span>
          </li>
        ))}
      </List>
    );
  }
  return (
    <List aria-label="What changes">
      {why && (
        <li>
          <span aria-hidden>▸</span>
          <span>{why}</span>
        </li>
      )}
      {planned.findings.slice(0, 3).map(({ key, severity, message }) => (
        <li key={key}>
          <span aria-hidden>▲</span>
          <span>
            {severityWord[severity]}: {message}
          </span>
        </li>
      ))}
      {planned.findings.length === 0 && (
        <li>
          <span aria-hidden>●</span>
          <span>No rule objects</span>
        </li>
      )}
      {unwired.length > 0 && (
        <li>
          <span aria-hidden>▲</span>
          <span>No wish asks for {unwired.join(', ')}: left without a wire</span>
        </li>
      )}
      {changeLines(planned, made, asBuilt).map((line) => (
        <li key={line}>
          <span />
          <span>{line}</span>
        </li>
      ))}
    </List>
  );
}

/** What changes beside what is built, a line each; a kind of change that does not occur has none. */
function changeLines(
  planned: Planned,
  {
    work,
    stays,
    portsFreed,
    portsTaken,
    partsOff,
    partsOn,
    cleans,
    contactsOut,
    dormant,
    motors,
    alignment,
  }: Conversion,
  asBuilt: Assembly,
): string[] {
  const crimped = (id: string) => {
    const wire = asBuilt.build.wires[id];
    return wire ? crimpWords(wire, asBuilt) : 'a contact';
  };
  const ports = (list: readonly string[]) => list.map((port) => port.replace('/', ' ')).join(', ');
  return [
    `${stays.wires.length} wires stay as they are; contacts ${work.contacts}, plugs ${work.plugs}`,
    cleans.length > 0
      ? `old solder off: ${cleans.slice(0, 8).join(', ')}${cleans.length > 8 ? ` and ${cleans.length - 8} more` : ''}`
      : '',
    contactsOut.length > 0
      ? `contacts out and insulated: ${contactsOut.map(({ wire }) => crimped(wire)).join(', ')}`
      : '',
    partsOff.length > 0 ? `comes off, the customer’s: ${partsOff.map(({ slot }) => slot).join(', ')}` : '',
    partsOn.length > 0 ? `comes on: ${partsOn.map(({ slot }) => slot).join(', ')}` : '',
    portsFreed.length + portsTaken.length > 0
      ? `ports freed: ${ports(portsFreed) || 'none'}; taken: ${ports(portsTaken) || 'none'}`
      : '',
    motors.length > 0 ? `outputs move: ${motors.map(motorChangeWords).join(', ')}` : '',
    alignment
      ? `the board lies another way: ${alignmentWords(alignment.before)} before, ${alignmentWords(alignment.after)} now`
      : '',
    planned.crossings.before > planned.crossings.after
      ? `${planned.crossings.before - planned.crossings.after} crossings fewer: leads that serve alike exchanged`
      : '',
    dormant.length > 0 ? `stays in, dormant: ${dormant.join(', ')}` : '',
  ].filter(Boolean);
}

/** "loses lights LED; 1 doubled pad, 40 mm more wire, 2 joints more". */
function priceWords({ more: { loss, softPenalties, wireMm, joints }, drops }: Alternative): string {
  const apart = (count: number, unit: string) =>
    count === 0 ? '' : `${Math.abs(count)} ${unit} ${count > 0 ? 'more' : 'less'}`;
  return (
    [
      loss > 0 ? `loses ${drops.join(', ') || `${loss}`}` : '',
      ...penaltyWords(softPenalties),
      apart(wireMm, 'mm of wire'),
      apart(joints, Math.abs(joints) === 1 ? 'joint' : 'joints'),
    ]
      .filter(Boolean)
      .join(', ') || 'costs nothing more'
  );
}

export function Ways({
  messages,
  waiting,
  onTake,
}: {
  messages: readonly string[];
  waiting: boolean;
  onTake: (index: number) => void;
}) {
  return (
    <List aria-label="Ways out">
      {messages.map((line, index) => (
        <li key={line}>
          <KeyCap>{index + 1}</KeyCap>
          <Way type="button" onClick={() => onTake(index)}>
            {line}
          </Way>
        </li>
      ))}
      {waiting && (
        <li>
          <span />
          <span role="status">looking for ways out</span>
        </li>
      )}
      {!waiting && messages.length === 0 && (
        <li>
          <span />
          <span>none with the parts in the catalogue</span>
        </li>
      )}
    </List>
  );
}
