/** A table: walked by arrows, read by its heads, sorted by them where that helps. */
import type { ReactNode } from 'react';
import { useMemo, useState } from 'react';
import type { SortDescriptor } from 'react-aria-components';
import { Cell, Column, Row, Table, TableBody, TableHeader } from 'react-aria-components';
import styled from 'styled-components';

export interface DataColumn<Item> {
  id: string;
  name: string;
  /** What it is sorted by; without it, it is not. */
  by?: (item: Item) => string | number;
  cell: (item: Item) => ReactNode;
}

interface DataTableProps<Item> {
  label: string;
  columns: readonly DataColumn<Item>[];
  items: readonly Item[];
  idOf: (item: Item) => string;
  /** Said in place of rows. */
  empty: string;
  /** The column that it is sorted by at first; without it, rows stand as they come. */
  sortedBy?: string;
}

const Grid = styled(Table)`
  width: 100%;
  border-collapse: collapse;
  font-size: 18px;
  outline: none;
  th,
  td {
    text-align: left;
    padding: 5px 12px 5px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
    vertical-align: baseline;
    outline: none;
  }
  th[aria-sort] {
    cursor: pointer;
  }
  th[aria-sort='ascending']::after {
    content: ' ↑';
  }
  th[aria-sort='descending']::after {
    content: ' ↓';
  }
  th[data-focus-visible],
  td[data-focus-visible],
  tr[data-focus-visible] {
    outline: 3px solid ${({ theme }) => theme.bronze};
    outline-offset: -3px;
  }
  .quiet {
    color: ${({ theme }) => theme.quiet};
  }
`;

export function DataTable<Item>({ label, columns, items, idOf, empty, sortedBy }: DataTableProps<Item>) {
  const [order, setOrder] = useState<SortDescriptor | undefined>(
    sortedBy === undefined ? undefined : { column: sortedBy, direction: 'ascending' },
  );
  const by = columns.find(({ id }) => id === order?.column)?.by;
  const rows = useMemo(() => {
    if (!by) return items;
    const sign = order?.direction === 'descending' ? -1 : 1;
    return [...items].sort((a, b) => sign * compare(by(a), by(b)));
  }, [items, by, order?.direction]);
  return (
    <Grid aria-label={label} {...(order ? { sortDescriptor: order } : {})} onSortChange={setOrder}>
      <TableHeader>
        {columns.map(({ id, name, by: sortable }, index) => (
          <Column key={id} id={id} isRowHeader={index === 0} allowsSorting={sortable !== undefined}>
            {name}
          </Column>
        ))}
      </TableHeader>
      {/* By item: what is shown already is not made again. */}
      <TableBody items={rows as Iterable<Item & object>} renderEmptyState={() => empty}>
        {(item) => (
          <Row id={idOf(item)}>
            {columns.map(({ id, cell }) => (
              <Cell key={id}>{cell(item)}</Cell>
            ))}
          </Row>
        )}
      </TableBody>
    </Grid>
  );
}

function compare(a: string | number, b: string | number): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return String(a).localeCompare(String(b), 'en', { numeric: true });
}
