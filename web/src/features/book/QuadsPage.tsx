/** Find a quad by the first letters of its name: Enter opens its book. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../addresses';
import { useQuads } from '../../api/queries';
import { Find } from '../../ui/Find';
import { Sheet } from '../../ui/Sheet';

const shownAtMost = 12;

export function QuadsPage() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const quads = useQuads(typed.trim()).data;
  return (
    <Sheet
      place="quad books"
      title="Whose book is wanted?"
      note="Enter opens the one that is marked. Esc leaves the field for the keys below."
      go={(to) => void navigate(to)}
      doors={[{ key: 'f', label: 'Floor', to: places.floor }]}
    >
      <section>
        <Find
          label="First letters of the quad’s name"
          listLabel="Quads"
          items={(quads ?? []).slice(0, shownAtMost).map(({ id, name, customer, openJobId }) => ({
            id,
            name,
            note: `${customer}${openJobId ? ', open job' : ''}`,
          }))}
          typed={typed}
          onType={setTyped}
          onTake={(id) => void navigate(places.quadBook(id))}
          empty={quads ? 'No quad begins like that.' : 'Looking'}
          autoFocus
        />
        {(quads?.length ?? 0) > shownAtMost && <p>and {quads!.length - shownAtMost} more: type further</p>}
      </section>
    </Sheet>
  );
}
