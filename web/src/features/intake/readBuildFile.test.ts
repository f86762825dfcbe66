import { expect, it } from 'vitest';
import { parseJson } from './readBuildFile';

it('reads JSON', () => {
  expect(parseJson('{"a": [1]}')).toEqual({ ok: true, file: { a: [1] } });
});

it.each([
  ['{\n  "a": 1,,\n}', 'line 2, column 10'],
  ['{', 'line 1, column 2'],
  ['', 'line 1, column 1'],
])('says where %j is none', (text, where) => {
  const read = parseJson(text);
  expect(read.ok ? '' : read.problem).toContain(where);
});
