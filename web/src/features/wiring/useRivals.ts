/** The models that could take the place of a part when wishes clash: controllers, boards and receivers of the shop's catalogue. */
import type { Build, Catalogue } from '@junctor/core';
import { makeCatalogue } from '@junctor/core';
import { useMemo } from 'react';
import { useModels } from '../../api/queries';
import { useModelIndex } from '../../api/stores';

const kinds: readonly string[] = ['controller', 'single board', 'receiver'];

export function useRivals(target: Build, own: Catalogue) {
  const index = useModelIndex().data;
  const named = useMemo(() => {
    const used = Object.values(target.slots).map(({ model, revision }) => `${model}@${revision}`);
    return (
      index && [
        ...used,
        ...index
          .filter(({ kind, retired }) => kinds.includes(kind) && !retired)
          .map(({ id, revision }) => `${id}@${revision}`),
      ]
    );
  }, [index, target]);
  const all = useModels(named).data;
  return { all: useMemo(() => all && makeCatalogue([...own.models, ...all.models]), [all, own]) };
}
