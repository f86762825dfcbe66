/** Why a wish got its port, in words: which others would do, which are taken, and which cannot. */
import { assemble } from '../../facts/assembly/assembly';
import { emptyBuild } from '../../facts/assembly/build';
import { difference } from '../../facts/assembly/difference';
import type { Work } from '../conversion/conversion';
import { workOf } from '../conversion/conversion';
import type { SoftPenalties } from './softPenalties';
import { addedPenalties } from './softPenalties';
import { prepare } from './attempt';
import type { Planned, PlanRequest } from './request';
import { planWiring } from './planWiring';
import type { Solve } from '../../facts/terms/solver';

/** One line for a wish of a plan. */
export function reasonFor(planned: Planned, request: PlanRequest, wishId: string): string {
  const own = planned.wishes.find(({ wish }) => wish.id === wishId);
  if (!own) return '';
  if (own.way === null)
    return `dropped: there was no room for it beside what matters more (it loses ${own.wish.lossIfDropped})`;
  if (own.port === null) return own.way;
  const { options, input } = prepare(request);
  const [host, port] = own.port.split('/') as [string, string];
  const ports = [
    ...new Set(
      options
        .filter(({ wish, way }) => wish === wishId && way === own.way)
        .flatMap(({ ends }) => ends.filter(({ slot }) => slot === host).map((end) => end.port)),
    ),
  ];
  const takenBy = (id: string) =>
    planned.wishes.find((other) => other.wish.id !== wishId && other.port === `${host}/${id}`)?.wish.id;
  const free = ports
    .filter((id) => id !== port && !takenBy(id))
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  const taken = ports.filter((id) => id !== port && takenBy(id)).map((id) => `${id} serves ${takenBy(id)}`);
  const kind = input.assembly.model(host)!.ports.find(({ id }) => id === port)?.kind;
  const unfit = input.assembly
    .model(host)!
    .ports.filter(({ id, kind: like }) => like === kind && id !== port && !ports.includes(id))
    .map(({ id, inversion, speaks }) => {
      const lackOf = () => {
        if (inversion === 'inverted') return 'hears only inverted';
        if (speaks.length < 2) return 'speaks something else';
        return 'lacks a pin';
      };
      return `${id} ${lackOf()}`;
    });
  const rest = [free.length > 0 ? `${free.join(', ')} would do too, with more wire` : '', ...taken, ...unfit].filter(
    Boolean,
  );
  return `${own.way} on ${host} ${port}${rest.length > 0 ? `; ${rest.join('; ')}` : ''}`;
}

export interface Alternative {
  port: string;
  /** Beside the plan as it is; joints are those to be made and opened. Negative: less of it. */
  more: { loss: number; softPenalties: SoftPenalties; wireMm: number; joints: number };
  drops: readonly string[];
}

/** What each other port would cost, the cheapest first; ports that cannot be had are left out. */
export function alternativesFor(planned: Planned, request: PlanRequest, wishId: string, solve: Solve): Alternative[] {
  const own = planned.wishes.find(({ wish }) => wish.id === wishId);
  const { options } = prepare(request);
  const ports = new Set(
    options
      .filter(({ wish }) => wish === wishId)
      .flatMap(({ ends }) =>
        ends.filter(({ slot }) => slot !== own?.wish.of).map(({ slot, port }) => `${slot}/${port}`),
      ),
  );
  const work = workBeside(planned, request);
  const found = [...ports]
    .filter((port) => port !== own?.port)
    .flatMap((port): { order: readonly number[]; alternative: Alternative }[] => {
      const pinned = [
        ...request.pinned.filter(({ what, of }) => what !== 'port' || of !== wishId),
        { what: 'port' as const, of: wishId, value: port },
      ];
      const result = planWiring({ ...request, pinned }, solve);
      if (result.is !== 'planned') return [];
      const { cost } = result;
      const other = workBeside(result, request);
      const more = {
        loss: cost.loss - planned.cost.loss,
        softPenalties: addedPenalties(planned.softPenalties, result.softPenalties),
        wireMm: other.newWireMm - work.newWireMm,
        joints: joints(other) - joints(work),
      };
      const drops = result.wishes
        .filter(
          ({ way, wish }) =>
            way === null && planned.wishes.find((plannedWish) => plannedWish.wish.id === wish.id)?.way !== null,
        )
        .map(({ wish }) => wish.id);
      return [{ order: [cost.loss, cost.softPenalties, cost.lengthMm], alternative: { port, more, drops } }];
    });
  return found
    .sort((a, b) => a.order.map((rank, place) => rank - b.order[place]!).find((apart) => apart !== 0) ?? 0)
    .map(({ alternative }) => alternative);
}

function workBeside({ target }: Planned, { keep, built = keep ?? emptyBuild, catalogue }: PlanRequest): Work {
  return workOf(built, difference(built, target), assemble(target, catalogue));
}

function joints({ jointsMade, jointsOpened }: Work): number {
  return jointsMade + jointsOpened;
}
