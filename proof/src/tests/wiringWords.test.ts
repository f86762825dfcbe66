/**
 * Wire lists, drawings, boards and sheets of every shipped plan: nothing is left out, nothing is there twice, and all
 * can be read back.
 */
import type { PlanDraft } from '@junctor/core';
import {
  boardsOf,
  boardWires,
  buildFileOf,
  changesFromRows,
  compareDump,
  emptyBuild,
  landedOn,
  netlist,
  padWords,
  setupSheet,
  spiceDeckOf,
  splitRef,
  terminalRef,
  wholeDraft,
  wireRows,
  wiringSvg,
  wrongNames,
  assemble,
} from '@junctor/core';
import { buildFile, check } from '@junctor/core/schemas';
import { describe, expect, it } from 'vitest';
import { shippedTemplate, shippedTemplates } from '@junctor/catalogue';
import { catalogue } from '../trials/ruleTrial';

const ids = shippedTemplates().map(({ id }) => id);
const planOf = (id: string): PlanDraft => shippedTemplate(id).plan;
const asLines = (plan: PlanDraft) => wireRows(plan.target, plan.links).map((row, index) => ({ line: index + 2, row }));

describe.each(ids)('%s', (id) => {
  const plan = planOf(id);
  const { target } = plan;

  it('is a build file that is taken, and comes back as it went', () => {
    const file = JSON.parse(
      JSON.stringify(buildFileOf(id, { ...plan, jobId: 'x', version: 7 } as PlanDraft)),
    ) as unknown;
    const read = check<{ plan: PlanDraft }>(buildFile, file);
    expect(read.ok && wholeDraft(read.value.plan)).toEqual(wholeDraft(JSON.parse(JSON.stringify(plan)) as PlanDraft));
    expect(wrongNames(plan, catalogue)).toEqual([]);
  });

  it('has a wire list that changes nothing when it is read back, in any order of rows', () => {
    expect(changesFromRows(asLines(plan), assemble(target, catalogue))).toEqual({ ok: true, changes: [] });
    expect(changesFromRows(asLines(plan).reverse(), assemble(target, catalogue))).toEqual({ ok: true, changes: [] });
  });

  it('has a wire list that makes the wires again where they are missing', () => {
    const own = Object.fromEntries(Object.entries(target.wires).filter(([, { from }]) => from === 'tail'));
    const made = changesFromRows(asLines(plan), assemble({ ...target, wires: own }, catalogue));
    if (!made.ok) throw new Error(JSON.stringify(made.faults));
    const wires = {
      ...own,
      ...Object.fromEntries(made.changes.map(({ after }) => [(after as { id: string }).id, after])),
    } as typeof target.wires;
    const nets = (build: typeof target) =>
      netlist(assemble(build, catalogue))
        .nets.filter(({ terminals }) => terminals.length > 1)
        .map(({ terminals }) => [...terminals].sort().join(' '))
        .sort();
    expect(nets({ ...target, wires })).toEqual(nets(target));
  });

  it('has every soldered and crimped end on a board drawn once', () => {
    const nothing = assemble(emptyBuild, catalogue);
    const stages = { start: nothing, asBuilt: nothing, target: assemble(target, catalogue) };
    const drawn = boardsOf(stages)
      .flatMap((board) => boardWires(board, stages).map(({ joint }) => joint))
      .sort();
    const wanted = Object.values(target.wires)
      .flatMap(({ id: wire, ends }) =>
        ends.flatMap((end, index) => (end.by === 'factory' || end.at.on === 'air' ? [] : [`${wire}.${'ab'[index]}`])),
      )
      .sort();
    expect(drawn).toEqual(wanted);
    const svg = wiringSvg(assemble(target, catalogue), id);
    expect(svg.match(/ AWG<\/text>/g)).toHaveLength(drawn.length);
    const planned = assemble(target, catalogue);
    for (const wire of Object.values(target.wires)) {
      const pad = landedOn(wire.ends[1]);
      if (pad && wire.ends[1].by === 'solder') expect(svg).toContain(padWords(pad, planned).replace(/&/g, '&amp;'));
    }
  });

  it('has a drawing in which nothing stands outside the sheet', () => {
    const svg = wiringSvg(assemble(target, catalogue), 'a <b> & "c"');
    const [, width, height] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!.map(Number) as [number, number, number];
    for (const [, x, y] of svg.matchAll(/<text x="([-\d.]+)" y="([-\d.]+)"/g)) {
      expect(Number(x)).toBeGreaterThan(0);
      expect(Number(x)).toBeLessThan(width);
      expect(Number(y)).toBeLessThan(height);
    }
    expect(svg).toContain('a &lt;b&gt; &amp; &quot;c&quot;');
  });

  it('has a deck in which each node of each branch has a path to ground', () => {
    const deck = spiceDeckOf(assemble(target, catalogue), id);
    const cards = deck
      .split('\n')
      .filter((line) => /^(R|C|D)\w*\d+ /.test(line))
      .map((line) => line.split(' '));
    const reached = new Set(['0']);
    for (let grew = true; grew;) {
      grew = false;
      for (const [, a, b] of cards) if (reached.has(a!) !== reached.has(b!)) grew = Boolean(reached.add(a!).add(b!));
    }
    expect(cards.flatMap(([, a, b]) => [a!, b!]).filter((node) => !reached.has(node))).toEqual([]);
    expect(deck.trimEnd().endsWith('.end')).toBe(true);
  });

  it('has a sheet that agrees with itself as a dump, line by line and as CSV', () => {
    const sheet = setupSheet(plan, catalogue);
    const known = sheet.filter(({ value }) => value !== null);
    for (const dump of [
      known.map(({ key, value }) => `${key} = ${value}`).join('\n'),
      `key,value\n${known.map(({ key, value }) => `"${key}","${value}"`).join('\n')}`,
    ]) {
      const compared = compareDump(sheet, dump);
      if (!compared.ok) throw new Error(`line ${compared.line}: ${compared.why}`);
      expect(compared.lines.filter(({ verdict }) => verdict !== 'same' && verdict !== 'to be measured')).toEqual([]);
    }
    const wrong = compareDump(sheet, known.map(({ key }) => `${key} = something else`).join('\n'));
    expect(wrong.ok && wrong.lines.filter(({ verdict }) => verdict === 'differs')).toHaveLength(known.length);
  });

  it('names each pad of a board so that no two are called the same', () => {
    const planned = assemble(target, catalogue);
    for (const slot of Object.keys(target.slots)) {
      const pads = planned
        .model(slot)!
        .terminals.filter(({ form, holds }) => (form === 'pad' || form === 'hole') && holds > 0);
      const byName = new Map<string, string[]>();
      for (const pad of pads)
        byName.set(padWords(terminalRef(slot, pad.id), planned), [
          ...(byName.get(padWords(terminalRef(slot, pad.id), planned)) ?? []),
          pad.node,
        ]);
      // The same words may only mean pads that are one conductor: then it does not matter which.
      for (const [, nodes] of byName)
        expect([splitRef(terminalRef(slot, pads[0]!.id)).slot, new Set(nodes).size]).toEqual([slot, 1]);
    }
  });
});
