/** From a frame as entered to a part model: corners, plates, places and openings. */
import type { FrameBody, FrameOpening, Place, Plate, XYZ } from '../../facts/catalogue/frame';
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import { cornersOf, square } from './frameCorners';
import type { DraftOpening, DraftPlace, DraftSide, FrameDraft } from './frameDraft';
import { waysIn } from './frameWays';
import { idOf } from './idOf';
import { rectangle } from './rectangle';

export function draftFrame(draft: FrameDraft): PartModel {
  const { name, maker, massG, conducts, stack } = draft;
  return {
    id: idOf(name),
    revision: 1,
    kind: 'frame',
    name,
    maker,
    massG,
    body: {
      outlineMm: rectangle(draft.wideMm, draft.longMm),
      aboveMm: 4,
      belowMm: 2,
      holes: square(stack.patternMm, stack.aheadMm).map((atMm) => ({ atMm, drillMm: 3 })),
      openings: [],
      arrowDeg: 90,
    },
    terminals: conducts ? [plate] : [],
    connectors: [],
    tails: [],
    elements: [],
    ports: [],
    signs: [],
    covers: [],
    frame: bodyOf(draft),
    knownFrom: { '': 'measured', '/frame/route': 'assumed' },
  };
}

const plate: Terminal = {
  id: 'PLATE',
  printed: 'carbon',
  node: 'CARBON',
  form: 'metal',
  sides: ['top', 'bottom'],
  atMm: [0, 0],
  sizeMm: [20, 10],
  copper: 'plane',
  holds: 0,
  thickestAwg: 40,
  withstandV: [-60, 60],
  withstandOffV: [-60, 60],
  touch: 'easy',
  contact: 'bare',
  roles: [{ is: 'metal' }],
};

function bodyOf(draft: FrameDraft): FrameBody {
  const { stack, lid, conducts, pack, openings } = draft;
  const thread = threadOf(stack.patternMm);
  const { route, entryOf } = waysIn(draft);
  return {
    corners: cornersOf(draft),
    bays: [],
    posts: square(stack.patternMm, stack.aheadMm).map((atMm) => ({ atMm, lengthMm: stack.screwMm, thread })),
    route,
    conducts,
    plates: platesOf(draft),
    places: [stackPlace(draft), ...draft.places.map((one) => placeOf(draft, one, entryOf)), ...armPlaces(draft)],
    ways: openings.map((one) => openingOf(draft, one)),
    ...(lid ? { lid: { plate: 'lid', settlesMm: [0, lid.settlesMm] as const } } : {}),
    pack,
  };
}

/** Over 28 mm stand the thicker screws. */
const threadOf = (patternMm: number) => (patternMm > 28 ? 'M3' : 'M2');

function platesOf(draft: FrameDraft): Plate[] {
  const { bottomMm, armsMm, lid, conducts } = draft;
  const contact = conducts ? 'bare edge' : 'resin';
  const outlineMm = rectangle(draft.wideMm, draft.longMm);
  const middle = (Math.min(draft.wideMm, draft.longMm) * 0.7) / 2;
  const arms = square(2 * middle);
  return [
    { id: 'bottom', zMm: 0, thicknessMm: bottomMm, outlineMm, contact },
    ...(armsMm > 0 ? [{ id: 'arms', zMm: bottomMm, thicknessMm: armsMm, outlineMm: arms, contact } as const] : []),
    ...(lid ? [{ id: 'lid', zMm: bottomMm + lid.overMm, thicknessMm: lid.thickMm, outlineMm, contact } as const] : []),
  ];
}

/** What a stack may be high without a lid. */
const openMm = 40;

function stackPlace({ stack, wideMm, longMm, bottomMm, armsMm, lid }: FrameDraft): Place {
  const { patternMm, aheadMm } = stack;
  return {
    id: 'stack',
    kind: 'stack',
    atMm: [0, aheadMm, bottomMm + armsMm],
    roomMm: [wideMm, Math.min(longMm, wideMm), lid ? lid.overMm - armsMm : openMm],
    holes: { patternMm: [patternMm, patternMm], thread: threadOf(patternMm) },
    turns: [0, 90, 180, 270],
    faces: ['up'],
    airflow: 'some',
    entry: 'centre',
  };
}

function placeOf(draft: FrameDraft, place: DraftPlace, entryOf: (at: DraftPlace) => string): Place {
  const { name, kind, atMm, roomMm, patternMm, madeFor } = place;
  const { bottomMm, lid } = draft;
  const floorMm = kind === 'lid' && lid ? bottomMm + lid.overMm + lid.thickMm : bottomMm;
  return {
    id: name,
    kind,
    ...(madeFor ? { madeFor: [madeFor] } : {}),
    atMm: [atMm[0], atMm[1], floorMm + atMm[2]],
    roomMm,
    holes: patternMm === null ? null : { patternMm: [patternMm, patternMm], thread: threadOf(patternMm) },
    turns: kind === 'cheeks' ? [0] : [0, 90, 180, 270],
    faces: ['up'],
    airflow: kind === 'bay' ? 'some' : 'free',
    entry: entryOf(place),
  };
}

/** Where a single ESC lies: half way out, along the arm. */
function armPlaces({ bottomMm, armsMm, ...draft }: FrameDraft): Place[] {
  return cornersOf({ bottomMm, armsMm, ...draft }).map(({ index, atMm: [x, y] }): Place => {
    const turn = Math.round((Math.atan2(y, x) * 180) / Math.PI + 360) % 360;
    return {
      id: `arm${index}`,
      kind: 'arm',
      atMm: [x / 2, y / 2, bottomMm + armsMm],
      roomMm: [26, Math.hypot(x, y) / 2, 9],
      holes: null,
      turns: [turn, (turn + 180) % 360],
      faces: ['up'],
      airflow: 'free',
      entry: `arm${index}`,
    };
  });
}

const facings: Readonly<Record<DraftSide, XYZ>> = {
  left: [-1, 0, 0],
  right: [1, 0, 0],
  front: [0, 1, 0],
  rear: [0, -1, 0],
  above: [0, 0, 1],
  below: [0, 0, -1],
};

function openingOf(
  { wideMm, longMm, bottomMm, lid }: FrameDraft,
  { side, atMm, ...opening }: DraftOpening,
): FrameOpening {
  const [a, b] = atMm;
  const at: Readonly<Record<DraftSide, XYZ>> = {
    left: [-wideMm / 2, a, bottomMm + b],
    right: [wideMm / 2, a, bottomMm + b],
    front: [a, longMm / 2, bottomMm + b],
    rear: [a, -longMm / 2, bottomMm + b],
    above: [a, b, bottomMm + (lid?.overMm ?? openMm)],
    below: [a, b, 0],
  };
  return { id: opening.name, passes: opening.passes, atMm: at[side], sizeMm: opening.sizeMm, facing: facings[side] };
}
