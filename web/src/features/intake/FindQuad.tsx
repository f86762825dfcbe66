/** Which quad of the customer's: one that the shop knows, or a new one. */
import { useNavigate, useParams } from 'react-router';
import { places } from '../../addresses';
import { useCustomer, useQuadsOf } from '../../api/queries';
import type { FoundItem } from '../../ui/Find';
import { foundOption, FoundList } from '../../ui/Find';
import { Notice } from '../../ui/Notice';
import { Sheet } from '../../ui/Sheet';

export function FindQuad() {
  const navigate = useNavigate();
  const { customerId = '' } = useParams();
  const customer = useCustomer(customerId);
  const quads = useQuadsOf(customerId);
  if (customer.error && !customer.data)
    return (
      <Notice title="This customer cannot be shown" end>
        {customer.error.message}
      </Notice>
    );
  if (!customer.data || !quads.data) return <Notice title="Fetching the customer’s quads">One moment.</Notice>;
  const items = quads.data.map(({ id, name, openJobId }): FoundItem => ({
    id,
    name,
    note: openJobId ? 'has an open job' : '',
  }));
  return (
    <Sheet
      place={`new job, ${customer.data.name}`}
      title={`Which quad of ${customer.data.name}?`}
      note={items.length > 0 ? 'Arrows mark one, Enter takes it.' : 'The shop knows none yet: N makes one.'}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'n', label: 'A new quad', to: places.newQuad(customerId) },
        { key: 'c', label: 'Another customer', to: places.newJob },
        { key: 'Escape', label: 'Leave it', to: places.floor },
      ]}
    >
      <section>
        <FoundList
          aria-label="Known quads"
          items={items}
          autoFocus="first"
          onAction={(id) => void navigate(places.newJobOn(customerId, String(id)))}
          renderEmptyState={() => 'None yet.'}
        >
          {foundOption}
        </FoundList>
      </section>
    </Sheet>
  );
}
