import { describe, expect, it } from 'vitest';
import type { PartKind } from '../../facts/catalogue/partModel';
import { meaningWords } from './meaning';
import { readLabels } from './readLabel';

const read = (kind: PartKind, label: string, ...others: string[]) => readLabels(kind, [label, ...others])[0]!;
const sure = (kind: PartKind, label: string, ...others: string[]) => {
  const { sure: meaning } = read(kind, label, ...others);
  return meaning && meaningWords(meaning);
};
const offers = (kind: PartKind, label: string, ...others: string[]) =>
  read(kind, label, ...others).meanings.map(({ meaning }) => meaningWords(meaning));

describe('a label with one meaning', () => {
  it.each([
    ['GND', 'ground'],
    ['−', 'ground'],
    ['5V', '5 V'],
    ['3.3V', '3.3 V'],
    ['10V', '10 V'],
    ['TX3', 'transmit, port 3'],
    ['UART2_RX', 'receive, port 2'],
    ['S7', 'motor signal 7'],
    ['BUZ-', 'buzzer −'],
    ['CRT', 'current sense'],
    ['4V5', '5 V also on USB'],
    ['SBUS', 'inverted serial input'],
    ['rssi', 'signal strength'],
    ['swdio', 'debug'],
  ])('%s is taken for %s', (label, meaning) => {
    expect(sure('controller', label)).toBe(meaning);
  });
});

describe('labels whose meanings compete are asked about', () => {
  it('S: inverted input, motor output or a badly printed 5', () => {
    expect(sure('controller', 'S', 'G', '5V')).toBeNull();
    expect(offers('controller', 'S', 'G')).toEqual(
      expect.arrayContaining(['inverted serial input', 'motor signal', '5 V']),
    );
  });

  it('VCC: battery or 5 V, and less so where the other is printed beside it', () => {
    expect(sure('controller', 'VCC')).toBeNull();
    expect(offers('controller', 'VCC')).toEqual(expect.arrayContaining(['battery', '5 V']));
    expect(read('controller', 'VCC', '5V').meanings[0]!.meaning.is).toBe('battery');
  });

  it('T1: transmit where R1 stands with it, telemetry on an ESC, else asked', () => {
    expect(sure('controller', 'T1', 'R1')).toBe('transmit, port 1');
    expect(sure('esc', 'T1', 'S1')).toBe('ESC telemetry');
    expect(sure('controller', 'T1', 'S1', 'S2')).toBeNull();
  });

  it('bare +: which rail', () => {
    expect(sure('controller', '+')).toBeNull();
    expect(sure('esc', '+')).toBe('battery');
  });
});

describe('worn print', () => {
  it('is read as what makes sense', () => {
    expect(sure('controller', 'SV')).toBe('5 V');
    expect(sure('controller', '1OV')).toBe('10 V');
    expect(sure('controller', 'tl', 'r1')).toBe('transmit, port 1');
    expect(sure('controller', ' b z - ')).toBe('buzzer −');
  });

  it('never turns a sure label into another', () => {
    expect(sure('controller', 'TLM')).toBe('ESC telemetry');
    expect(sure('controller', 'S5', '5V')).toBe('motor signal 5');
  });
});

it('leaves what it cannot know empty', () => {
  expect(read('controller', 'X9')).toEqual({ printed: 'X9', meanings: [], sure: null });
  expect(read('controller', '').sure).toBeNull();
  expect(read('controller', '5S1O0l5S1O0l'.repeat(3)).sure).toBeNull();
});
