/** The culvert inspector: found with analogue video, converted to digital, another receiver, positioning added. */
import { conversion, difference, emptyBuild, judge, makeCatalogue } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { demoPlan, shippedModels } from './catalogue';
import { seededIds } from './seededIds';
import { truth } from './testing/oracle/truth';
import { shippedMeter } from './tools';
import type { Bench } from './virtualTechnician';
import { record, startWalk, walk } from './virtualTechnician';

const catalogue = makeCatalogue(shippedModels());
const [asFound, converted] = [demoPlan('culvert-as-found'), demoPlan('culvert-conversion')];
const plan = { ...converted, jobId: 'job', version: 1 };
const bench: Bench = { quadId: 'quad', jobId: 'job', plan, catalogue, meter: { id: 'meter', name: 'meter', ...shippedMeter }, limiterId: 'l', personId: 'p', deviceId: 'd', packV: 15, newId: seededIds(3) };
const found = difference(emptyBuild, asFound.target).flatMap(({ effect }) => [...effect]);
const begun = record(bench, startWalk(bench, Date.UTC(2026, 0, 5, 8)), null, found).records.map((one) => ({ ...one, how: 'found' as const }));
const start = startWalk(bench, Date.UTC(2026, 0, 5, 9), begun);

describe('the conversion of the culvert inspector', () => {
  it('was wired right before and is after, by rules and powered solve', () => {
    for (const { target, links, cells } of [asFound, converted]) {
      expect(judge(target, catalogue, links, cells).filter(({ severity }) => severity !== 'warn')).toEqual([]);
      expect(truth({ build: target, catalogue, links, cells }, target)).toEqual({ is: 'fine', because: '' });
    }
  });

  it('says what comes off, what stays, and which ports change hands', () => {
    const made = conversion(asFound.target, converted.target, catalogue);
    expect(made.partsOff.map(({ slot }) => slot)).toEqual(['RX', 'VTX', 'CAM', 'ANT1']);
    expect(made.partsOn.map(({ slot }) => slot).sort()).toEqual(['ANT1', 'ANT2', 'CAM', 'GPS', 'RX', 'VTX']);
    expect(made.stays.wires.length).toBeGreaterThan(15);
    expect(made.portsFreed).toContain('FC/CAMIN');
  });

  it('takes off before it puts on: plugs, then the iron, then the part', () => {
    const verbs = start.state.steps.filter(({ stretch }) => stretch !== 'kit').map(({ verb }) => verb);
    const [lastOff, firstOn] = [Math.max(...['free', 'drop', 'take'].map((verb) => verbs.lastIndexOf(verb as never))), verbs.indexOf('fit')];
    expect(lastOff).toBeLessThan(firstOn);
    expect(verbs.lastIndexOf('drop')).toBeLessThan(verbs.indexOf('take'));
    expect(start.state.findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
  });

  it('can be walked to its end', () => {
    const end = walk(bench, start, () => false);
    expect(difference(end.state.asBuilt, plan.target)).toEqual([]);
    expect(end.state.steps.filter(({ done }) => !done)).toEqual([]);
  });
});
