/** Who may waive what, and what a waiver covers. */
import { describe, expect, it } from 'vitest';
import { fold } from '../../facts/log/fold';
import type { Note, QuadRecord } from '../../facts/log/records';
import type { Finding, Severity } from './finding';
import { splitWaived, waiverObjection } from './waivers';
import { makeCatalogue } from '../../facts/catalogue/catalogue';

const message = (severity: Severity, key = 'pad full:FC.T1'): Finding => ({
  key,
  rule: 'pad full',
  severity,
  at: [],
  wires: [],
  message: 'too many wires',
});
const note = (body: Note, seq: number, over: Partial<QuadRecord> = {}): QuadRecord => ({
  id: `r${seq}`,
  quadId: 'quad',
  seq,
  jobId: 'job',
  step: null,
  personId: 'p',
  deviceId: 'd',
  shownAt: null,
  doneAt: '2026-01-05T08:00:00.000Z',
  arrivedAt: null,
  basisSeq: 0,
  planVersion: 1,
  how: 'did',
  body,
  ...over,
});
const waiver = (severity: 'stop' | 'warn', finding = 'pad full:FC.T1'): Note => ({
  saw: 'waiver',
  finding,
  severity,
  reason: 'both thin, looked at',
});
const split = (findings: readonly Finding[], ...records: QuadRecord[]) => {
  const { open, waived } = splitWaived(findings, fold(records, makeCatalogue([])), 'job');
  return { open: open.map(({ severity }) => severity), waived: waived.map((waived) => waived.waiver.record.id) };
};

describe('who may waive', () => {
  it.each([
    ['kill', 'technician', false],
    ['kill', 'lead', false],
    ['stop', 'technician', false],
    ['stop', 'lead', true],
    ['warn', 'technician', true],
    ['warn', 'lead', true],
  ] as const)('%s by a %s: %s', (severity, role, may) => {
    expect(waiverObjection({ severity }, role) === null).toBe(may);
  });
});

describe('what a waiver covers', () => {
  it('is its own finding in its own job', () => {
    expect(split([message('stop')], note(waiver('stop'), 1))).toEqual({ open: [], waived: ['r1'] });
    expect(split([message('stop', 'pad full:FC.T2')], note(waiver('stop'), 1)).waived).toEqual([]);
    expect(split([message('stop')], note(waiver('stop'), 1, { jobId: 'another' })).waived).toEqual([]);
  });

  it('ends when the finding becomes worse than it was, and never holds back what destroys hardware', () => {
    expect(split([message('stop')], note(waiver('warn'), 1))).toEqual({ open: ['stop'], waived: [] });
    expect(split([message('kill')], note(waiver('stop'), 1))).toEqual({ open: ['kill'], waived: [] });
    expect(split([message('warn')], note(waiver('stop'), 1)).waived).toEqual(['r1']);
  });

  it('ends when it is taken back, and the newest one counts', () => {
    const back = note({ saw: 'taken back', reason: 'the part came' }, 2, { replaces: 'r1' });
    expect(split([message('stop')], note(waiver('stop'), 1), back)).toEqual({ open: ['stop'], waived: [] });
    expect(split([message('stop')], note(waiver('stop'), 1), note(waiver('stop'), 2)).waived).toEqual(['r2']);
  });
});
