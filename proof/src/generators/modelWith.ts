/** A model whose regulator waits for something: software, or a pad of its own that is added to it. */
import type { PartModel } from '@junctor/core';

export function modelWith(model: PartModel, regulator: string, enable: string): PartModel {
  const pad = model.terminals.find(({ form, drivesV }) => form === 'pad' && drivesV === undefined)!;
  return {
    ...model,
    elements: model.elements.map((one) => (one.is === 'regulator' && one.id === regulator ? { ...one, enable } : one)),
    terminals:
      enable === 'software'
        ? model.terminals
        : [...model.terminals, { ...pad, id: enable, printed: 'EN', node: enable, roles: [] }],
  };
}
