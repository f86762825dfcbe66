/** What stands on one board against what hangs under the board above it, where they lie over each other. */
import type { StackLayer } from '../../../facts/assembly/build';
import type { HeightBox, PartModel } from '../../../facts/catalogue/partModel';
import type { Slot } from '../../../facts/terms/names';
import type { Area } from '../box';
import { areaOf, doOverlap, standingOn } from '../box';
import type { Laid } from '../laid';
import type { Margin, Remedy } from '../margin';
import { margin, notKnown } from '../margin';
import { gaugeOf } from '../measured';
import { reckon, sized, tenths } from '../sized';
import { between, boardsIn } from '../stack';
import { stackChange } from '../turned';

/** Parts may not press on each other; metal keeps away from live pads unless tape lies between. */
const [freeMm, clearMm, solderMm] = [0.5, 2, 0.5];

interface Standing extends Pick<HeightBox, 'mm'> {
  area: Area;
  name: string;
  isMetal: boolean;
  isLive: boolean;
}

export function betweenBoardsMargins(laid: Laid): Margin[] {
  if (!laid.stack) return [];
  const slots = boardsIn(laid.stack.stack);
  return slots.slice(1).map((upper, index) => onePair(laid, slots[index]!, upper));
}

function onePair(laid: Laid, lower: Slot, upper: Slot): Margin {
  const { stack } = laid.stack!;
  const gap = between(stack, lower, upper);
  const gapMm = gap.reduce((sum, { mm }) => sum + mm, 0);
  const up = standing(laid, lower, 'above');
  const down = standing(laid, upper, 'below');
  const nearest = up
    .flatMap((one) => down.filter((other) => doOverlap(one.area, other.area)).map((other) => pair(one, other)))
    .reduce((least, one) => (one.mm + one.needMm > least.mm + least.needMm ? one : least), {
      names: 'nothing over each other',
      mm: 0,
      needMm: 0,
    });
  const reckoned = reckon(gap, [sized(nearest.mm, 'board'), { mm: nearest.needMm, tolMm: 0 }]);
  const of = { kind: 'between boards', slots: [lower, upper] } as const;
  const asks = `the gap between ${lower} and ${upper} at ${nearest.names}, squeezed`;
  const said = {
    ...of,
    gauge: gaugeOf(laid, of, { asks, needMm: nearest.needMm }),
    what: `between ${lower} and ${upper}`,
    says:
      `${tenths(gapMm - nearest.mm)} mm between ${lower} and ${upper}, squeezed: ${nearest.names}; ` +
      `${nearest.needMm} mm are wanted`,
  } as const;
  // Parts that stand nobody knows where may miss each other.
  const isKnown = [lower, upper].every((slot) => laid.assembly.model(slot)!.body.heightsMm);
  if (!isKnown && !said.gauge.measured && reckoned.mm < 0)
    return notKnown({ ...said, says: `${said.says}. Nobody has said where parts stand on these boards: look` });
  return margin(said, reckoned, () => [washers(laid, upper)]);
}

function pair(one: Standing, other: Standing) {
  const isShellOnPads = (one.isMetal && other.isLive) || (other.isMetal && one.isLive);
  return {
    names: `${one.name} under ${other.name}`,
    mm: one.mm + other.mm,
    needMm: isShellOnPads ? clearMm : freeMm,
  };
}

function standing({ assembly, poses }: Laid, slot: Slot, face: 'above' | 'below'): Standing[] {
  const model = assembly.model(slot)!;
  const pose = poses.get(slot)!;
  const boxes = standingOn(model, face, pose).map((box): Standing => ({
    mm: box.mm,
    area: areaOf(box, pose),
    name: `${slot}'s ${wordFor[box.what]}`,
    isMetal: box.what === 'usb' || box.what === 'shield',
    isLive: false,
  }));
  return [...boxes, ...pads(model, slot, face).map((one) => ({ ...one, area: areaOf(one.box, pose) }))];
}

/** Solder stands on each pad of the face. */
function pads({ terminals }: PartModel, slot: Slot, face: 'above' | 'below') {
  const side = face === 'above' ? 'top' : 'bottom';
  return terminals
    .filter(({ form, sides }) => form !== 'tail' && form !== 'metal' && sides.includes(side))
    .map(({ printed, id, atMm, sizeMm }) => ({
      box: { atMm, sizeMm },
      mm: solderMm,
      name: `${slot}'s pad ${printed || id}`,
      isMetal: false,
      isLive: true,
    }));
}

const wordFor: Readonly<Record<HeightBox['what'], string>> = {
  parts: 'parts',
  usb: 'USB shell',
  button: 'button',
  socket: 'socket',
  ceramics: 'ceramics',
  coil: 'coil',
  shield: 'shield',
};

function washers(laid: Laid, upper: Slot): Remedy {
  const { stack } = laid.stack!;
  const at = stack.layers.findIndex((layer) => 'slot' in layer && layer.slot === upper);
  const washer: StackLayer = { washer: 'washer', mm: 1 };
  return {
    says: `Put 1 mm washers under ${upper}`,
    changes: [
      stackChange(laid, { ...stack, layers: [...stack.layers.slice(0, at), washer, ...stack.layers.slice(at)] }),
    ],
  };
}
