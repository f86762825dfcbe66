/** The rules against blind mutations of the shipped wiring. */
import { judge } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { catalogue, mutants, plan, truth } from './testing/mutations';

describe('the rules against blind mutations', () => {
  const all = mutants().map((mutant) => ({ ...mutant, is: truth(mutant), found: judge(mutant.build, catalogue, plan.links, mutant.cells) }));
  const says = (severity: string) => (one: (typeof all)[number]) => one.found.some((finding) => finding.severity === severity);

  it('has something to find', () => {
    expect(all.filter(({ is }) => is === 'kill').length).toBeGreaterThan(100);
    expect(all.filter(({ is }) => is === 'stop').length).toBeGreaterThan(100);
    expect(truth({ what: 'as planned', build: plan.target, cells: plan.cells })).toBe('fine');
  });

  it('finds every kill', () => {
    expect(all.filter(({ is }) => is === 'kill').filter((one) => !says('kill')(one)).map(({ what }) => what)).toEqual([]);
  });

  it('finds what will not work, all but a fiftieth', () => {
    const stops = all.filter(({ is }) => is === 'stop');
    const missed = stops.filter((one) => !says('stop')(one) && !says('kill')(one)).map(({ what }) => what);
    console.log(`rules: ${all.length} mutations, ${stops.length} of them stops, ${missed.length} missed: ${missed.join('; ')}`);
    expect(missed.length / stops.length).toBeLessThan(0.02);
  });

  it('objects to nothing that works', () => {
    // Electrically fine, but more wires on a pad than it holds: a matter of solder, not of wiring.
    const crammed = ({ found }: (typeof all)[number]) => found.every(({ rule }) => rule === 'pad full');
    const fine = all.filter((one) => one.is === 'fine' && !crammed(one));
    expect(fine.filter((one) => says('kill')(one) || says('stop')(one)).map(({ what, found }) => `${what}: ${found[0]!.says}`)).toEqual([]);
  });
});
