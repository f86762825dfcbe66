import { compareDump, setupSheet } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedTemplate } from '@junctor/catalogue';
import { catalogue } from '../trials/ruleTrial';

const plan = shippedTemplate('quad-glasshouse-6s').plan;
const sheet = setupSheet(plan, catalogue);
const value = (key: string) => sheet.find((line) => line.key === key)?.value;
const dump = sheet
  .filter((line) => line.value !== null)
  .map(({ key, value }) => `${key.replaceAll(' ', '_').toUpperCase()} = ${value}`)
  .join('\n');

describe('the set-up sheet', () => {
  it('mirrors the wiring: ports, receiver, video control, motors, board, battery', () => {
    const port = (purpose: string) =>
      plan.links.find((link) => link.set.protocol === purpose)!.ends[1]!.port.toLowerCase();
    expect(value(`port ${port('serialReceiver')}`)).toBe('receiver (RX)');
    expect(value('receiver signal')).toBe('inverted');
    expect(value('video control')).toBe(port('control'));
    expect(
      sheet
        .filter(({ key }) => /^motor \d output$/.test(key))
        .map((line) => line.value)
        .sort(),
    ).toEqual(['1', '2', '3', '4']);
    expect([value('battery cells'), value('battery warns below'), value('board turned')]).toEqual(['6', '21.0', '0']);
    expect(
      sheet.filter(({ key, value: wanted }) => key.startsWith('port ') && wanted === 'off').length,
    ).toBeGreaterThan(3);
  });

  it('is the same as a dump of itself, in either form', () => {
    for (const text of [
      dump,
      `value,key\n${dump
        .split('\n')
        .map((line) => line.split(' = ').reverse().join(','))
        .join('\r\n')}`,
    ]) {
      const result = compareDump(sheet, text);
      expect(
        result.ok && result.lines.filter(({ verdict }) => verdict !== 'same' && verdict !== 'to be measured'),
      ).toEqual([]);
    }
  });

  it('shows what differs, what is missing and what nobody asked for', () => {
    const result = compareDump(
      sheet,
      `# from the bench\n${dump.replace('BATTERY_CELLS = 6', 'battery cells = 4').replace(/^BOARD_TURNED.*\n/m, '')}\nwing flaps = 2`,
    );
    const odd = result.ok
      ? result.lines
          .filter(({ verdict }) => !['same', 'to be measured'].includes(verdict))
          .map(({ key, verdict, found }) => [key, verdict, found])
      : [];
    expect(odd).toEqual([
      ['board turned', 'missing', null],
      ['battery cells', 'differs', '4'],
      ['wing flaps', 'not on the sheet', '2'],
    ]);
  });

  it('refuses what it cannot read, with the line', () => {
    expect(compareDump(sheet, 'battery cells = 6\nnonsense')).toEqual({
      ok: false,
      line: 2,
      why: 'a line is written key = value',
    });
    expect(compareDump(sheet, 'a = 1\nA = 2')).toEqual({ ok: false, line: 2, why: 'A stands there twice' });
    expect(compareDump(sheet, 'key,value\na,1,2')).toEqual({ ok: false, line: 2, why: 'a row has 2 cells' });
  });
});
