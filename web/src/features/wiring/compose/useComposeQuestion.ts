/** What composing is asked with: the parts, the models that may be taken besides, what is built. */
import type { Catalogue, ModelIndexLine, PartModel } from '@junctor/core';
import { isController, makeCatalogue, wiresBegun } from '@junctor/core';
import { useMemo } from 'react';
import { useModels } from '../../../api/queries';
import { useModelIndex, useParts } from '../../../api/stores';
import { useBench } from '../../../bench/provider/useBench';
import type { ComposeQuestion } from '../../../compute/planWorker';
import { inStoresOf } from '../useRivals';
import type { Heaped } from './useHeap';

const helpers: readonly string[] = ['battery lead', 'capacitor', 'distribution', 'regulator', 'antenna', 'cable'];

interface Asking {
  /** Every model that it can come to; null while they are fetched. */
  catalogue: Catalogue | null;
  pack: PartModel | null;
  propeller: PartModel | null;
  question: ComposeQuestion | null;
}

export function useComposeQuestion(heaped: Heaped, isChanged: boolean): Asking {
  const { job, state, catalogue: own } = useBench();
  const index = useModelIndex().data;
  const inHand = useParts('').data;
  const { pack: packId = null, propeller: propellerId = null } = job.intake ?? {};
  const named = useMemo(
    () => index && namesFor(heaped, index, [packId, propellerId]),
    [heaped, index, packId, propellerId],
  );
  const fetched = useModels(named).data;
  const catalogue = useMemo(() => {
    if (!fetched) return null;
    const all = makeCatalogue([...own.models, ...fetched.models]);
    return Object.values(heaped.slots).every((fitted) => all.has(fitted)) ? all : null;
  }, [fetched, own, heaped.slots]);
  const flying = (id: string | null) => catalogue?.models.find((model) => model.id === id) ?? null;
  const [pack, propeller] = [flying(packId), flying(propellerId)];
  const question = useMemo((): ComposeQuestion | null => {
    if (!catalogue || !index || !inHand || !isChanged) return null;
    const { slots, wishes, pinned, cells, dormant } = heaped;
    const { build } = state.asBuilt;
    const isBegun = Object.keys(build.slots).length > 0;
    const usable = new Set(index.filter(({ retired }) => !retired).map(({ id }) => id));
    return {
      ...{ draft: { slots, wishes, pinned, cells }, models: catalogue.models, pack },
      stock: catalogue.models.filter(({ id }) => usable.has(id)).map(({ id }) => id),
      inStores: inStoresOf(inHand),
      dormant: dormant.map(({ slot }) => slot),
      ...(isBegun ? { keep: wiresBegun(build, job.plan.target), built: build } : {}),
    };
  }, [catalogue, index, inHand, isChanged, heaped, state.asBuilt, job.plan.target, pack]);
  return { catalogue, pack, propeller, question };
}

function namesFor({ slots }: Heaped, index: readonly ModelIndexLine[], flying: readonly (string | null)[]): string[] {
  const used = Object.values(slots).map(({ model, revision }) => `${model}@${revision}`);
  const there = new Set(Object.values(slots).map(({ model }) => model));
  const kinds = new Set<string>([...index.filter(({ id }) => there.has(id)).map(({ kind }) => kind), ...helpers]);
  const more = index.filter(
    ({ id, kind, retired }) => flying.includes(id) || (!retired && (kinds.has(kind) || isController(kind))),
  );
  return [...used, ...more.map(({ id, revision }) => `${id}@${revision}`)];
}
