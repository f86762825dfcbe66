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

/**
 * What no touch of it would show, by kind: what kills first, then where there are most. @param looseRuledOut Of what
 * only a loose part shows, what was read then: places in the list of faults.
 */
export function leftByKind({ faults }: Pick<TouchList, 'faults'>, looseRuledOut: ReadonlySet<number>): LeftKind[] {
  const left = faults.filter(
    ({ shownBy }, place) => isByNone.has(shownBy) || (shownBy === 'loose part' && !looseRuledOut.has(place)),
  );
  return [...groupedBy(left, ({ kind, harm }) => `${harm} ${kind}`).values()]
    .map((own): LeftKind => ({ kind: own[0]!.kind, harm: own[0]!.harm, faults: own }))
    .sort((a, b) => severities.indexOf(a.harm) - severities.indexOf(b.harm) || b.faults.length - a.faults.length);
}

/**
 * How many faults of each harm are ruled out: by touches that were answered as a good build would, and by what was read
 * on loose parts.
 */
export function ruledOut(
  { faults }: Pick<TouchList, 'faults'>,
  answered: readonly ListedTouch[],
  looseRuledOut: ReadonlySet<number>,
): Readonly<Record<Severity, number>> {
  const out = new Set([...answered.flatMap(({ shows }) => shows), ...looseRuledOut]);
  const count = (harm: Severity) => [...out].filter((place) => faults[place]!.harm === harm).length;
  return { kill: count('kill'), stop: count('stop'), warn: count('warn') };
}
