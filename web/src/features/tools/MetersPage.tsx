/** The meters of the shop: which one is at the bench, what each is, and a new one's card. */
import type { Meter } from '@junctor/core';
import { meterWords } from '@junctor/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../addresses';
import { keys } from '../../api/keys';
import { useSend, useTools } from '../../api/queries';
import { useSession } from '../../api/session';
import { FormProblem } from '../../ui/form';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { Words } from '../../ui/layout';
import { EnterMeter } from './EnterMeter';
import { LearnMeter } from './LearnMeter';

export function MetersPage() {
  const navigate = useNavigate();
  const lead = useSession().data?.role === 'lead';
  const meters = (useTools().data ?? []).filter(({ kind }) => kind === 'meter');
  const takeUp = useSend<{ id: string }>(({ id }) => `/tools/${id}/take-up`, [keys.tools]);
  const [added, setAdded] = useState(0);
  const [hasSheet, setHasSheet] = useState(false);
  const NewMeter = hasSheet ? EnterMeter : LearnMeter;
  return (
    <Sheet
      place="stores, meters"
      title="Which meter is at the bench?"
      note="What a touch must show, and which touches are asked, is computed for the meter that was taken up last."
      go={(to) => void navigate(to)}
      doors={[{ key: 'f', label: 'Floor', to: places.floor }]}
    >
      <Columns>
        <section>
          <Lines aria-label="Meters">
            {meters.map(({ id, name, doc }, index) => (
              <li key={id}>
                <span>
                  <strong>{name}</strong>{' '}
                  {index === 0 ? (
                    '● at the bench'
                  ) : (
                    <Small type="button" aria-label={`Take up ${name}`} onClick={() => takeUp.mutate({ id })}>
                      Take up
                    </Small>
                  )}
                </span>
                <span className="quiet">{meterWords(doc as unknown as Omit<Meter, 'id' | 'name'>)}</span>
              </li>
            ))}
          </Lines>
          <FormProblem message={takeUp.error?.message ?? null} />
        </section>
        <section>
          <h2>{hasSheet ? 'A new meter, from its sheet' : 'A new meter, learned in five minutes'}</h2>
          {lead ? (
            <>
              <Words>
                <Small type="button" onClick={() => setHasSheet(!hasSheet)}>
                  {hasSheet ? 'Learn it from resistors' : 'Enter what its sheet says'}
                </Small>
              </Words>
              <NewMeter key={added} onKept={() => setAdded(added + 1)} />
            </>
          ) : (
            <Words>A lead enters a meter’s card.</Words>
          )}
        </section>
      </Columns>
    </Sheet>
  );
}
