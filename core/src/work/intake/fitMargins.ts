/**
 * Does what is planned go into the frame? Each boxed part and each stack of boards against the frame's bays, axis by
 * axis; and stack screws against what they clamp. Limits are shop values: 2 mm is comfortable.
 */
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';

interface FitMargin {
  what: string;
  slots: readonly Slot[];
  bay: string;
  /** Room left along, across and up, in mm; negative: too big. */
  marginMm: readonly [number, number, number];
  holes: string | null;
  verdict: 'go' | 'tight' | 'no';
}

interface ScrewFit {
  thread: string;
  lengthMm: number;
  clampsMm: number;
  engagedMm: number;
  verdict: 'good' | 'too short' | 'too long';
}

const comfortableMm = 2;
const boardMm = 1.6;
const stacked = new Set(['controller', 'esc', 'single board', 'distribution']);

export function fitMargins(target: Assembly): FitMargin[] {
  const all = Object.keys(target.build.slots).map((slot) => ({ slot, model: target.model(slot)! }));
  const frame = all.find(({ model }) => model.frame)?.model.frame;
  if (!frame) return [];
  const [stackBay, otherBay = frame.bays[0]] = [frame.bays[0], frame.bays[1]];
  const boards = all.filter(({ model }) => stacked.has(model.kind) && model.body.mount);
  const boxed = all.filter(({ model }) => model.body.boxMm && model.kind !== 'camera');
  return [
    ...(boards.length > 0 && stackBay
      ? [
          margin(
            { what: 'stack', slots: boards.map(({ slot }) => slot), size: stackSize(boards.map(({ model }) => model)) },
            stackBay,
            patterns(boards.map(({ model }) => model)),
          ),
        ]
      : []),
    ...boxed.flatMap(({ slot, model }) =>
      otherBay
        ? [margin({ what: model.name, slots: [slot], size: model.body.boxMm! }, otherBay, patterns([model]))]
        : [],
    ),
  ];
}

function margin(
  { what, slots, size }: { what: string; slots: readonly Slot[]; size: readonly [number, number, number] },
  bay: NonNullable<PartModel['frame']>['bays'][number],
  pattern: string | null,
): FitMargin {
  const marginMm = [bay.sizeMm[0] - size[0], bay.sizeMm[1] - size[1], bay.sizeMm[2] - size[2]].map(
    (mm) => Math.round(mm * 10) / 10,
  ) as [number, number, number];
  const least = Math.min(...marginMm);
  const holes = pattern && !bay.hole.startsWith(pattern) ? `holes ${pattern}, bay ${bay.hole}` : null;
  return {
    what,
    slots,
    bay: bay.id,
    marginMm,
    holes,
    verdict: verdictOf(least, holes),
  };
}

function verdictOf(least: number, holes: string | null) {
  if (least < 0) return 'no';
  if (least < comfortableMm || holes) return 'tight';
  return 'go';
}

function stackSize(models: readonly PartModel[]): [number, number, number] {
  const span = (axis: 0 | 1) =>
    Math.max(
      ...models.map(
        ({ body }) =>
          Math.max(...body.outlineMm.map((at) => at[axis])) - Math.min(...body.outlineMm.map((at) => at[axis])),
      ),
    );
  return [span(0), span(1), stackHeightMm(models) + models.at(-1)!.body.aboveMm];
}

/** From the frame's plate to the top of the last board, on squeezed grommets. */
function stackHeightMm(models: readonly PartModel[]): number {
  return models.reduce((sum, { body }) => sum + (body.mount?.squeezedMm ?? 0) + boardMm, 0);
}

function patterns(models: readonly PartModel[]): string | null {
  const [first] = models[0]?.body.holes ?? [];
  return first ? String(Math.abs(first.atMm[0]) * 2) : null;
}

/** Stack screws: one nut's height and a turn beyond it hold; more than 8 mm over is in the way. */
export function screwFits(target: Assembly): ScrewFit[] {
  const boards = Object.keys(target.build.slots)
    .map((slot) => target.model(slot)!)
    .filter(({ kind, body }) => stacked.has(kind) && body.mount);
  if (boards.length === 0) return [];
  const { thread, lengthMm } = boards[0]!.body.mount!;
  const clampsMm = stackHeightMm(boards) + 2;
  const engagedMm = Math.round((lengthMm - clampsMm) * 10) / 10;
  const nutMm = Number(thread.slice(1)) * 0.8;
  return [
    {
      thread,
      lengthMm,
      clampsMm: Math.round(clampsMm * 10) / 10,
      engagedMm,
      verdict: screwVerdictOf(engagedMm, nutMm),
    },
  ];
}

function screwVerdictOf(engagedMm: number, nutMm: number) {
  if (engagedMm < nutMm) return 'too short';
  if (engagedMm > nutMm + 8) return 'too long';
  return 'good';
}
