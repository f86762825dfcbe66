import { expect, it } from 'vitest';
import { parseJson, repeated } from './readBuildFile';

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

it('says where a name stands twice, at any depth, and lets the same name stand in two places', () => {
  expect(repeated('{"a": {"x": 1},\n "b": [{"x": 2}, {"x": 3}]}')).toBeNull();
  expect(repeated('{"a": {"x": 1},\n "b": [{"y": 2,\n "y": 3}]}')).toEqual({
    ok: false,
    problem: 'Line 3: b.0.y stands there already',
  });
});
