import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { check, sentRecords } from './index';
import { inherited, unreadable } from './readable';
import { date, time } from './common';

const half = String.fromCharCode(0xdc00);

describe('what nobody can have meant', () => {
  it.each<[string, unknown, string]>([
    ['half a character', { a: `x${half}` }, 'text.broken'],
    ['the sign that ends a text', ['a\u0000'], 'text.broken'],
    ['a number that cannot be counted with', { a: { b: 2 ** 60 } }, 'number.beyond'],
    ['no number', [NaN], 'number.beyond'],
    ['nesting without end', Array.from({ length: 40 }).reduce((inner) => [inner], 1), 'nested'],
    ['a text without end', 'x'.repeat(300_000), 'text.long'],
  ])('%s is refused', (_what, value, code) => expect(unreadable(value)?.code).toBe(code));

  it('is a name that every object answers to, wherever it stands', () => {
    for (const name of inherited) {
      const value = JSON.parse(`{"a": [{"${name}": 1}]}`) as unknown;
      expect(unreadable(value)).toMatchObject({ code: 'name.reserved', path: 'a.0' });
    }
  });

  it('is nothing that JSON of people holds', () => {
    const people = fc.jsonValue({ maxDepth: 5, noUnicodeString: false });
    fc.assert(
      fc.property(people, (value) => {
        const text = JSON.stringify(value);
        fc.pre(!/\\u0000|\\ud[89a-f]/i.test(text) && ![...inherited].some((name) => text.includes(`"${name}":`)));
        fc.pre(!/\d{16}|e\+/.test(text));
        expect(unreadable(value)).toBeNull();
      }),
    );
  });
});

describe('a moment', () => {
  it.each([
    '2026-02-30T00:00:00.000Z',
    '9999-99-99T99:99:99.999Z',
    '1969-12-31T23:59:59.999Z',
    '2300-01-01T00:00:00.000Z',
  ])('%s is none', (text) => expect(check(time, text).ok).toBe(false));
  it('of a calendar is one', () => {
    expect(check(time, '2028-02-29T12:00:00.000Z').ok).toBe(true);
    expect([check(date, '2028-02-29').ok, check(date, '2026-02-29').ok]).toEqual([true, false]);
  });
});

it('a record with such a name is refused before it is read', () => {
  const found = check(sentRecords, JSON.parse('{"records": [{"body": {"do": "unhouse", "__proto__": 1}}]}'));
  expect(found).toMatchObject({ ok: false, mistakes: [{ code: 'name.reserved', path: 'records.0.body' }] });
});
