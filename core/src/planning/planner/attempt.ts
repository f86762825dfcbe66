/**
 * One try at a wiring: the exact model is made and solved, and what comes of it is judged by all rules before it is
 * believed. Nothing is said of why it cannot be.
 */
import { emptyBuild } from '../../facts/assembly/build';
import { keepDormant } from '../conversion/keepDormant';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { packVolts, splitRef } from '../../facts/terms/names';
import type { Finding } from '../../judgement/rules/finding';
import { judge } from '../../judgement/rules/judge';
import { alikeParts, isInTurn } from './alike';
import { counted } from './counted';
import { decode } from './decode';
import { jointsOf } from './jointsOf';
import type { HeldOver } from './heldOver';
import { heldOver } from './heldOver';
import type { SoftPenalty, SoftPenalties } from './softPenalties';
import type { Need } from './needs';
import { needsOf } from './needs';
import { optionsFor } from './options';
import { railsAlone } from './railsAlone';
import { withoutUnasked } from './restricted';
import { straightened } from './straightened';
import { powerPath } from './powerPath';
import type { Constraint, Solve, Terms } from '../../facts/terms/solver';
import { penaltiesOf, wiringModel, withAim } from './wiringModel';
import { assemble } from '../../facts/assembly/assembly';
import type { OnProgress, Planned, PlannedWish, PlanRequest } from './request';
import type { Option } from './ways';
import type { WiringInput } from './wiringVariables';
import { dropName, joinName, optionName, usedName } from './wiringVariables';
import type { PowerPath } from './fixedJoins';
import { lookUp } from '../../facts/terms/lookUp';

/** A wiring that the rules refuse is forbidden and the next best is taken, so often at most. */
const maxCuts = 8;

export interface Prepared {
  path: PowerPath;
  needs: readonly Need[];
  options: readonly Option[];
  input: WiringInput;
  held: HeldOver;
}

/** What the model is made from. */
export function prepare(request: PlanRequest): Prepared {
  const assembly = assemble({ ...emptyBuild, slots: request.slots }, request.catalogue);
  const held = heldOver(request.keep, request.slots, request.catalogue);
  const path = powerPath(assembly, held.build);
  const needs = needsOf(assembly, packVolts(request.cells), path);
  const options = request.wishes.flatMap((wish) => optionsFor(wish, assembly));
  const there = assemble(held.build, request.catalogue);
  const kept = new Set(Object.values(held.build.wires).flatMap((wire) => jointsOf(there, wire)));
  const alike = alikeParts(request);
  const inTurn = options.filter((option) => isInTurn(option, alike));
  return {
    path,
    needs,
    options,
    held,
    input: { assembly, path, needs, wishes: request.wishes, options: inTurn, pinned: request.pinned, kept, alike },
  };
}

/** A wiring that no rule refuses, or what stands against it. */
type Attempt = Planned | { is: 'impossible' } | { is: 'refused'; finding: Finding } | { is: 'gave up'; why: string };

/** How far the aims are followed, and who is told. */
interface Pursuit {
  /** Where it only matters what is served, pads and wires need not be the best. */
  until?: 'served' | 'shortened';
  onProgress?: OnProgress;
}

/** The best wiring that the rules let pass. */
export function attempt(
  request: PlanRequest,
  solve: Solve,
  { until = 'shortened', onProgress = () => undefined }: Pursuit = {},
): Attempt {
  const prepared = prepare(request);
  if (counted(prepared.input.assembly) || starves(prepared.input, solve)) return { is: 'impossible' };
  const cuts: Constraint[] = [];
  let first: Finding | null = null;
  const seen = new Set<string>();
  for (let round = 0; round <= maxCuts; round++) {
    onProgress(0.1 + round / (maxCuts * 2), round === 0 ? 'weighing the ways' : 'looking for the next best');
    const solved = solveInOrder(prepared, cuts, solve, { until, onProgress });
    if (solved.is === 'impossible' && first) return { is: 'refused', finding: first };
    if (solved.is !== 'solved') return solved;
    const planned = toPlan(request, prepared, solved);
    const [objecting] = objections(planned);
    if (!objecting) return planned;
    if (round === 0) {
      // What is said of the parts and the fixed joins alone no choice can mend.
      const bare = new Set(objections(toPlan(request, prepared, nothingChosen)).map(({ key }) => key));
      const fixed = objections(planned).find(({ key }) => bare.has(key));
      if (fixed) return { is: 'refused', finding: fixed };
    }
    first ??= objecting;
    cuts.push(
      (seen.has(objecting.key) ? withoutPart(prepared, objecting) : null) ?? forbid(prepared, solved.values, objecting),
    );
    seen.add(objecting.key);
  }
  return { is: 'gave up', why: `${cuts.length} wirings were found and a rule refuses each, first: ${first?.message}` };
}

interface Solved {
  is: 'solved';
  values: Readonly<Record<string, number>>;
  cost: Planned['cost'];
  softPenalties: SoftPenalties;
}

const nothingChosen: Solved = {
  is: 'solved',
  values: {},
  cost: { loss: 0, softPenalties: 0, lengthMm: 0 },
  softPenalties: { doubled: 0, 'over plan': 0, apart: 0, split: 0, 'listened to': 0, nominal: 0 },
};

function objections({ findings }: Planned): Finding[] {
  return findings.filter(({ severity }) => severity !== 'warn');
}

/** No soft penalties weigh as much as the least loss, so that one solve settles both. */
const lossOverPenalties = 1000;

/** Loss and soft penalties first; then, with no more of either, length. */
function solveInOrder(
  { input }: Prepared,
  cuts: readonly Constraint[],
  solve: Solve,
  { until, onProgress }: Required<Pursuit>,
): Solved | { is: 'impossible' } | { is: 'gave up'; why: string } {
  const model = wiringModel(input);
  const held: Constraint[] = [...cuts];
  const softPenalties = penaltiesOf(model);
  const first: Terms = [
    ...model.loss.map(([name, factor]) => [name, factor * lossOverPenalties] as const),
    ...softPenalties,
  ];
  onProgress(0.3, 'serving the wishes, spreading over the pads');
  const served = solve(withAim(model, until === 'served' ? model.loss : first, held));
  if (served.is !== 'optimal') return served;
  held.push({ terms: first, is: '<=', value: Math.round(served.value) + 1e-4 });
  onProgress(0.6, 'shortening the wires');
  const shortened = until === 'served' ? served : solve(withAim(model, model.length, held));
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
      lengthMm: sumOf(model.length, values),
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
  { needs, options, input, held }: Prepared,
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
    held,
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
  const slots = new Set<Slot>(at.map((ref) => splitRef(ref).slot));
  const about = (ref: TerminalRef) => slots.size === 0 || slots.has(splitRef(ref).slot);
  const names = [
    ...needs.flatMap(({ own, pads }) => pads.map(({ ref }) => ({ own, ref }))),
    ...options.flatMap(({ signals }) => signals.flatMap(({ own, pads }) => pads.map((ref) => ({ own, ref })))),
  ]
    .filter(({ own, ref }) => (about(own) || about(ref)) && on(values, joinName(own, ref)))
    .map(({ own, ref }) => joinName(own, ref));
  const chosen = [...new Set(names)];
  return { terms: chosen.map((name) => [name, 1]), is: '<=', value: chosen.length - 1 };
}

/**
 * Never this part: what is said again after other choices around it, of a terminal that no wire can be put on, is said
 * of the part and what it is mated with. Null when that is not so.
 */
function withoutPart({ needs, options, input }: Prepared, { at }: Finding): Constraint | null {
  const [slot] = at.map((ref) => splitRef(ref).slot);
  const offered = new Set([
    ...input.path.joins.flatMap(({ own, to }) => [own, to]),
    ...needs.flatMap(({ own, pads }) => [own, ...pads.map(({ ref }) => ref)]),
    ...options.flatMap(({ signals }) => signals.flatMap(({ own, pads }) => [own, ...pads])),
  ]);
  const isFed = needs.some((need) => need.slot === slot);
  if (!slot || !isFed || at.some((ref) => offered.has(ref))) return null;
  return { terms: [[usedName(slot), 1]], is: '<=', value: 0 };
}

/** True when the rails alone, whatever becomes of pads, cannot feed what must be fed. */
function starves(input: WiringInput, solve: Solve): boolean {
  return solve(withAim(wiringModel(railsAlone(input)), [], [])).is === 'impossible';
}

/** True when the model has a wiring: every part in its place and every must met, whatever becomes of other wishes. */
export function feasible(request: PlanRequest, solve: Solve): boolean {
  const { input } = prepare(withoutUnasked(request));
  if (counted(input.assembly) || starves(input, solve)) return false;
  return solve(withAim(wiringModel(input), [], [])).is === 'optimal';
}
