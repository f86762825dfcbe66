/** A part model that was drawn up here goes into the catalogue, unless something speaks against it. */
import type { PartModel } from '@junctor/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../api/keys';
import { importModels } from './importFile';

interface StoringModel {
  problem: string | null;
  /** @param against What speaks against it: with anything in it nothing is sent. */
  store: (against: readonly string[]) => void;
}

export function useStoreModel(model: PartModel, onStored: (id: string) => void): StoringModel {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const send = async () => {
    const result = await importModels([model]);
    if (!result.ok)
      return setProblem([result.message, ...result.faults.map(({ path, message }) => `${path}: ${message}`)].join(' '));
    await client.invalidateQueries({ queryKey: keys.modelIndex });
    onStored(model.id);
  };
  return {
    problem,
    store: (against) => (against.length > 0 ? setProblem('Not while a fault stands above') : void send()),
  };
}
