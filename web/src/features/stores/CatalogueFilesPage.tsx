/** Catalogue files in and out: taken whole or refused whole, with the place of every fault. */
import { useQueryClient } from '@tanstack/react-query';
import { places } from '../../addresses';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useSession } from '../../api/session';
import { keys } from '../../api/keys';
import { FileField, FormProblem } from '../../ui/form';
import { Lines, Sheet } from '../../ui/Sheet';
import { parseJson } from '../../files/readBuildFile';
import type { ImportFault } from '../../files/importFile';
import { importText, largestBytes } from '../../files/importFile';
import { Words } from '../../ui/layout';

type State =
  | { is: 'waiting' }
  | { is: 'working'; done: number; of: number }
  | { is: 'taken'; message: string }
  | { is: 'refused'; message: string; faults: readonly ImportFault[] };

export function CatalogueFilesPage() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const lead = useSession().data?.role === 'lead';
  const [state, setState] = useState<State>({ is: 'waiting' });
  const take = async (file: File) => {
    if (file.size > largestBytes)
      return setState({
        is: 'refused',
        message: `The file has ${Math.round(file.size / 1048576)} MB; at most ${largestBytes / 1048576} MB are taken. Nothing was sent.`,
        faults: [],
      });
    setState({ is: 'working', done: 0, of: 0 });
    const text = await file.text();
    const parsed = parseJson(text);
    if (!parsed.ok) return setState({ is: 'refused', message: parsed.problem, faults: [] });
    const result = await importText(text, (done, of) => setState({ is: 'working', done, of }));
    if (!result.ok) return setState({ is: 'refused', message: result.message, faults: result.faults });
    await client.invalidateQueries({ queryKey: keys.modelIndex });
    setState({
      is: 'taken',
      message: `${result.added} part models added${result.known > 0 ? `, ${result.known} were here already` : ''}`,
    });
  };
  return (
    <Sheet
      place="stores, catalogue files"
      title="Part models as files"
      go={(to) => void navigate(to)}
      doors={[
        { key: 'l', label: 'All part models', to: places.stores },
        { key: 'e', label: 'Export everything', act: () => window.location.assign('/api/catalogue/export') },
        { key: 'j', label: 'The JSON Schema', act: () => window.location.assign('/api/catalogue/schema') },
      ]}
      note="One JSON file with any number of models. A change of a model comes as its next revision."
    >
      <section>
        <h2>Take a file in</h2>
        {lead ? (
          <FileField label="Catalogue file" accept="application/json,.json" onFile={(file) => void take(file)} />
        ) : (
          <p>A lead takes files in.</p>
        )}
        {state.is === 'working' && (
          <Words role="status">
            {state.of === 0 ? 'Reading the file' : `Checked ${state.done} of ${state.of}`}{' '}
            <progress value={state.done} max={state.of || 1} aria-label="checked" />
          </Words>
        )}
        {state.is === 'taken' && <Words role="status">{state.message}</Words>}
        {state.is === 'refused' && (
          <>
            <FormProblem message={state.message} />
            <Lines $columns="360px 1fr" aria-label="Faults">
              {state.faults.map(({ path, message }, index) => (
                <li key={index}>
                  <span>{path}</span>
                  <span>{message}</span>
                </li>
              ))}
            </Lines>
          </>
        )}
      </section>
    </Sheet>
  );
}
