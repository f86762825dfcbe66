/**
 * The published JSON Schema says what the server's own schema says: on every shipped model, and on each broken in one
 * place.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { check, partModel } from '@junctor/core/schemas';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { shippedModels } from './shipped';

const schema = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../docs/formats/catalogue.schema.json'), 'utf8'),
) as object;
const validate = new Ajv2020({ allowUnionTypes: true }).compile(schema);
const published = (model: unknown) => validate({ format: 'junctor-catalogue', version: 1, models: [model] });

/** Every place in a value, as a path. */
function places(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, one]) => places(one, [...path, Array.isArray(value) ? Number(key) : key])),
  ];
}

function broken(
  model: unknown,
  path: readonly (string | number)[],
  edit: (holder: Record<string, unknown>, key: string) => void,
): unknown {
  const copy = structuredClone(model);
  const holder = path.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], copy);
  edit(holder as Record<string, unknown>, String(path.at(-1)));
  return copy;
}

describe('the published schema', () => {
  it('takes every shipped model', () => {
    expect(shippedModels().filter((model) => !published(model))).toEqual([]);
  });

  it('refuses what the server refuses, and takes what it takes', () => {
    const edits: ((holder: Record<string, unknown>, key: string) => void)[] = [
      (holder, key) => {
        holder[key] = typeof holder[key] === 'string' ? 7 : 'seven';
      },
      (holder, key) => {
        holder[key] = -1e13;
      },
      (holder, key) => {
        if (Array.isArray(holder)) holder.push({});
        else holder[`${key}x`] = 1;
      },
      (holder, key) => {
        if (!Array.isArray(holder)) delete holder[key];
      },
    ];
    const shipped = shippedModels().filter(({ id }) =>
      ['dunlin-rx-2', 'coppice-frame-4', 'corncrake-bz-5', 'moss-pack-4s-850', 'gorse-cap-680'].includes(id),
    );
    const measured = [
      { is: 'ohms', black: 'G', red: 'V', ohms: 1200 },
      { is: 'tone', black: 'G', red: 'G2', sounds: true },
    ];
    const sample = [...shipped, { ...shipped[0]!, measured }];
    const differ = sample.flatMap((model) =>
      places(model)
        .slice(1)
        .flatMap((path) =>
          edits.flatMap((edit, index) => {
            const one = broken(model, path, edit);
            return published(one) === check(partModel, one).ok ? [] : [`${model.id} ${path.join('.')} edit ${index}`];
          }),
        ),
    );
    expect(differ).toEqual([]);
  });
});
