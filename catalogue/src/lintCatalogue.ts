/** Lists what the shipped part models lack or contradict; ends with an error when there is anything. */
import type { PartModel, PlanDraft } from '@junctor/core';
import { checkComplete, checkLooseReadings, checkModel, judge, makeCatalogue, assemble } from '@junctor/core';
import { buildFile, check, partModel } from '@junctor/core/schemas';
import { shippedModels, shippedTemplates } from './shipped';

/** What is wrong with a model, a line each. */
export function modelGaps(model: PartModel): string[] {
  const checked = check(partModel, model);
  if (!checked.ok) return checked.mistakes.map(({ path, message }) => `${path}: ${message}`);
  return [...checkModel(model), ...checkComplete(model), ...checkLooseReadings(model)].map(
    ({ path, message }) => `${path}: ${message}`,
  );
}

function templateGaps(id: string, name: string, plan: PlanDraft, models: readonly PartModel[]): string[] {
  const checked = check(buildFile, { format: 'junctor-build', version: 1, name, plan });
  if (!checked.ok) return checked.mistakes.map(({ path, message }) => `${id} ${path}: ${message}`);
  // A template may work badly in a way that its maker knows of; it must not fail or destroy.
  const against = judge(assemble(plan.target, makeCatalogue(models)), plan.links, plan.cells).filter(
    ({ severity }) => severity !== 'warn',
  );
  return against.map(({ message }) => `${id}: ${message}`);
}

if (process.argv[1] === import.meta.filename) {
  const models = shippedModels();
  const gaps = [
    ...models.flatMap((model) => modelGaps(model).map((gap) => `${model.id}: ${gap}`)),
    ...shippedTemplates().flatMap(({ id, name, plan }) => templateGaps(id, name, plan, models)),
  ];
  for (const gap of gaps) console.error(gap);
  console.log(`catalogue: ${models.length} part models, ${gaps.length} gaps`);
  process.exit(gaps.length === 0 ? 0 : 1);
}
