/**
 * Whose quad it is: found by the first letters. A new customer has a key of its own, so that none is made by mistake.
 */
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { places } from '../../addresses';
import { useCustomers } from '../../api/queries';
import { Find } from '../../ui/Find';
import { Sheet } from '../../ui/Sheet';

export function FindCustomer() {
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const [typed, setTyped] = useState(search.get('q') ?? '');
  const found = useCustomers(typed.trim()).data;
  const take = (id: string) => {
    // Back comes to the customer that was taken.
    const name = found?.find((customer) => customer.id === id)?.name ?? typed;
    setSearch({ q: name }, { replace: true });
    void navigate(places.newJobFor(id));
  };
  return (
    <Sheet
      place="new job"
      title="Whose quad is it?"
      note="Enter takes the customer that is marked. Esc leaves the field for the keys below."
      go={(to) => void navigate(to)}
      doors={[
        {
          key: 'n',
          label: typed.trim() ? `New customer: ${typed.trim()}` : 'New customer',
          to: places.newCustomer(typed.trim()),
        },
        { key: 'f', label: 'Leave it', to: places.floor },
      ]}
    >
      <section>
        <Find
          label="Customer"
          listLabel="Known customers"
          items={(found ?? []).slice(0, shownAtMost).map(({ id, name, contact }) => ({ id, name, note: contact }))}
          typed={typed}
          onType={setTyped}
          onTake={take}
          empty={found ? 'Nobody is called like that. Esc, then N: a new customer.' : 'Looking'}
          autoFocus
        />
      </section>
    </Sheet>
  );
}

const shownAtMost = 8;
