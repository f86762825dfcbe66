/** The Floor: which quad next. Each open quad hangs as its own outline with what it waits for and the next thing. */
import { useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { places } from '../../addresses';
import styled from 'styled-components';
import type { LateActs } from '../../api/queries';
import { useFloor, useLateActs } from '../../api/queries';
import { useSession } from '../../api/session';
import type { FloorLine } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Head } from '../../ui/Head';
import { KeyCap } from '../../ui/Plate';
import { useKeys } from '../../ui/useKeys';
import { dayWords } from '../../ui/when';
import { useFocusStart } from '../../ui/useFocusStart';
import { Outline } from './Outline';

const Page = styled.main`
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 8px 24px 0;
  }
  & > p {
    padding: 2px 24px 0;
    font-size: 20px;
    color: ${({ theme }) => theme.quiet};
  }
`;
const Rail = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 34px 22px;
  padding: 26px 0 10px;
  border-top: 3px solid ${({ theme }) => theme.ink};
  margin: 22px 24px 0;
  li {
    width: 290px;
  }
  a {
    text-decoration: none;
    display: block;
    border-radius: 6px;
    padding: 4px 4px 8px;
  }
  h2 {
    font-size: 23px;
    line-height: 28px;
    display: flex;
    gap: 10px;
    align-items: center;
  }
  p {
    font-size: 18px;
  }
  .next {
    font-weight: 700;
  }
`;
const Thread = styled.span`
  display: block;
  width: 2px;
  height: 110px;
  background: ${({ theme }) => theme.ink};
  margin: -26px 0 -84px 107px;
`;
const Doors = styled.nav`
  padding: 20px 24px;
  display: flex;
  gap: 26px;
  font-size: 19px;
  a {
    display: flex;
    gap: 9px;
    align-items: center;
    text-decoration: none;
    font-weight: 700;
  }
`;

export function FloorPage() {
  const page = useRef<HTMLElement>(null);
  useFocusStart(page);
  const floor = useFloor();
  const navigate = useNavigate();
  const lead = useSession().data?.role === 'lead';
  const late = useLateActs(lead);
  const lines = floor.data ?? [];
  const doors = [
    { key: 'n', to: places.newJob, label: 'New job' },
    { key: 'b', to: places.quads, label: 'Quad books' },
    { key: 's', to: places.stores, label: 'Stores' },
    ...(lead ? [{ key: 'h', to: places.people, label: 'People' }] : []),
  ];
  const keys: Answer[] = [
    ...lines.slice(0, 9).map(({ jobId }, index): Answer => ({
      key: String(index + 1),
      label: '',
      act: () => void navigate(places.job(jobId)),
    })),
    ...doors.map(({ key, to, label }): Answer => ({ key, label, act: () => void navigate(to) })),
  ];
  useKeys(keys);
  const underOf = () => {
    if (floor.error) return `The list is not fresh: ${floor.error.message}`;
    if (lines.length > 0) return 'By due day. Inked as far as it is built. Times are estimates.';
    return 'A new job hangs its quad here.';
  };
  const headlineOf = () => {
    if (lines.length > 0) return 'Take one up: press its number';
    if (floor.isPending) return 'Looking round the shop';
    return 'No quad is waiting';
  };
  return (
    <Page ref={page}>
      <title>Floor · Junctor</title>
      <Head title="which quad next" />
      <h1 tabIndex={-1}>{headlineOf()}</h1>
      <p>{underOf()}</p>
      {(late.data ?? []).map((acts) => (
        <Late key={`${acts.quadId}${acts.title}`} acts={acts} />
      ))}
      <Rail>
        {lines.map((line, index) => (
          <Hanging key={line.jobId} line={line} number={index + 1} />
        ))}
      </Rail>
      <Doors aria-label="Places">
        {doors.map(({ key, to, label }) => (
          <Link key={key} to={to}>
            <KeyCap>{key.toUpperCase()}</KeyCap>
            {label}
          </Link>
        ))}
      </Doors>
    </Page>
  );
}

const Told = styled.div`
  padding: 6px 24px 0;
  font-size: 20px;
  font-weight: 700;
`;

/** Nobody may take such a quad for proved: what was touched is not. */
function Late({ acts: { quadId, quad, title, acts, person } }: { acts: LateActs }) {
  return (
    <Told role="status">
      ▲ <Link to={places.quadBook(quadId)}>{quad}</Link>: {acts === 1 ? 'an act' : `${acts} acts`} of {person} came in
      after “{title}” was closed. Nothing proves what was touched: open a job on it.
    </Told>
  );
}

function Hanging({ line, number }: { line: FloorLine; number: number }) {
  return (
    <li>
      <Thread aria-hidden />
      <Link to={places.job(line.jobId)} {...(number === 1 ? { 'data-main': true } : {})}>
        <Outline line={line} />
        <h2>
          {number <= 9 && <KeyCap>{number}</KeyCap>}
          {line.quad}
        </h2>
        <p>
          {line.customer}, {line.title}, bench {line.bench}
          {line.dueOn ? `, due ${dayWords(line.dueOn)}` : ''}
        </p>
        <p>
          {line.against[0] ??
            (line.next ? `waits for nothing, ${line.leftMinutes} min left` : 'everything is done: close it')}
        </p>
        {line.next && (
          <p className="next">
            {line.next}, {line.nextMinutes} min
          </p>
        )}
      </Link>
    </li>
  );
}
