/** The shop's template plans: found, retired, taken up again. Those in use stay with their jobs. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../addresses';
import { keys } from '../../api/keys';
import { useSend, useTemplates } from '../../api/queries';
import { useSession } from '../../api/session';
import { WordsField } from '../../ui/form';
import { matching } from '../../ui/matching';
import { Lines, Sheet } from '../../ui/Sheet';
import { Small } from '../../ui/Small';

export function TemplatesPage() {
  const navigate = useNavigate();
  const isLead = useSession().data?.role === 'lead';
  const templates = useTemplates();
  const [typed, setTyped] = useState('');
  const retire = useSend<{ id: string; retired: boolean }>(() => '/templates/retire', [keys.templates]);
  const isMeant = matching(typed);
  const found = (templates.data ?? []).filter(({ name }) => isMeant(name));
  const error = retire.error ?? templates.error;
  return (
    <Sheet
      place="stores, templates"
      title="Which plan is kept?"
      go={(to) => void navigate(to)}
      doors={[{ key: 'l', label: 'Part models', to: places.stores }]}
      note={
        error
          ? error.message
          : 'A template that is retired is offered for no new job. A plan is kept from the sheet of its job.'
      }
    >
      <section>
        <WordsField name="q" label="What it is called" autoFocus onChange={setTyped} />
        <Lines $columns="minmax(0, 1fr) 220px 170px" aria-label="Templates">
          {found.map(({ id, name, person, retired }) => (
            <li key={id}>
              <span>
                {name}
                {retired ? ', retired' : ''}
              </span>
              <span className="quiet">{person ? `kept by ${person}` : 'ships with Junctor'}</span>
              {isLead && (
                <Small
                  type="button"
                  aria-label={retired ? `Take up again: ${name}` : `Retire: ${name}`}
                  onClick={() => retire.mutate({ id, retired: !retired })}
                >
                  {retired ? 'Take up again' : 'Retire'}
                </Small>
              )}
            </li>
          ))}
          {found.length === 0 && <li>None is called like that.</li>}
        </Lines>
      </section>
    </Sheet>
  );
}
