/** A plan laid out in its frame: where each part lies, every margin, each wire's length; as text, data or a drawing. */
import type { Catalogue, Layout, LayoutView } from '@junctor/core';
import { assemble, balanceOf, centreWords, cutLengths, layoutOf, layoutSvg, tenths } from '@junctor/core';
import type { Said } from './commands';
import type { BuildFile } from './readFile';
import { BadInput } from './readFile';

export type LayoutAs = 'text' | LayoutView;

/** @throws {BadInput} If the plan has no frame. */
export function laidPlan({ name, plan }: BuildFile, catalogue: Catalogue): Layout {
  const layout = layoutOf(assemble(plan.target, catalogue));
  if (layout) return layout;
  throw new BadInput([{ file: name, line: 1, path: 'plan.target.slots', reason: 'has no frame to lay it out in' }]);
}

/** @throws {BadInput} If the plan has no frame. */
export function layoutFile(build: BuildFile, catalogue: Catalogue, as: LayoutAs): Said {
  const { laid, margins, harnessMm } = laidPlan(build, catalogue);
  if (as !== 'text') return { text: layoutSvg(laid, as, `${build.name}, ${as}`), data: null, found: false };
  const poses = [...laid.poses].filter(([, { place }]) => laid.places.has(place));
  const cuts = cutLengths(laid, build.plan.schools);
  const dry = balanceOf(laid.assembly, {}, laid);
  const lines = [
    ...margins.map(({ verdict, what, says, remedies }) =>
      [`${verdict}  ${what}: ${says}`, ...remedies.map((remedy) => `      ${remedy.says}`)].join('\n'),
    ),
    ...poses.map(([slot, { place, yawDeg }]) => `${slot}: ${place}, turned ${yawDeg} degrees`),
    ...cuts.map(
      ({ wire, awg, colour, from, to, mm, runMm }) =>
        `cut ${wire}: ${mm} mm, ${awg} AWG ${colour}, ${from} to ${to}, way ${tenths(runMm)} mm`,
    ),
    `harness ${Math.round(harnessMm)} mm along its ways`,
    `dry ${dry.g.map((g) => g.toFixed(0)).join(' to ')} g${dry.centre ? `, its centre ${centreWords(dry.centre)}` : ''}`,
  ];
  const data = { margins, poses: Object.fromEntries(poses), cuts, harnessMm, dry };
  return { text: lines.join('\n'), data, found: margins.some(({ verdict }) => verdict === 'no') };
}
