import { parseTree } from 'jsonc-parser';
import { expect, it } from 'vitest';
import { repeatedNames } from './repeatedNames';

const paths = (text: string) => repeatedNames(parseTree(text)!).map(({ path }) => path);

it('finds every name that stands twice in one object, with its place', () => {
  expect(paths('{"a": 1, "a": 2, "b": {"a": 1}, "b": [{"c": 1, "c": {"d": 1, "d": 2}}]}')).toEqual([
    'a',
    'b',
    'b.0.c',
    'b.0.c.d',
  ]);
  const text = '{\n  "x": 1,\n  "x": 2\n}';
  expect(text.slice(0, repeatedNames(parseTree(text)!)[0]!.offset).split('\n')).toHaveLength(3);
});

it('finds nothing where names only look alike', () => {
  expect(paths('[{"a": 1}, {"a": 1}, "a", "a", 7]')).toEqual([]);
  expect(paths('"a"')).toEqual([]);
});
