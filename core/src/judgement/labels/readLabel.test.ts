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

describe('company', () => {
  it('makes a lone letter sure, or leaves it asked: the plug of an ESC, a motor’s three phases', () => {
    expect(sure('controller', 'T', 'C', 'S1', 'S2')).toBe('ESC telemetry');
    expect(sure('esc', 'U', 'V', 'W')).toBe('phase A');
    expect(sure('esc', 'U', 'S1')).toBeNull();
    expect(sure('controller', 'S3', '5V', 'G')).toBeNull();
    expect(sure('controller', 'S3', 'S1', 'S2')).toBe('motor signal 3');
  });

  it('tells several of a family apart, and needs no number for one', () => {
    expect(sure('controller', 'CAM1', 'CAM2')).toBe('camera in 1');
    expect(sure('controller', 'CAM1', 'VTX')).toBe('camera in');
    expect(sure('controller', 'SDA2', 'SDA1')).toBe('compass data 2');
    expect(sure('receiver', 'ANT_R', 'ANT_L')).toBe('antenna 2');
    expect(sure('lights', 'DO', 'DI')).toBe('lights data, which it gives');
  });

  it('is the unit that is named: its ground is ground, its plus is some rail, its TX is seen from nobody knows where', () => {
    expect(sure('controller', 'CAM_GND')).toBe('ground');
    expect(sure('controller', 'LED 5V')).toBe('5 V');
    expect(sure('controller', 'CAM+')).toBeNull();
    expect(offers('controller', 'GPS TX')).toEqual(['transmit', 'receive']);
  });

  it('asks what a unit’s lower rail does where it takes a higher one', () => {
    expect(offers('video unit', '5V', '7-26V')).toEqual(['5 V, which it gives', '5 V, which it takes']);
    expect(sure('video unit', '5V OUT', '7-26V')).toBe('5 V, which it gives');
    expect(sure('video unit', '5V', 'GND')).toBe('5 V');
  });
});

it('reads ranges of volts, cells, and a stroke as two labels on one pad', () => {
  expect(sure('video unit', '7-26V')).toBe('takes 7 to 26 V');
  expect(sure('camera', '3.3–5V')).toBe('takes 3.3 to 5 V');
  expect(sure('camera', '2-6S')).toBe('battery');
  expect(offers('controller', 'T3/SCL', 'R3')).toEqual(['transmit, port 3', 'compass clock']);
  expect(sure('controller', '26-7V')).toBeNull();
});

it('says why it asks', () => {
  expect(read('controller', 'S').why).toContain('inverted serial input and for motor signal');
  expect(read('controller', 'TX1', 'RX1').why).toBeNull();
});

describe('worn print', () => {
  it('is read as what makes sense', () => {
    expect(sure('controller', 'SV')).toBe('5 V');
    expect(sure('controller', '1OV')).toBe('10 V');
    expect(sure('controller', 'tl', 'r1')).toBe('transmit, port 1');
    expect(sure('controller', ' b z - ')).toBe('buzzer −');
  });

  it('never turns a sure label into another', () => {
    expect(sure('controller', 'TLM', 'S1')).toBe('ESC telemetry');
    expect(sure('controller', 'S5', '5V', 'S4', 'S6')).toBe('motor signal 5');
  });
});

it('leaves what it cannot know empty', () => {
  expect(read('controller', 'X9')).toMatchObject({ printed: 'X9', meanings: [], sure: null });
  expect(read('controller', '').sure).toBeNull();
  expect(read('controller', '5S1O0l5S1O0l'.repeat(3)).sure).toBeNull();
});
