/**
 * Part models coming in, from a file or from the form: every fault of every model is found with its path, and all are
 * added or none. Long files are checked in slices, so that the server goes on answering.
 */
import type { PartModel } from '@junctor/core';
import { checkModel, revisionMistakes } from '@junctor/core';
import { check, partModel } from '@junctor/core/schemas';
import type { Mistake } from '@junctor/core/schemas';
import { modelRow } from '../catalogue/storedModels';
import { toSqlTime } from '../database/Database';
import type { Deps } from '../http/Deps';

type Taken = { ok: true; added: number; known: number } | { ok: false; mistakes: readonly Mistake[] };

/** More are not listed: the file is refused anyway. */
const maxMistakes = 500;
const sliceMs = 40;

/** @param progress Told how many of all have been looked at. */
export async function takeModels(
  { database, catalogue, now }: Deps,
  given: readonly unknown[],
  personId: string,
  progress: (done: number) => void,
): Promise<Taken> {
  const mistakes: Mistake[] = [];
  const fresh = new Map<string, PartModel>();
  let known = 0;
  let sliceStart = performance.now();
  for (const [index, one] of given.entries()) {
    const path = `models.${index}`;
    const checked = check<PartModel>(partModel, one);
    const found = checked.ok ? againstShop(checked.value) : { mistakes: checked.mistakes, known: false };
    mistakes.push(
      ...found.mistakes.map((mistake) => ({ ...mistake, path: mistake.path ? `${path}.${mistake.path}` : path })),
    );
    if (found.known) known += 1;
    else if (checked.ok) fresh.set(`${checked.value.id}@${checked.value.revision}`, checked.value);
    if (performance.now() - sliceStart > sliceMs) {
      progress(index + 1);
      await new Promise((resolve) => setImmediate(resolve));
      sliceStart = performance.now();
    }
    if (mistakes.length >= maxMistakes) break;
  }
  if (mistakes.length > 0) return { ok: false, mistakes: mistakes.slice(0, maxMistakes) };
  const at = toSqlTime(now().toISOString());
  await database.transaction(async (queries) => {
    for (const model of fresh.values()) await queries.write('catalogue/insertModel', modelRow(model, personId, at));
  });
  catalogue.add([...fresh.values()]);
  return { ok: true, added: fresh.size, known };

  function againstShop(model: PartModel): { mistakes: readonly Mistake[]; known: boolean } {
    const inside = checkModel(model);
    if (inside.length > 0) return { mistakes: inside, known: false };
    const same = catalogue.has({ model: model.id, revision: model.revision })
      ? catalogue.model({ model: model.id, revision: model.revision })
      : fresh.get(`${model.id}@${model.revision}`);
    if (same) {
      const equal = JSON.stringify(same) === JSON.stringify(model);
      return {
        known: equal,
        mistakes: equal
          ? []
          : [
              {
                path: 'revision',
                code: 'model.exists',
                message: `revision ${model.revision} of ${model.id} exists with other content: a change is a new revision`,
              },
            ],
      };
    }
    const before = fresh.get(`${model.id}@${model.revision - 1}`) ?? catalogue.revisions(model.id).at(-1) ?? null;
    return { mistakes: revisionMistakes(before, model), known: false };
  }
}
