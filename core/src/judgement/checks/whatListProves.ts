/** What a list of touches proves and what it leaves: faults counted by harm, by kind what none of them would show. */
import { groupedBy } from '../../facts/terms/groupedBy';
import type { Severity } from '../rules/finding';
import { severities } from '../rules/finding';
import type { ListedFault, ListedTouch, ShownBy, TouchList } from './touchList';

export interface ProvedLine {
  harm: Severity;
  all: number;
  by: Readonly<Record<ShownBy, number>>;
  /** Of those by the list: by more than one touch. */
  twice: number;
}

/** One line a harm, the worst first; a harm that nothing here can do has none. */
export function whatListProves({ faults }: Pick<TouchList, 'faults'>): ProvedLine[] {
  return severities.flatMap((harm) => {
    const own = faults.filter((fault) => fault.harm === harm);
    const count = (shownBy: ShownBy) => own.filter((fault) => fault.shownBy === shownBy).length;
    const by = {
      list: count('list'),
      'longer list': count('longer list'),
      'loose part': count('loose part'),
      'plug apart': count('plug apart'),
      'better meter': count('better meter'),
      'no touch': count('no touch'),
    };
    const twice = own.filter(({ proofs }) => proofs > 1).length;
    return own.length === 0 ? [] : [{ harm, all: own.length, by, twice }];
  });
}

export interface LeftKind {
  kind: string;
  harm: Severity;
  faults: readonly ListedFault[];
}

const isByNone: ReadonlySet<ShownBy> = new Set(['better meter', 'no touch']);
const shownEarlier: ReadonlySet<ShownBy> = new Set(['loose part', 'plug apart']);

/** Only a reading shows it that comes before everything is mated. */
export function isEarlier({ shownBy }: Pick<ListedFault, 'shownBy'>): boolean {
  return shownEarlier.has(shownBy);
}

/**
 * What no touch of it would show, by kind: what kills first, then where there are most. @param earlier What was
 * ruled out on loose parts and with a plug apart: places in the list of faults.
 */
export function leftByKind({ faults }: Pick<TouchList, 'faults'>, earlier: ReadonlySet<number>): LeftKind[] {
  const left = faults.filter(
    (fault, place) => isByNone.has(fault.shownBy) || (isEarlier(fault) && !earlier.has(place)),
  );
  return [...groupedBy(left, ({ kind, harm }) => `${harm} ${kind}`).values()]
    .map((own): LeftKind => ({ kind: own[0]!.kind, harm: own[0]!.harm, faults: own }))
    .sort((a, b) => severities.indexOf(a.harm) - severities.indexOf(b.harm) || b.faults.length - a.faults.length);
}

/**
 * How many faults of each harm are ruled out: by touches that were answered as a good build would, and by what was read
 * on loose parts and with a plug apart.
 */
export function ruledOut(
  { faults }: Pick<TouchList, 'faults'>,
  answered: readonly ListedTouch[],
  earlier: ReadonlySet<number>,
): Readonly<Record<Severity, number>> {
  const out = new Set([...answered.flatMap(({ shows }) => shows), ...earlier]);
  const count = (harm: Severity) => [...out].filter((place) => faults[place]!.harm === harm).length;
  return { kill: count('kill'), stop: count('stop'), warn: count('warn') };
}
