/** The stores: every part model the shop knows, found as you type. */
import type { ModelIndexLine } from '@junctor/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { places } from '../../addresses';
import { Link, useNavigate } from 'react-router';
import { useModelIndex } from '../../api/stores';
import { useSession } from '../../api/session';
import type { DataColumn } from '../../ui/DataTable';
import { DataTable } from '../../ui/DataTable';
import { WordsField } from '../../ui/form';
import { Sheet } from '../../ui/Sheet';
import { findable, findModels } from './findModels';

const shownAtMost = 25;
const Narrow = styled.form`
  max-width: 640px;
`;
const columns: readonly DataColumn<ModelIndexLine>[] = [
  {
    id: 'name',
    name: 'Name',
    by: ({ name }) => name,
    cell: ({ id, name, retired }) => (
      <>
        <Link to={places.model(id)}>{name}</Link>
        {retired ? ', retired' : ''}
      </>
    ),
  },
  { id: 'kind', name: 'Kind', by: ({ kind }) => kind, cell: ({ kind }) => kind },
  { id: 'maker', name: 'Maker', by: ({ maker }) => maker, cell: ({ maker }) => maker },
  { id: 'ends', name: 'Ends', by: ({ terminals }) => terminals, cell: ({ terminals }) => terminals },
  { id: 'mass', name: 'Mass', by: ({ massG }) => massG, cell: ({ massG }) => `${massG} g` },
  { id: 'revision', name: 'Revision', by: ({ revision }) => revision, cell: ({ revision }) => revision },
];

export function StoresPage() {
  const navigate = useNavigate();
  const lead = useSession().data?.role === 'lead';
  const index = useModelIndex();
  const [typed, setTyped] = useState('');
  const [withRetired, setWithRetired] = useState(false);
  const all = useMemo(() => findable(index.data ?? []), [index.data]);
  const found = findModels(all, typed, withRetired);
  const doors = [
    ...(lead ? [{ key: 'n', label: 'New board', to: places.newBoard }] : []),
    { key: 'p', label: 'Parts in hand', to: places.parts },
    { key: 's', label: 'Stock and offcuts', to: places.stock },
    { key: 'f', label: 'Catalogue files', to: places.catalogueFiles },
    { key: 'r', label: withRetired ? 'Hide retired' : 'Show retired too', act: () => setWithRetired(!withRetired) },
  ];
  const countWordsOf = () => {
    if (found.length === 0) return 'Nothing is called like that';
    if (found.length > shownAtMost) return `${found.length} found, the first ${shownAtMost}`;
    return `${found.length} found`;
  };
  return (
    <Sheet
      place="stores, part models"
      title="Which part is wanted?"
      go={(to) => void navigate(to)}
      doors={doors}
      note={
        index.error
          ? `The list is not fresh: ${index.error.message}`
          : `${all.length} part models. Enter opens the first; Esc leaves the field for the keys below.`
      }
    >
      <section>
        <Narrow
          onSubmit={(event) => {
            event.preventDefault();
            if (found[0]) void navigate(places.model(found[0].id));
          }}
          onInput={(event) => setTyped((event.target as HTMLInputElement).value)}
        >
          <WordsField name="q" label="Name, maker or kind" autoFocus />
        </Narrow>
        <h2>
          <span role="status">{countWordsOf()}</span>
        </h2>
        <DataTable
          label="Part models"
          columns={columns}
          items={found.slice(0, shownAtMost)}
          idOf={({ id }) => id}
          empty="Nothing is called like that."
        />
      </section>
    </Sheet>
  );
}
