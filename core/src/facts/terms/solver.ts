/**
 * A mixed-integer model and who solves it. The core builds models; the solver, which is loaded from a file, is given to
 * it.
 */

/** A linear expression: names of variables with their factors. */
export type Terms = readonly (readonly [variable: string, factor: number])[];

export interface Constraint {
  terms: Terms;
  is: '<=' | '>=' | '=';
  value: number;
}

/** All variables are 0 or 1 unless they are named in `counts`: those are not negative. */
export interface LinearModel {
  minimise: Terms;
  constraints: readonly Constraint[];
  binaries: readonly string[];
  counts: readonly string[];
}

export type Solution =
  | { is: 'optimal'; value: number; values: Readonly<Record<string, number>> }
  | { is: 'impossible' }
  | { is: 'gave up'; why: string };

/** Proves the optimum, or says why it could not. */
export type Solve = (model: LinearModel) => Solution;

/**
 * The model in the LP text format that common solvers read. Names are replaced by short ones; the list gives them back.
 */
export function toLpText({ minimise, constraints, binaries, counts }: LinearModel): {
  text: string;
  names: readonly string[];
} {
  const names = [...binaries, ...counts];
  const short = new Map(names.map((name, index) => [name, `x${index}`]));
  const sum = (terms: Terms) =>
    merged(terms)
      .map(([name, factor]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${short.get(name)!}`)
      .join(' ');
  const rows = constraints.flatMap(({ terms, is, value }, index) =>
    merged(terms).length > 0 ? [` c${index}: ${sum(terms)} ${is} ${value}`] : [],
  );
  const text = [
    'Minimize',
    ` obj: ${sum(minimise) || `0 ${short.get(names[0]!) ?? 'x0'}`}`,
    'Subject To',
    ...rows,
    'Binary',
    ...binaries.map((name) => ` ${short.get(name)!}`),
    'End',
  ].join('\n');
  return { text, names };
}

function merged(terms: Terms): [string, number][] {
  const sum = new Map<string, number>();
  for (const [name, factor] of terms) sum.set(name, (sum.get(name) ?? 0) + factor);
  return [...sum].filter(([, factor]) => factor !== 0);
}
