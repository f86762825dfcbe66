/** The lines of a quad's log, newest first; only those on the screen are drawn, however long the log is. */
import type { Assembly } from '@junctor/core';
import { asJudged, recordWords } from '@junctor/core';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import type { NamedRecord } from '../../api/types';
import { narrow } from '../../ui/theme';
import { whenWords } from '../../ui/when';

const lineHeight = 34;
const Lines = styled.ol<{ $height: number }>`
  position: relative;
  height: ${({ $height }) => $height}px;
  margin: 4px 24px 40px;
`;
const Line = styled.li.attrs<{ $top: number }>(({ $top }) => ({ style: { transform: `translateY(${$top}px)` } }))`
  position: absolute;
  inset: 0 0 auto;
  display: grid;
  grid-template-columns: 56px 190px 150px minmax(0, 1fr);
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid ${({ theme }) => theme.edge};
  font-size: 17px;
  &[data-gone='true'] > :last-child {
    text-decoration: line-through;
  }
  time,
  .seq {
    color: ${({ theme }) => theme.quiet};
  }
  @media ${narrow} {
    grid-template-columns: 44px 150px minmax(0, 1fr);
    & > :last-child {
      grid-column: 1 / -1;
    }
  }
`;

interface LogLinesProps {
  records: readonly NamedRecord[];
  /** The quad as it was before a record. */
  before: (record: string) => Assembly;
  /** Records that were corrected or taken back. */
  gone: ReadonlySet<string>;
}

export function LogLines({ records, before, gone }: LogLinesProps) {
  const list = useRef<HTMLOListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), [records]);
  const lines = useWindowVirtualizer({
    count: records.length,
    estimateSize: () => lineHeight,
    overscan: 12,
    scrollMargin: top,
    getItemKey: (index) => records[index]!.id,
  });
  return (
    <Lines ref={list} aria-labelledby="log" $height={lines.getTotalSize()}>
      {lines.getVirtualItems().map(({ index, start }) => {
        const record = records[index]!;
        const held = asJudged(record);
        const differs = record.judged?.differs ?? [];
        return (
          <Line
            key={record.id}
            ref={lines.measureElement}
            data-index={index}
            data-gone={gone.has(record.id)}
            aria-setsize={records.length}
            aria-posinset={index + 1}
            $top={start - top}
          >
            <span className="seq">{record.seq ?? 'kept'}</span>
            <time dateTime={held.doneAt}>{whenWords(held.doneAt)}</time>
            <span>{record.person}</span>
            <span>
              {recordWords(held, before(record.id))}
              {differs.length > 0 && <em>. When it came in: {differs.join('; ')}</em>}
            </span>
          </Line>
        );
      })}
    </Lines>
  );
}
