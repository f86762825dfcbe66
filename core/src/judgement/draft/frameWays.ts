/** The usual ways of wires through a frame: nobody measures them. */
import type { FrameBody, XYZ } from '../../facts/catalogue/frame';
import { cornersOf } from './frameCorners';
import type { DraftPlace, FrameDraft } from './frameDraft';

/** Wires lie 2 mm over the plate, and go along the arms to the motors; by the rear up to what is on the lid. */
const lieMm = 2;

export function waysIn(draft: FrameDraft): { route: FrameBody['route']; entryOf: (at: DraftPlace) => string } {
  const { wideMm, longMm, bottomMm, armsMm, lid } = draft;
  const z = bottomMm + armsMm + lieMm;
  const middle: Readonly<Record<string, XYZ>> = {
    centre: [0, 0, z],
    front: [0, longMm / 4, z],
    rear: [0, -longMm / 4, z],
    left: [-wideMm / 2, 0, z],
    right: [wideMm / 2, 0, z],
    ...(lid ? { top: [0, -longMm / 6, bottomMm + lid.overMm - lieMm] as const } : {}),
  };
  const arms = cornersOf(draft).flatMap(({ index, atMm: [x, y], level }): [string, XYZ][] => {
    const out = Math.min(1, Math.max(wideMm, longMm) / 4 / Math.hypot(x, y));
    const end: XYZ = [x, y, level === 'upper' ? z - lieMm : 0];
    return [
      [`arm${index}`, [x * out, y * out, z]],
      [`end${index}`, end],
    ];
  });
  const edges = [
    ...['front', 'rear', 'left', 'right'].map((to) => ['centre', to] as const),
    ...cornersOf(draft).flatMap(({ index }) => [
      ['centre', `arm${index}`] as const,
      [`arm${index}`, `end${index}`] as const,
    ]),
    ...(lid ? [['rear', 'top'] as const] : []),
  ];
  const sixth = longMm / 6;
  const entryOf = ({ kind, atMm: [, ahead] }: DraftPlace) => {
    if (kind === 'lid' && lid) return 'top';
    if (Math.abs(ahead) <= sixth) return 'centre';
    return ahead > 0 ? 'front' : 'rear';
  };
  return { route: { points: { ...middle, ...Object.fromEntries(arms) }, edges }, entryOf };
}
