/** The stores: every part model the shop knows, found as you type. */
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { places } from '../../addresses';
import { Link, useNavigate } from 'react-router';
import { useModelIndex } from '../../api/stores';
import { useSession } from '../../api/session';
import { WordsField } from '../../ui/form';
import { Lines, Sheet } from '../../ui/Sheet';
import { findable, findModels } from '../../ui/findModels';

/** Links, not a table: they are new with every letter, and a table of them would lag behind the hand. */
const shownAtMost = 25;
const Narrow = styled.form`
  max-width: 640px;
`;

export function StoresPage() {
  const navigate = useNavigate();
  const lead = useSession().data?.role === 'lead';
  const index = useModelIndex();
  const [typed, setTyped] = useState('');
  const [withRetired, setWithRetired] = useState(false);
  const all = useMemo(() => findable(index.data ?? []), [index.data]);
  const found = findModels(all, typed, withRetired);
  const doors = [
    ...(lead
      ? [
          { key: 'n', label: 'New board', to: places.newBoard },
          { key: 'w', label: 'New frame', to: places.newFrame },
        ]
      : []),
    { key: 'p', label: 'Parts in hand', to: places.parts },
    { key: 's', label: 'Stock and offcuts', to: places.stock },
    { key: 'm', label: 'Meters', to: places.meters },
    { key: 't', label: 'Templates', to: places.templates },
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
        <Lines $columns="minmax(0, 1fr) 170px 200px 110px 90px 110px" aria-label="Part models">
          {found.slice(0, shownAtMost).map(({ id, name, kind, maker, terminals, massG, revision, retired }) => (
            <li key={id}>
              <span>
                <Link to={places.model(id)}>{name}</Link>
                {retired ? ', retired' : ''}
              </span>
              <span>{kind}</span>
              <span className="quiet">{maker}</span>
              <span className="quiet">{terminals} ends</span>
              <span className="quiet">{massG} g</span>
              <span className="quiet">revision {revision}</span>
            </li>
          ))}
        </Lines>
      </section>
    </Sheet>
  );
}
