/**
 * The planner: from parts and wishes to a complete wiring, the best there is and proven to be, or the smallest set of
 * wishes that cannot all be met. The solver is given; what it finds is judged by all rules before it is believed.
 */
import type { Build } from '../../facts/assembly/build';
import { emptyBuild } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { keepDormant } from '../conversion/keepDormant';
import type { Range, Slot, TerminalRef } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import type { Link, Pinned } from '../../facts/plan/plan';
import type { Wish } from '../../facts/plan/wish';
import type { Finding } from '../../judgement/rules/finding';
import { judge } from '../../judgement/rules/judge';
import { decode, jointsOf } from './decode';
import type { SoftPenalty, SoftPenalties } from './softPenalties';
import type { Need } from './needs';
import { needsOf } from './needs';
import { optionsFor } from './options';
import { straightened } from './straightened';
import { powerPath } from './powerPath';
import type { Constraint, Solve, Terms } from '../../facts/terms/solver';
import { penaltiesOf, wiringModel, withAim } from './wiringModel';
import { assemble } from '../../facts/assembly/assembly';
import type { Option } from './ways';
import type { WiringInput } from './wiringVariables';
import { dropName, joinName, optionName } from './wiringVariables';
import type { PowerPath } from './fixedJoins';
import { lookUp } from '../../facts/terms/lookUp';

export interface PlanRequest {
  /** The parts, with their places where known. */
  slots: Build['slots'];
  catalogue: Catalogue;
  cells: Range;
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
  /** What is wired already, or begun: its joints are kept where they serve. */
  keep?: Build;
  /** What really exists, where `keep` goes beyond it: work is counted from here. */
  built?: Build;
  /** Parts of `keep` that stay in, out of use, and are not among the slots. */
  dormant?: readonly Slot[];
}

export interface PlannedWish {
  wish: Wish;
  /** null: dropped. */
  way: string | null;
  /** Port of the other part, as `FC/UART2`; null when it takes none. */
  port: string | null;
}

export interface Planned {
  is: 'planned';
  target: Build;
  links: readonly Link[];
  wishes: readonly PlannedWish[];
  /**
   * What the three aims came to, as they were weighed: loss, soft penalties, and millimetres with so many for each
   * joint.
   */
  cost: { loss: number; softPenalties: number; lengthMm: number };
  /** Its soft penalties, counted. */
  softPenalties: SoftPenalties;
  /** How often wires cross seen from above, before pads that serve alike were exchanged and after. */
  crossings: { before: number; after: number };
  findings: readonly Finding[];
}

/** Wishes of which not all can be met; empty when the parts cannot be wired at all, and then `why` says which. */
export interface Conflict {
  is: 'conflict';
  wishes: readonly string[];
  why: string;
}

export type PlanResult = Planned | Conflict | { is: 'gave up'; why: string };

/** Called between solves: how far it is, from 0 to 1, and in words. */
type OnProgress = (share: number, words: string) => void;

/** A wiring that the rules refuse is forbidden and the next best is taken, so often at most. */
const maxCuts = 8;

export interface Prepared {
  path: PowerPath;
  needs: readonly Need[];
  options: readonly Option[];
  input: WiringInput;
}

/** What the model is made from. */
export function prepare(request: PlanRequest): Prepared {
  const assembly = assemble({ ...emptyBuild, slots: request.slots }, request.catalogue);
  const path = powerPath(assembly, request.keep);
  const needs = needsOf(assembly, packVolts(request.cells), path);
  const options = request.wishes.flatMap((wish) => optionsFor(wish, assembly));
  const kept = request.keep ? jointsOf(assemble(request.keep, request.catalogue)) : new Set<string>();
  return {
    path,
    needs,
    options,
    input: { assembly, path, needs, wishes: request.wishes, options, pinned: request.pinned, kept },
  };
}

/** Plans a wiring. */
export function planWiring(request: PlanRequest, solve: Solve, onProgress: OnProgress = () => undefined): PlanResult {
  const prepared = prepare(request);
  const cuts: Constraint[] = [];
  for (let round = 0; round <= maxCuts; round++) {
    onProgress(0.1 + round / (maxCuts * 2), round === 0 ? 'weighing the ways' : 'looking for the next best');
    const solved = solveInOrder(prepared, cuts, solve, onProgress);
    if (solved.is !== 'solved')
      return solved.is === 'impossible' ? conflictOf(request, prepared, solve, onProgress) : solved;
    const planned = toPlan(request, prepared, solved);
    const objecting = planned.findings.find(({ severity }) => severity !== 'warn');
    if (!objecting) return planned;
    cuts.push(forbid(prepared, solved.values, objecting));
  }
  return { is: 'gave up', why: `the rules refused ${maxCuts + 1} wirings in a row` };
}

interface Solved {
  is: 'solved';
  values: Readonly<Record<string, number>>;
  cost: Planned['cost'];
  softPenalties: SoftPenalties;
}

/** No soft penalties weigh as much as the least loss, so that one solve settles both. */
const lossOverPenalties = 1000;

/** Loss and soft penalties first; then, with no more of either, length. */
function solveInOrder(
  { input }: Prepared,
  cuts: readonly Constraint[],
  solve: Solve,
  onProgress: OnProgress,
): Solved | { is: 'impossible' } | { is: 'gave up'; why: string } {
  const model = wiringModel(input);
  const held: Constraint[] = [...cuts];
  const softPenalties = penaltiesOf(model);
  const first: Terms = [
    ...model.loss.map(([name, factor]) => [name, factor * lossOverPenalties] as const),
    ...softPenalties,
  ];
  onProgress(0.3, 'serving the wishes, spreading over the pads');
  const served = solve(withAim(model, first, held));
  if (served.is !== 'optimal') return served;
  held.push({ terms: first, is: '<=', value: Math.round(served.value) + 1e-4 });
  onProgress(0.6, 'shortening the wires');
  const shortened = solve(withAim(model, model.length, held));
  if (shortened.is !== 'optimal') return shortened;
  const { values } = shortened;
  const counted = Object.fromEntries(
    Object.entries(model.penalised).map(([kind, names]) => [
      kind,
      sumOf(
        names.map((name) => [name, 1] as const),
        values,
      ),
    ]),
  ) as Record<SoftPenalty, number>;
  return {
    is: 'solved',
    values,
    cost: {
      loss: sumOf(model.loss, values),
      softPenalties: sumOf(softPenalties, values),
      lengthMm: Math.round(shortened.value),
    },
    softPenalties: counted,
  };
}

function sumOf(terms: Terms, values: Readonly<Record<string, number>>): number {
  return Math.round(terms.reduce((sum, [name, factor]) => sum + factor * (lookUp(values, name) ?? 0), 0));
}

function on(values: Readonly<Record<string, number>>, name: string): boolean {
  return (lookUp(values, name) ?? 0) > 0.5;
}

function toPlan(
  request: PlanRequest,
  { needs, options, input }: Prepared,
  { values, cost, softPenalties }: Solved,
): Planned {
  const chosen = options.filter(({ id }) => on(values, optionName(id)));
  const pads = new Map<TerminalRef, TerminalRef>();
  const owns = [
    ...needs.map(({ own, pads: offered }) => ({ own, offered: offered.map(({ ref }) => ref) })),
    ...chosen.flatMap(({ signals }) => signals.map(({ own, pads: offered }) => ({ own, offered }))),
  ];
  for (const { own, offered } of owns) {
    const pad = offered.find((ref) => on(values, joinName(own, ref)));
    if (pad) pads.set(own, pad);
  }
  const straight = straightened(input, pads);
  const purposes = Object.fromEntries(request.wishes.map(({ id }) => [id, id]));
  const { target: wired, links } = decode({
    assembly: input.assembly,
    path: straight.path,
    needs,
    options: chosen,
    pads: straight.pads,
    pinned: request.pinned,
    keep: request.keep ?? emptyBuild,
    purposes,
  });
  const target = (request.dormant ?? []).reduce(
    (made, slot) => keepDormant(made, request.keep ?? emptyBuild, slot),
    wired,
  );
  const wishes = request.wishes.map((wish): PlannedWish => {
    const option = on(values, dropName(wish.id)) ? undefined : chosen.find((option) => option.wish === wish.id);
    const end = option?.ends.find(({ slot }) => slot !== wish.of);
    return { wish, way: option?.way ?? null, port: end ? `${end.slot}/${end.port}` : null };
  });
  return {
    is: 'planned',
    target,
    links,
    wishes,
    cost,
    softPenalties,
    crossings: straight.crossings,
    findings: judge(assemble(target, request.catalogue), links, request.cells),
  };
}

/** These choices around the finding, together, never again. */
function forbid({ options, needs }: Prepared, values: Readonly<Record<string, number>>, { at }: Finding): Constraint {
  const slots = new Set<Slot>(at.map((ref) => ref.slice(0, ref.indexOf('.'))));
  const about = (ref: TerminalRef) => slots.size === 0 || slots.has(ref.slice(0, ref.indexOf('.')));
  const names = [
    ...needs.flatMap(({ own, pads }) => pads.map(({ ref }) => ({ own, ref }))),
    ...options.flatMap(({ signals }) => signals.flatMap(({ own, pads }) => pads.map((ref) => ({ own, ref })))),
  ]
    .filter(({ own, ref }) => (about(own) || about(ref)) && on(values, joinName(own, ref)))
    .map(({ own, ref }) => joinName(own, ref));
  const chosen = [...new Set(names)];
  return { terms: chosen.map((name) => [name, 1]), is: '<=', value: chosen.length - 1 };
}

/** True when these wishes can be met together, whatever becomes of the others. */
export function feasible(
  prepared: Prepared,
  musts: ReadonlySet<string>,
  solve: Solve,
  pinned = prepared.input.pinned,
): boolean {
  const wishes = prepared.input.wishes.map((wish) => ({ ...wish, must: musts.has(wish.id) }));
  const model = wiringModel({ ...prepared.input, wishes, pinned });
  return solve(withAim(model, [], [])).is === 'optimal';
}

/** Takes wish after wish away; what cannot go without the rest becoming possible is the smallest set. */
function conflictOf(request: PlanRequest, prepared: Prepared, solve: Solve, onProgress: OnProgress): Conflict {
  onProgress(0.6, 'looking for what stands against what');
  if (!feasible(prepared, new Set(), solve)) return { is: 'conflict', wishes: [], why: unwirable(prepared) };
  let left = request.wishes.filter(({ must }) => must).map(({ id }) => id);
  for (const [index, id] of [...left].entries()) {
    onProgress(0.6 + (0.4 * index) / left.length, 'looking for what stands against what');
    const without = left.filter((other) => other !== id);
    if (!feasible(prepared, new Set(without), solve)) left = without;
  }
  return {
    is: 'conflict',
    wishes: left,
    why: left.length === 1 ? `${left[0]} cannot be met with these parts` : `${left.join(', ')} cannot all be met`,
  };
}

/** Which part has no pad that would do. */
function unwirable({ needs, input }: Prepared): string {
  const without = needs.find(({ pads }) => pads.length === 0);
  if (without) return `${without.slot}: nothing here gives the ${without.is} that ${without.own} takes`;
  return input.pinned.length > 0 ? 'what was chosen by hand cannot be kept' : 'the pads do not suffice for the parts';
}
