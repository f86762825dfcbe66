/** How long the page's computations take on the demo job: deriving everything from the log, one expectation. */
import { compile, deriveJob, expectIn, fold, makeCatalogue, assemble } from '@junctor/core';
import { shippedMeter, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { demoShop, listFor } from '@junctor/demo';
import type { Measurement } from './measurement';
import { atMost } from './measurement';
import { median, timed } from './timed';

export async function pace(): Promise<Measurement[]> {
  const catalogue = makeCatalogue(shippedModels());
  const meter = { id: 'm', name: 'm', ...shippedMeter };
  const made = performance.now();
  const shop = demoShop({ catalogue, templates: shippedTemplates(), meter, limiterId: 'l', now: new Date(0) });
  const demoS = (performance.now() - made) / 1000;
  const job = shop.jobs[0]!;
  const plan = { ...job.plan, jobId: job.id, version: 1 };
  const list = listFor(plan.target, catalogue, meter);
  const derive = median(
    Array.from({ length: 15 }, () =>
      timed(() => deriveJob({ jobId: job.id, plan, log: fold(job.records, catalogue), catalogue, list })),
    ),
  );
  const circuit = compile(assemble(plan.target, catalogue));
  const touches = list.touches.map(({ touch }) => timed(() => expectIn(circuit, touch, { meter, heldS: 2.5 })));
  return [
    atMost(`derive a job of ${job.records.length} records, median:`, { value: derive, unit: 'ms', bar: 100 }),
    atMost('one expectation, median:', { value: median(touches), unit: 'ms', bar: 200 }),
    atMost('one expectation, longest:', { value: Math.max(...touches), unit: 'ms', bar: 1000 }),
    atMost('demo history made:', { value: demoS, unit: 's', bar: 20 }),
  ];
}
