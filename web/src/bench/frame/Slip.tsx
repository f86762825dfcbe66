/**
 * The slip of a terminal, over the right hand: what it is, its net, its wires, what was done and read there by whom.
 */
import type { Assembly, QuadRecord, Step, TerminalRef } from '@junctor/core';
import {
  isAct,
  jointName,
  landedOn,
  netlist,
  recordWords,
  slotTitle,
  splitJoint,
  splitRef,
  stepWords,
  terminalWords,
  wireWords,
} from '@junctor/core';
import { Link, useLocation, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { jobPlaces, places } from '../../addresses';
import { Small } from '../../ui/Small';
import { whenWords } from '../../ui/when';
import type { Bench } from '../provider/bench';
import { useBench } from '../provider/useBench';
import { nextDepth } from '../provider/useDoors';
import { terminalNamed } from './terminalNamed';

const shownAtMost = 6;
const Sections = styled.div`
  display: grid;
  gap: 8px;
  font-size: 17px;
  line-height: 1.3;
  h2 {
    font-size: 21px;
  }
  h3 {
    font-size: 17px;
    padding-top: 4px;
  }
  li {
    padding: 2px 0;
  }
  .quiet {
    color: ${({ theme }) => theme.quiet};
  }
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 18px;
    font-weight: 700;
    padding-top: 6px;
  }
`;

interface OpenSlip {
  of: string | null;
  close: () => void;
}

/** The slip that the address asks for. */
export function useSlip(): OpenSlip {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const opened = useLocation().state !== null;
  const close = () => void (opened ? navigate(-1) : setSearch({}, { replace: true }));
  return { of: search.get('slip'), close };
}

/** Where the slip of a terminal is, on the screen that one is on. */
export function useSlipLink(ref: TerminalRef) {
  const location = useLocation();
  return { to: { search: `?slip=${encodeURIComponent(ref)}` }, state: nextDepth(location) };
}

export function Slip({ of, onClose }: { of: string; onClose: () => void }) {
  const bench = useBench();
  const { target, asBuilt } = bench.state;
  const here = [target, asBuilt].find((assembly) => terminalNamed(of, assembly) !== null);
  if (!here)
    return (
      <Sections role="alert">
        <h2>No such pad: {of}</h2>
        <p>It is on no part of this quad. Esc closes this.</p>
      </Sections>
    );
  return <TerminalSlip refAt={of as TerminalRef} here={here} bench={bench} onClose={onClose} />;
}

function TerminalSlip({
  refAt,
  here,
  bench,
  onClose,
}: {
  refAt: TerminalRef;
  here: Assembly;
  bench: Bench;
  onClose: () => void;
}) {
  const { slot } = splitRef(refAt);
  const wires = Object.values(here.build.wires).filter(({ ends }) => ends.some((end) => landedOn(end) === refAt));
  const net = netlist(here).netOf(refAt)?.terminals ?? [];
  const others = net.filter((other) => other !== refAt);
  const history = bench.records.filter((record) => isAbout(record, refAt, here)).slice(-shownAtMost);
  const step = bench.state.steps.find((candidate) => isOf(candidate, refAt, here));
  const at = jobPlaces(bench.job.id);
  return (
    <Sections role="region" aria-label={`Slip of ${terminalWords(refAt, here)}`}>
      <h2>{terminalWords(refAt, here)}</h2>
      <p className="quiet">
        {slotTitle(slot, here)}; {here.terminal(refAt)!.form}
      </p>
      <p>
        {wires.length === 0
          ? 'No wire is planned on it.'
          : wires.map((wire) => `${wireWords(wire, here)}, ${wire.awg} AWG`).join('; ')}
      </p>
      <p>
        {others.length === 0
          ? 'Joined to nothing else.'
          : `One net with ${others
              .slice(0, shownAtMost)
              .map((other) => terminalWords(other, here))
              .join(', ')}${others.length > shownAtMost ? ` and ${others.length - shownAtMost} more` : ''}.`}
      </p>
      <h3>What was done and seen here</h3>
      <ul>
        {history.map((record) => (
          <li key={record.id}>
            {recordWords(record, bench.before(record.id))}{' '}
            <span className="quiet">{`${record.person}, ${whenWords(record.doneAt)}`}</span>
          </li>
        ))}
        {history.length === 0 && <li>Nothing yet.</li>}
      </ul>
      <nav aria-label="From here">
        <Link to={at.board(slot)}>Show on the board</Link>
        {step && <Link to={at.step(step.id)}>Its step: {stepWords(step, bench.state)}</Link>}
        {slot in bench.state.asBuilt.build.slots && <Link to={at.replace(slot)}>Replace this part</Link>}
        <Link to={at.isolate}>Unplug or lift</Link>
        <Link to={places.quadBook(bench.job.quadId)}>Quad book</Link>
        <Small type="button" onClick={onClose}>
          Close
        </Small>
      </nav>
    </Sections>
  );
}

/** An act that lands there, a look at a joint of it, a reading with a probe on it. */
function isAbout({ body }: QuadRecord, ref: TerminalRef, here: Assembly): boolean {
  if (isAct(body)) return body.do === 'land' && landedOn(body.as) === ref;
  if (body.saw === 'reading') return [body.reading.touch.black, body.reading.touch.red].includes(ref);
  return body.saw === 'look' && jointsOn(ref, here).includes(body.of);
}

function isOf(step: Step, ref: TerminalRef, here: Assembly): boolean {
  return step.about.kind === 'joint' && splitJoint(step.subject) !== null && jointsOn(ref, here).includes(step.subject);
}

function jointsOn(ref: TerminalRef, here: Assembly): string[] {
  return Object.values(here.build.wires).flatMap(({ id, ends }) =>
    ([0, 1] as const).filter((end) => landedOn(ends[end]) === ref).map((end) => jointName(id, end)),
  );
}
