/**
 * The models that could take the place of a part, or stand beside it, when a plan cannot be: what is alike to the parts
 * that are fed, every controller, and what mends a supply or a missing aerial; and which of them lie in the Stores.
 */
import type { Assembly, PartLine } from '@junctor/core';
import { isController, makeCatalogue } from '@junctor/core';
import { useMemo } from 'react';
import { useModels } from '../../api/queries';
import { useModelIndex, useParts } from '../../api/stores';

const helpers: readonly string[] = ['distribution', 'regulator', 'antenna'];

export function useRivals(target: Assembly) {
  const index = useModelIndex().data;
  const parts = useParts('').data;
  const named = useMemo(() => {
    const used = Object.values(target.build.slots).map(({ model, revision }) => `${model}@${revision}`);
    const fed = Object.keys(target.build.slots)
      .map((slot) => target.model(slot)!)
      .filter(({ terminals }) => terminals.some(({ roles }) => roles.some(({ is }) => is === 'supply')));
    const kinds = new Set<string>([...fed.map(({ kind }) => kind), ...helpers]);
    return (
      index && [
        ...used,
        ...index
          .filter(({ kind, retired }) => (kinds.has(kind) || isController(kind)) && !retired)
          .map(({ id, revision }) => `${id}@${revision}`),
      ]
    );
  }, [index, target]);
  const all = useModels(named).data;
  return {
    all: useMemo(() => all && makeCatalogue([...target.catalogue.models, ...all.models]), [all, target.catalogue]),
    inStores: useMemo(() => parts && inStoresOf(parts), [parts]),
  };
}

/** The shop's own, sound and on no quad. */
export function inStoresOf(parts: readonly PartLine[]): ReadonlySet<string> {
  const free = parts.filter(({ owner, onQuad, condition }) => !owner && !onQuad && condition !== 'scrap');
  return new Set(free.map(({ model }) => model));
}
