/** What is asked of the planner, a row each, with what became of it. */
import type { PlannedWish } from '@junctor/core';
import type { Planned } from '@junctor/core';
import type { Pinned } from '@junctor/core';
import { List } from './PlannerOutcome';
import type { Question, Row } from './question';
import { pinnedPort } from './question';

export function Rows({
  rows,
  current,
  planned,
  question,
  clash,
}: {
  rows: readonly Row[];
  current: Row | null;
  planned: Planned | null;
  question: Question;
  clash: readonly string[];
}) {
  const room = 10;
  const from = Math.max(0, Math.min(rows.findIndex(({ id }) => id === current?.id) - room + 3, rows.length - room));
  return (
    <List aria-label="Wishes">
      {rows.slice(from, from + room).map((row) => (
        <li key={row.id} aria-current={row.id === current?.id}>
          <span aria-hidden>{row.id === current?.id ? '▸' : ''}</span>
          {row.is === 'old' && (
            <span>
              {row.kept ? '◇' : '╱'} {row.slot}, as it is{' '}
              <span className="quiet">{row.kept ? 'stays in, unused' : 'comes off'}</span>
            </span>
          )}
          {row.is === 'held' && (
            <span>
              ◆ {heldWords(row.pin)} <span className="quiet">by hand</span>
            </span>
          )}
          {row.is === 'unasked' && (
            <span className="quiet">
              · {row.wish.id}, {row.wish.purpose === 'second ground' ? 'suggested' : 'not asked for'}
            </span>
          )}
          {row.is === 'wish' && (
            <span>
              {row.wish.must ? '■' : '□'} {row.id}{' '}
              <span className="quiet">
                {row.wish.must ? 'must' : `matters ${row.wish.lossIfDropped} of 10`}
                {pinnedPort(question.pinned, row.wish) ? `, held on ${pinnedPort(question.pinned, row.wish)}` : ''}
              </span>
              {clash.includes(row.id) ? <strong> ▲ clashes</strong> : ''}{' '}
              {served(planned?.wishes.find((wish) => wish.wish.id === row.id))}
            </span>
          )}
        </li>
      ))}
    </List>
  );
}

/** "RX TX on FC RX2", "wire from RX 5V: 26 AWG". */
export function heldWords({ what, of, value }: Pinned): string {
  const name = of.replace('.', ' ');
  return what === 'terminal'
    ? `${name} on ${value.replace('.', ' ')}`
    : `wire from ${name}: ${value}${what === 'gauge' ? ' AWG' : ''}`;
}

function served(planned: PlannedWish | undefined): string {
  if (!planned) return '';
  return planned.way === null ? '→ dropped' : `→ ${planned.port?.replace('/', ' ') ?? planned.way}`;
}
