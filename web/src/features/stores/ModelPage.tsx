/** One part model: both sides, what is joined inside, what a meter reads on the loose part, how sure each number is. */
import type { PartModel } from '@junctor/core';
import { places } from '../../addresses';
import { compareModels, measuredWords } from '@junctor/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useMeter, useSend } from '../../api/queries';
import { keys } from '../../api/keys';
import { useSession } from '../../api/session';
import { useModelSheet } from '../../api/stores';
import { Board } from '../../drawing/Board';
import { Notice } from '../../ui/Notice';
import type { Door } from '../../ui/Sheet';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { LooseTable } from './LooseTable';
import { FactsTable } from './FactsTable';
import { DrawingRoom } from '../../ui/layout';

export function ModelPage() {
  const { modelId } = useParams();
  const navigate = useNavigate();
  const client = useQueryClient();
  const sheet = useModelSheet(modelId!);
  const meter = useMeter();
  const lead = useSession().data?.role === 'lead';
  const retire = useSend<{ id: string; retired: boolean }>(
    () => '/catalogue/retire',
    [keys.modelIndex, keys.modelSheet()],
  );
  const [revision, setRevision] = useState<number | null>(null);
  if (sheet.error && !sheet.data)
    return (
      <Notice title="This part model cannot be shown" end>
        {sheet.error.message}
      </Notice>
    );
  if (!sheet.data) return <Notice title="Fetching the part model">One moment.</Notice>;
  const { revisions, retired, usedIn } = sheet.data;
  const model = revisions.find((known) => known.revision === revision) ?? revisions.at(-1)!;
  const before = revisions.find((revision) => revision.revision === model.revision - 1);
  const doors: Door[] = [
    { key: 'l', label: 'All part models', to: places.stores },
    { key: 'e', label: 'Export as file', act: () => window.location.assign(`/api/catalogue/export?id=${model.id}`) },
    ...(lead
      ? [
          {
            key: 't',
            label: retired ? 'Take up again' : 'Retire',
            act: () => retire.mutate({ id: model.id, retired: !retired }),
          },
        ]
      : []),
    ...(revisions.length > 1
      ? [
          {
            key: 'v',
            label: 'Other revision',
            act: () => setRevision(revisions[(revisions.indexOf(model) + 1) % revisions.length]!.revision),
          },
        ]
      : []),
  ];
  const bottom = model.terminals.some(({ sides, form }) => sides.includes('bottom') && form !== 'tail');
  return (
    <Sheet
      place={`stores, ${model.kind}`}
      title={`${model.name}${retired ? ', retired' : ''}`}
      go={(to) => void navigate(to)}
      doors={doors}
      note={`${model.maker}, ${model.massG} g, revision ${model.revision} of ${revisions.length}. Revisions are added, never changed.`}
    >
      <Columns>
        <section>
          <Drawn
            model={model}
            side="top"
            title={
              model.terminals.every(({ form }) => form === 'tail' || form === 'metal') ? 'The part' : 'Top side up'
            }
          />
        </section>
        <section>
          {bottom ? <Drawn model={model} side="bottom" title="Underside up" /> : <Inside model={model} />}
        </section>
      </Columns>
      <Columns>
        <section>
          {bottom && <Inside model={model} />}
          <h2>A meter on the loose part</h2>
          {meter && <LooseTable model={model} meter={meter} />}
          {model.measured && (
            <>
              <h2>Measured when it was entered</h2>
              <Lines aria-label="Measured when it was entered">
                {model.measured.map((known) => (
                  <li key={measuredWords(known)}>
                    <span>{measuredWords(known)}</span>
                  </li>
                ))}
              </Lines>
            </>
          )}
        </section>
        <section>
          <h2>What is known, and how surely</h2>
          <FactsTable
            key={`${model.id}@${model.revision}`}
            model={model}
            editable={Boolean(lead) && model === revisions.at(-1)}
            onStored={() =>
              void Promise.all([
                client.invalidateQueries({ queryKey: keys.modelSheet() }),
                client.invalidateQueries({ queryKey: keys.modelIndex }),
              ]).then(() => setRevision(null))
            }
          />
        </section>
      </Columns>
      <Columns>
        <section>
          <h2>{before ? `Changed since revision ${before.revision}` : 'Revisions'}</h2>
          {before ? <Changes before={before} after={model} /> : <p>This is the first revision.</p>}
        </section>
        <section>
          <h2>Used in</h2>
          {usedIn.length === 0 && <p>In no job yet.</p>}
          <Lines aria-label="Used in">
            {usedIn.map(({ jobId, quad, title, closedAt, revision: used }) => (
              <li key={jobId}>
                <span>
                  <Link to={places.job(jobId)}>
                    {quad}, {title}
                  </Link>{' '}
                  <span className="quiet">
                    revision {used}
                    {closedAt ? ', closed' : ', open'}
                  </span>
                </span>
              </li>
            ))}
          </Lines>
        </section>
      </Columns>
    </Sheet>
  );
}

function Drawn({ model, side, title }: { model: PartModel; side: 'top' | 'bottom'; title: string }) {
  return (
    <>
      <h2>{title}</h2>
      <DrawingRoom>
        <Board slot={model.id} model={model} side={side} marks={new Map()} rings={[]} everyLabel />
      </DrawingRoom>
    </>
  );
}

function Inside({ model }: { model: PartModel }) {
  return (
    <>
      <h2>Joined inside</h2>
      <Joined model={model} />
      {model.connectors.length > 0 && <h2>Plugs, position 1 first, looking into the mating face</h2>}
      <Lines aria-label="Plugs">
        {model.connectors.map(({ id, family, pins }) => (
          <li key={id}>
            <span>
              <strong>{id}</strong>, {family}:{' '}
              {pins.map((pin) => model.terminals.find((terminal) => terminal.id === pin)?.printed || pin).join(' ')}
            </span>
          </li>
        ))}
      </Lines>
    </>
  );
}

function Joined({ model }: { model: PartModel }) {
  const nodes = [...new Set(model.terminals.map(({ node }) => node))]
    .map((node) => model.terminals.filter((terminal) => terminal.node === node))
    .filter((list) => list.length > 1);
  if (nodes.length === 0) return <p>No two ends are one conductor.</p>;
  return (
    <Lines aria-label="Joined inside">
      {nodes.map((list) => (
        <li key={list[0]!.node}>
          <span>
            <strong>{[...new Set(list.map(({ printed }) => printed))].join(', ')}</strong>{' '}
            <span className="quiet">
              {list.length} ends: {list.map(({ id }) => id).join(' ')}
            </span>
          </span>
        </li>
      ))}
    </Lines>
  );
}

function Changes({ before, after }: { before: PartModel; after: PartModel }) {
  const changes = compareModels(before, after);
  if (changes.length === 0) return <p>Nothing that counts.</p>;
  return (
    <Lines aria-label="Changes">
      {changes.slice(0, 60).map(({ what, before: was, after: is }) => (
        <li key={what}>
          <span>
            <strong>{what}</strong>: {was} → {is}
          </span>
        </li>
      ))}
    </Lines>
  );
}
