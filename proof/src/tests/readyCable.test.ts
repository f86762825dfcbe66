/** A cable that comes ready made is a part like any other: planned, judged, laid out. */
import { shippedTemplate } from '@junctor/catalogue';
import { assemble, emptyBuild, layoutOf, planWiring, wishesFor } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { expect, it } from 'vitest';
import { catalogue } from '../trials/ruleTrial';

it('puts a ready cable between a camera and a unit that have sockets, and no rule objects', async () => {
  const { target: built, cells } = shippedTemplate('quad-culvert-4s').plan;
  const fitted = (model: string) => ({ model, revision: 1, part: null, pose: null });
  const slots = { ...built.slots, CAM: fitted('wigeon-cam-s'), CBL: fitted('sedge-coax-20') };
  const wishes = wishesFor(assemble({ ...emptyBuild, slots }, catalogue));
  const result = planWiring({ slots, catalogue, cells, wishes, pinned: [] }, await loadSolver());
  if (result.is !== 'planned') throw new Error(`${result.is}: ${result.why}`);
  const { target, findings } = result;
  expect(findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
  const ends = Object.values(target.mates).flatMap(({ a, b }) =>
    'slot' in a && 'slot' in b ? [[a.slot, b.slot]] : [],
  );
  expect(ends.filter(([a]) => a === 'CBL').map(([, b]) => b)).toEqual(expect.arrayContaining(['VTX', 'CAM']));
  const says = layoutOf(assemble(target, catalogue))!.margins.map((margin) => margin.says);
  expect(says).toContainEqual(
    expect.stringMatching(/^the cable from \w+ to \w+ is 120 mm long, .* 4 mm go into its plugs/),
  );
});
