/** The culvert inspector: found with analogue video, converted to digital, another receiver, positioning added. */
import {
  boardsOf,
  boardWires,
  conversion,
  difference,
  emptyBuild,
  foundElsewhere,
  jointName,
  judge,
  judgeAsReceived,
  landedOn,
  makeCatalogue,
  stepWords,
  assemble,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels } from '@junctor/catalogue';
import { demoPlan } from '@junctor/demo';
import { seededIds } from '@junctor/demo';
import { truth } from '../oracles/truth';
import { plainBench, record, startWalk, walk } from '@junctor/demo';

const catalogue = makeCatalogue(shippedModels());
const [asFound, converted] = [demoPlan('culvert-as-found'), demoPlan('culvert-conversion')];
const plan = { ...converted, jobId: 'job', version: 1 };
const bench = plainBench({ plan, catalogue, packV: 15, newId: seededIds(3) });
const found = difference(emptyBuild, asFound.target).flatMap(({ effect }) => [...effect]);
const begun = record(bench, startWalk(bench, Date.UTC(2026, 0, 5, 8)), null, found).records.map((entry) => ({
  ...entry,
  how: 'found' as const,
}));
const start = startWalk(bench, Date.UTC(2026, 0, 5, 9), begun);
const end = walk(bench, start, () => false);

describe('the conversion of the culvert inspector', () => {
  it('was wired right before and is after, by rules and powered solve', () => {
    for (const { target, links, cells } of [asFound, converted]) {
      expect(judge(assemble(target, catalogue), links, cells).filter(({ severity }) => severity !== 'warn')).toEqual(
        [],
      );
      expect(truth({ build: target, catalogue, links, cells }, target)).toEqual({ is: 'fine', because: '' });
    }
  });

  it('says what comes off, what stays, and which ports change hands', () => {
    const made = conversion(assemble(asFound.target, catalogue), assemble(converted.target, catalogue));
    expect(made.partsOff.map(({ slot }) => slot)).toEqual(['RX', 'VTX', 'CAM', 'ANT1']);
    expect(made.partsOn.map(({ slot }) => slot).sort()).toEqual(['ANT1', 'ANT2', 'CAM', 'GPS', 'RX', 'VTX']);
    expect(made.stays.wires.length).toBeGreaterThan(15);
    expect(made.portsFreed).toContain('FC/CAMIN');
  });

  it('takes off before it puts on: plugs, then the iron, then the part', () => {
    const verbs = start.state.steps.filter(({ stretch }) => stretch !== 'kit').map(({ verb }) => verb);
    const [lastOff, firstOn] = [
      Math.max(...['free', 'drop', 'take'].map((verb) => verbs.lastIndexOf(verb as never))),
      verbs.indexOf('fit'),
    ];
    expect(lastOff).toBeLessThan(firstOn);
    expect(verbs.lastIndexOf('drop')).toBeLessThan(verbs.indexOf('take'));
    expect(verbs.indexOf('picture')).toBe(
      verbs.findIndex((verb) => ['unmate', 'free', 'drop', 'take'].includes(verb)) - 1,
    );
    expect(start.state.findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
  });

  it('asks for a picture of the old wiring before the first act, and no more once that is past', () => {
    const picture = (now: typeof start) => now.state.steps.find(({ verb }) => verb === 'picture');
    const [first] = difference(start.state.asBuilt.build, plan.target);
    const opened = record(bench, start, null, first!.effect);
    expect([picture(start)?.done, picture(opened)]).toEqual([false, undefined]);
    const taken = record(
      bench,
      record(bench, start, picture(start)!, [{ saw: 'picture', of: 'the old wiring', blob: 'blob' }]),
      null,
      first!.effect,
    );
    expect(picture(taken)).toMatchObject({ done: true, by: [expect.any(String)] });
  });

  it('warns of a lead that runs in the lid before anything is opened', () => {
    const lead = { ...asFound.target.wires.W3!, via: ['lid'] };
    const log = begun.map((entry) =>
      'do' in entry.body && entry.body.do === 'land' && entry.body.wire === lead.id
        ? { ...entry, body: { ...entry.body, body: { ...entry.body.body, via: lead.via } } }
        : entry,
    );
    const lidded = startWalk(bench, Date.UTC(2026, 0, 5, 9), log);
    const [picture, warning, first] = lidded.state.steps.filter(
      ({ stretch, subject }) => stretch === 'power path' && subject !== 'hot iron',
    );
    expect([picture!.verb, warning!.id, first!.verb]).toEqual(['picture', 'say:lead in the lid W3', 'unmate']);
    expect(stepWords(warning!, lidded.state)).toBe('Before the lid lifts, find and unplug the red wire: it tears');
    const said = record(bench, lidded, warning!, [{ saw: 'caution', id: warning!.subject }]);
    const opened = record(bench, said, null, difference(said.state.asBuilt.build, plan.target)[0]!.effect);
    expect(opened.state.steps.find(({ id }) => id === warning!.id)?.done).toBe(true);
  });

  it('can be walked to its end', () => {
    expect(difference(end.state.asBuilt.build, plan.target)).toEqual([]);
    expect(end.state.steps.filter(({ done }) => !done)).toEqual([]);
  });
});

describe('old and new on one board', () => {
  const words = ({ state }: { state: typeof start.state }, slot: string, from: 'start' | 'target' = 'target') =>
    boardWires({ slot, from }, state).map(
      ({ joint, terminal, becomes, done }) => `${joint} ${terminal} ${becomes}${done ? '' : ', to do'}`,
    );

  it('names what stays, what comes off and what goes on, and agrees with the conversion', () => {
    const list = words(start, 'FC');
    const made = conversion(assemble(asFound.target, catalogue), assemble(converted.target, catalogue));
    const off = list.filter((line) => line.includes('comes off'));
    expect(off.length).toBeGreaterThan(4);
    expect(off.every((line) => line.endsWith('to do'))).toBe(true);
    expect(
      made.opens.filter((joint) => list.some((line) => line.startsWith(`${joint} `) && line.includes('comes off')))
        .length,
    ).toBe(made.opens.filter((joint) => list.some((line) => line.startsWith(`${joint} `))).length);
    expect(list.filter((line) => line.includes('goes on')).every((line) => line.endsWith('to do'))).toBe(true);
    for (const id of made.stays.wires)
      for (const line of list.filter((entry) => entry.startsWith(`${id}.`))) expect(line).toMatch(/stays$/);
  });

  it('has the old receiver and the new one as two boards, and nothing left to do at the end', () => {
    expect(boardsOf(start.state).filter(({ slot }) => slot === 'RX')).toEqual([
      { slot: 'RX', from: 'target' },
      { slot: 'RX', from: 'start' },
    ]);
    expect(words(start, 'RX', 'start').every((line) => line.includes('comes off, to do'))).toBe(true);
    expect(
      [...words(end, 'FC'), ...words(end, 'RX'), ...words(end, 'RX', 'start')].filter((line) => line.endsWith('to do')),
    ).toEqual([]);
  });

  it('shows a wire found on another pad, and what that means until it is moved', () => {
    const red = Object.values(start.state.asBuilt.build.wires).find(({ ends }) => landedOn(ends[0]) === 'RX.5V')!;
    const { act, findings } = foundElsewhere(start.state.asBuilt, { wire: red.id, end: 1 }, 'FC.BP', plan.cells);
    expect(findings[0]).toMatchObject({ severity: 'kill', wires: [red.id] });
    expect(
      foundElsewhere(start.state.asBuilt, { wire: red.id, end: 1 }, 'FC.BZP', plan.cells).findings.filter(
        ({ severity }) => severity === 'kill',
      ),
    ).toEqual([]);
    const log = record(bench, start, null, [act]).records.map((entry, index, all) =>
      index === all.length - 1 ? { ...entry, how: 'found' as const } : entry,
    );
    const moved = startWalk(bench, Date.UTC(2026, 0, 5, 10), log);
    const joint = jointName(red.id, 1);
    expect(words(start, 'FC').find((line) => line.startsWith(joint))).not.toContain('BP');
    expect(words(moved, 'FC').find((line) => line.startsWith(joint))).toBe(`${joint} BP comes off, to do`);
    const came = ({ state }: typeof start) =>
      judgeAsReceived(state.start, state.asBuilt, plan.cells).map(({ severity, wires }) => [severity, ...wires]);
    expect(came(start)).toEqual([]);
    expect(came(moved)[0]).toEqual(['kill', red.id]);
    const off = record(bench, moved, null, [{ do: 'free', wire: red.id, end: 1, left: 'clean', now: 'bare' }]);
    expect(came(off)).toEqual([]);
  });
});
