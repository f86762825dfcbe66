/** Lists what the shipped part models lack or contradict; ends with an error when there is anything. */
import type { PartModel, PlanDraft } from '@junctor/core';
import { judge, makeCatalogue } from '@junctor/core';
import { buildFile, check, partModel } from '@junctor/core/schemas';
import { shippedModels, shippedTemplates } from './catalogue';

/** What is wrong with a model, a line each. */
export function modelGaps(model: PartModel): string[] {
  const checked = check(partModel, model);
  if (!checked.ok) return checked.mistakes.map(({ path, message }) => `${path}: ${message}`);
  const ids = model.terminals.map(({ id }) => id);
  const nodes = new Set(model.terminals.map(({ node }) => node));
  const ports = new Set(model.ports.map(({ id }) => id));
  const outline = bounds(model);
  return [
    ...ids.filter((id, index) => ids.indexOf(id) !== index).map((id) => `terminal ${id} is there twice`),
    ...model.terminals.flatMap((terminal) => [
      ...(terminal.sizeMm.some((size) => size <= 0) ? [`terminal ${terminal.id} has no size`] : []),
      ...(terminal.form !== 'tail' && !inside(terminal.atMm, outline) ? [`terminal ${terminal.id} lies off the part`] : []),
      ...(terminal.withstandV[0] >= terminal.withstandV[1] ? [`terminal ${terminal.id} has no voltage limits`] : []),
      ...terminal.roles.flatMap((role) => (role.is === 'port' && !ports.has(role.port) ? [`terminal ${terminal.id} names port ${role.port}, which is not there`] : [])),
    ]),
    ...model.connectors.flatMap(({ id, pins }) => pins.filter((pin) => !ids.includes(pin)).map((pin) => `connector ${id} names pin ${pin}, which is not there`)),
    ...model.tails.filter(({ terminal }) => !ids.includes(terminal)).map(({ terminal }) => `lead ${terminal} has no terminal`),
    ...(model.kind === 'battery lead' || touchesNodes(model, nodes) ? [] : ['no inner element: readings on it cannot be computed']),
    ...('' in model.knownFrom ? [] : ['knownFrom says nothing about the whole']),
  ];
}

function touchesNodes(model: PartModel, nodes: ReadonlySet<string>): boolean {
  return model.elements.some((element) => Object.values(element).some((value) => typeof value === 'string' && nodes.has(value)));
}

function bounds({ body }: PartModel): { low: [number, number]; high: [number, number] } {
  const [xs, ys] = [body.outlineMm.map(([x]) => x), body.outlineMm.map(([, y]) => y)];
  return { low: [Math.min(...xs), Math.min(...ys)], high: [Math.max(...xs), Math.max(...ys)] };
}

function inside([x, y]: readonly [number, number], { low, high }: ReturnType<typeof bounds>): boolean {
  return x >= low[0] && x <= high[0] && y >= low[1] && y <= high[1];
}

function templateGaps(id: string, name: string, plan: PlanDraft, models: readonly PartModel[]): string[] {
  const checked = check(buildFile, { format: 'junctor-build', version: 1, name, plan });
  if (!checked.ok) return checked.mistakes.map(({ path, message }) => `${id} ${path}: ${message}`);
  return judge(plan.target, makeCatalogue(models), plan.links, plan.cells).map(({ says }) => `${id}: ${says}`);
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
