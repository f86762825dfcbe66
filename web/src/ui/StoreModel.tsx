/** Before a part model that was drawn up here goes into the catalogue: what speaks against it, what to know of it. */
import type { PartModel } from '@junctor/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../api/keys';
import { importModels } from '../files/importFile';
import { FormProblem } from './form';
import { KeyButton } from './KeyButton';
import { Words } from './layout';
import { Lines } from './Sheet';

interface StoreModelProps {
  model: PartModel;
  /** With anything in it nothing is sent. */
  against: readonly string[];
  warnings?: readonly string[];
  says: readonly string[];
  onStored: (id: string) => void;
}

export function StoreModel({ model, against, warnings = [], says, onStored }: StoreModelProps) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const store = async () => {
    if (against.length > 0) return setProblem('Not while a fault stands above');
    const result = await importModels([model]);
    if (!result.ok)
      return setProblem([result.message, ...result.faults.map(({ path, message }) => `${path}: ${message}`)].join(' '));
    await client.invalidateQueries({ queryKey: keys.modelIndex });
    onStored(model.id);
  };
  return (
    <>
      <Lines aria-label="Before it is stored">
        {[...against, ...warnings].map((line) => (
          <li key={line}>
            <strong>▲ {line}</strong>
          </li>
        ))}
        {says.map((line) => (
          <li key={line}>
            <span>{line}</span>
          </li>
        ))}
      </Lines>
      <FormProblem message={problem} />
      <Words>
        <KeyButton
          keyed="Enter"
          label={`Store ${model.name || 'it'} as ${model.id}, revision 1`}
          act={() => void store()}
        />
      </Words>
    </>
  );
}
