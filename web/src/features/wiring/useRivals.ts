/**
 * The models that could take the place of a part when wishes clash: controllers, boards and receivers of the shop's
 * catalogue.
 */
import type { Assembly } from '@junctor/core';
import { makeCatalogue } from '@junctor/core';
import { useMemo } from 'react';
import { useModels } from '../../api/queries';
import { useModelIndex } from '../../api/stores';

const kinds: readonly string[] = ['controller', 'single board', 'receiver'];

export function useRivals(target: Assembly) {
  const index = useModelIndex().data;
  const named = useMemo(() => {
    const used = Object.values(target.build.slots).map(({ model, revision }) => `${model}@${revision}`);
    return (
      index && [
        ...used,
        ...index
          .filter(({ kind, retired }) => kinds.includes(kind) && !retired)
          .map(({ id, revision }) => `${id}@${revision}`),
      ]
    );
  }, [index, target.build]);
  const all = useModels(named).data;
  return {
    all: useMemo(() => all && makeCatalogue([...target.catalogue.models, ...all.models]), [all, target.catalogue]),
  };
}
