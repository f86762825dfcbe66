import type { KitLine, StockLine } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { readKit, readStock, writeKit, writeStock } from './stockCsv';

let made = 0;
const newId = () => `id-${++made}`;
const stock = (over: Partial<StockLine>): StockLine => ({
  id: 'x',
  key: 'wire:28:red',
  name: 'red wire, 28 AWG',
  unit: 'mm',
  onHand: 640,
  offcut: false,
  place: 'reels',
  doc: { awg: 28, colour: 'red' },
  ...over,
});
const lines = [
  stock({}),
  stock({ key: 'odd:"quoted"; with, all', name: '=SUM(A1)', unit: 'pieces', onHand: 0, place: '', doc: {} }),
  stock({
    key: 'offcut:lead',
    offcut: true,
    unit: 'pieces',
    onHand: 1,
    doc: { family: 'wire plug 1.0', ways: 4, pitchMm: 1, lengthMm: 75.5 },
  }),
];
const plain = (rows: readonly StockLine[]) => rows.map(({ id: _id, ...rest }) => rest);
const faultsOf = (text: string) => {
  const read = readStock(text, newId);
  return read.ok ? [] : read.faults.map(({ line, message }) => `${line}: ${message}`);
};

describe('stock', () => {
  it('reads back what it wrote, formulas and quotes included', () => {
    const text = writeStock(lines);
    expect(text.startsWith('\ufeff')).toBe(true);
    const read = readStock(text, newId);
    expect(read.ok && plain(read.rows)).toEqual(plain(lines));
  });

  it.each([
    ['comma', 'unit,on hand,key,name\r\nmm,12,wire:28:red,red wire\r\n'],
    ['semicolon, byte-order mark, no last line break', '\ufeffunit;on hand;key;name\nmm;12;wire:28:red;red wire'],
    ['tab, capitals, underscores, decimal comma', 'Unit\tON_HAND\tKey\tName\nmm\t12,0\twire:28:red\tred wire\n\n'],
  ])('takes any order with %s', (_what, text) => {
    const read = readStock(text, newId);
    expect(read.ok && plain(read.rows)).toEqual([
      { key: 'wire:28:red', name: 'red wire', unit: 'mm', onHand: 12, place: '', offcut: false, doc: {} },
    ]);
  });

  it.each([
    ['no head', 'wire:28:red,12\n', '1: there is no column “key”'],
    ['an unknown column', 'key,name,unit,on hand,price\na,b,mm,1,2', '1: there is no such column as “price”'],
    ['a column twice', 'key,key,name,unit,on hand\na,a,b,mm,1', '1: column “key” is there twice'],
    ['a cell too many', 'key,name,unit,on hand\na,b,mm,1\nc,d,mm,2,3', '3: has 5 cells, the head has 4'],
    ['words for a number', 'key,name,unit,on hand\na,b,mm,many', '2: on hand is a number of 0 or more, not “many”'],
    ['less than nothing', 'key,name,unit,on hand\na,b,mm,-1', '2: on hand is a number of 0 or more, not “-1”'],
    ['thousands', 'key,name,unit,on hand\na,b,mm,"1,000,000"', '2: on hand is a number of 0 or more, not “1,000,000”'],
    ['another unit', 'key,name,unit,on hand\na,b,feet,1', '2: unit is pieces, mm or g, not “feet”'],
    ['a key twice', 'key,name,unit,on hand\na,b,mm,1\na,b,mm,2', '3: “a” stood on line 2 already'],
    ['an open quote', 'key,name,unit,on hand\n"a,b,mm,1\n', '2: Quoted field unterminated'],
    ['nothing', '', '1: there is no column “key”'],
    ['no rows', 'key,name,unit,on hand\n', '1: the file has no rows'],
  ])('refuses %s with its line', (_what, text, fault) => {
    expect(faultsOf(text)).toContainEqual(expect.stringContaining(fault));
  });
});

describe('a kit', () => {
  const kit: KitLine[] = [
    { key: 'tie:100', kind: 'fixing', name: 'cable tie', needed: 8, unit: 'pieces', because: '', slots: [], steps: [] },
  ];

  it('reads back what was counted into it', () => {
    expect(readKit(writeKit([{ ...kit[0]!, counted: 5 }]), kit)).toEqual({
      ok: true,
      rows: [{ key: 'tie:100', counted: 5 }],
    });
  });

  it('refuses a line that the job does not need, and one that was not counted', () => {
    expect(readKit('key,counted\nother,1', kit)).toMatchObject({ ok: false, faults: [{ line: 2 }] });
    expect(readKit(writeKit([{ ...kit[0]!, counted: null }]), kit)).toMatchObject({ ok: false, faults: [{ line: 2 }] });
  });
});
