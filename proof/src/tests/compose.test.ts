/** Heaps of parts with a planted aircraft in them, and with something planted that cannot be. */
import type { Draft, Heap, PartModel } from '@junctor/core';
import {
  assemble,
  compose as composeDraft,
  costWords,
  draftOf,
  emptyBuild,
  judge,
  makeCatalogue,
  wantsOf,
  withWayOut,
} from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { describe, expect, it } from 'vitest';
import { heapOf } from '../generators/heaps';

const models = shippedModels();
const catalogue = makeCatalogue(models);
const solve = await loadSolver();
const given = { catalogue, stock: models, solve };

function compose(heap: Heap, { catalogue, ...rest }: typeof given) {
  const { draft, pack } = draftOf(heap, catalogue);
  return composeDraft(draft, { catalogue, pack, ...rest });
}

const plain: Heap = {
  name: 'plain',
  cells: null,
  parts: [
    { model: 'coppice-frame-8', count: 1 },
    { model: 'marl-motor-2812', count: 4 },
    { model: 'lapwing-esc-45', count: 1 },
    { model: 'plover-fc-36', count: 1 },
    { model: 'dunlin-rx-2', count: 1 },
    { model: 'moss-pack-6s-4000', count: 1 },
  ],
};
const withPart = ({ parts, ...heap }: Heap, model: string, count: number): Heap => ({
  ...heap,
  parts: [...parts.filter((part) => part.model !== model), ...(count > 0 ? [{ model, count }] : [])],
});

/** A distribution board whose pads of battery plus are all but two built over. */
function smallerBoard(): PartModel {
  const like = models.find(({ kind }) => kind === 'distribution')!;
  const plus = like.terminals.filter(({ roles }) =>
    roles.some((role) => role.is === 'supply' && role.dir === 'gives' && role.volts[1] > 12),
  );
  const gone = new Set(plus.slice(2).map(({ id }) => id));
  const terminals = like.terminals.map((one) => (gone.has(one.id) ? { ...one, holds: 0 } : one));
  return { ...like, id: 'smaller-board', terminals };
}

describe('a heap with an aircraft in it', () => {
  // A stack, single ESCs, six motors, a single board, a brushed one.
  it.each([2, 4, 5, 7, 8])('becomes a plan with nothing that kills or stops: %i', (seed) => {
    const heap = heapOf(seed, catalogue);
    const made = compose(heap, given);
    if (made.is !== 'composed') throw new Error(`${heap.name}: ${JSON.stringify(made)}`);
    const { target, links, cells } = made.plan;
    const grave = judge(assemble(target, catalogue), links, cells).filter(({ severity }) => severity !== 'warn');
    expect([heap.name, grave]).toEqual([heap.name, []]);
    const wanted = heap.parts.flatMap(({ model, count }) => new Array<string>(count).fill(model));
    const taken = made.suggested.flatMap(({ model, slots }) => slots.map(() => model.id));
    const fitted = Object.values(target.slots).map(({ model }) => model);
    expect([...fitted].sort()).toEqual([...wanted, ...taken].sort());
  });

  it('flies with the cells of its pack, and takes the lightest lead and capacitor that do', () => {
    const made = compose(plain, given);
    if (made.is !== 'composed') throw new Error(made.is);
    expect(made.plan.cells).toEqual([6, 6]);
    expect(made.suggested.map(({ model: { kind } }) => kind)).toEqual(['battery lead', 'capacitor']);
    const lighter = models.filter(
      ({ kind, massG }) => kind === 'battery lead' && massG < made.suggested[0]!.model.massG,
    );
    for (const { id } of lighter) {
      const other = compose(withPart(plain, id, 1), given);
      const grave = other.is === 'composed' && other.planned.findings.every(({ severity }) => severity === 'warn');
      expect([id, grave && other.planned.findings.length <= made.planned.findings.length]).toEqual([id, false]);
    }
  });

  it('lays its parts in its frame', () => {
    const made = compose(plain, given);
    if (made.is !== 'composed') throw new Error(made.is);
    expect(made.plan.target.slots.FC!.pose).not.toBeNull();
    expect(made.plan.target.slots.RX!.pose).not.toBeNull();
  });
});

describe('a heap that lacks something by count', () => {
  const said = (heap: Heap) => {
    const made = compose(heap, given);
    return made.is === 'lacking' ? made.lacks.map(({ says }) => says) : made.is;
  };
  it.each([
    ['marl-motor-2812', 3, ['3 motors; Coppice 8-inch frame has 4 places']],
    ['plover-fc-36', 0, ['nothing that runs the flight software']],
    ['plover-fc-36', 2, ['2 boards that run the flight software; one does']],
    ['lapwing-esc-45', 0, ['no ESC yet: 4 outputs, 6 cells, 40 A each']],
    ['lapwing-esc-45', 2, ['8 outputs for 4 motors']],
    ['coppice-frame-8', 2, ['2 frames; an aircraft has one']],
  ])('says so: %s x %i', (model, count, words) => {
    expect(said(withPart(plain, model, count))).toEqual(words);
  });

  it('without a frame any airframe may have so many motors', () => {
    const bare = withPart(plain, 'coppice-frame-8', 0);
    expect(said(withPart(bare, 'marl-motor-2812', 2))).toEqual(['2 motors; an airframe has 3 to 8']);
    expect(said(bare)).toBe('composed');
  });
});

describe('a heap in which parts clash', () => {
  const clashing = withPart(withPart(plain, 'lapwing-esc-45', 0), 'phalarope-esc-25', 1);
  const made = compose(clashing, given);

  it('is answered with what clashes, and a first way out that works when it is taken', () => {
    if (made.is !== 'clash') throw new Error(made.is);
    const way = made.waysOut.find((one) => one.do === 'exchange');
    expect(made.conflict.parts.length).toBeGreaterThan(0);
    const taken = withPart(withPart(clashing, 'phalarope-esc-25', 0), way!.model, 1);
    expect(compose(taken, given).is).toBe('composed');
  });

  it('has a pack of fewer cells where its own is beyond all, with the capacitor that goes with that one', () => {
    const { draft } = draftOf(plain, catalogue);
    const beyond: Draft = { ...draft, cells: [13, 13] };
    const clash = composeDraft(beyond, { ...given, pack: null });
    if (clash.is !== 'clash') throw new Error(clash.is);
    expect(clash.suggested.map(({ model: { kind } }) => kind)).not.toContain('capacitor');
    expect(clash.waysOut[0]).toMatchObject({ do: 'cells', cells: [6, 6] });
    const made = composeDraft(withWayOut(clash.waysOut[0]!, beyond), { ...given, pack: null });
    expect(made.is === 'composed' && made.suggested.map(({ model: { kind } }) => kind)).toContain('capacitor');
  });

  it('has another board that shares the pack out, and never fewer motors than fly', () => {
    const four = withPart(withPart(plain, 'coppice-frame-8', 0), 'lapwing-esc-45', 0);
    const small = smallerBoard();
    const all = makeCatalogue([...models, small]);
    const parts = withPart(withPart(four, 'avocet-esc-50', 4), small.id, 1);
    const clash = compose(parts, { ...given, catalogue: all });
    if (clash.is !== 'clash') throw new Error(clash.is);
    expect(clash.conflict.why).toMatch(/wires, and (the one pad|\d+ pads) that would do holds? \d+$/);
    expect(clash.waysOut[0]).toMatchObject({ do: 'exchange', slots: ['PDB'] });
    for (const way of clash.waysOut) {
      const { draft, pack } = draftOf(parts, all);
      expect(composeDraft(withWayOut(way, draft), { ...given, catalogue: all, pack }).is).toBe('composed');
    }
  });

  it('can be without the part that clashes', () => {
    expect(compose(plain, given).is).toBe('composed');
  });
});

describe('an aerial whose plug is not that of the socket', () => {
  const sending = withPart(withPart(plain, 'kittiwake-vtx-26', 1), 'gadwall-cam-26', 1);
  const screwed = withPart(sending, 'reed-ant-panel', 1);
  const idle =
    'Reed flat antenna with screw plug has coax screw, and no socket for it is left: an adapter, or without it';
  const takenFor = (heap: Heap, stock = models) => {
    const made = compose(heap, { ...given, stock });
    if (made.is !== 'composed') throw new Error(made.is);
    const assembly = assemble(made.plan.target, catalogue);
    const radio = made.suggested.filter(({ model: { kind } }) => kind === 'cable' || kind === 'antenna');
    return {
      taken: radio.map(({ model }) => model.id),
      costs: radio.map((one) => costWords(one, assembly, made.plan.cells).join(', ')),
      wants: wantsOf(assembly, null).map(({ says }) => says),
      grave: made.planned.findings.filter(({ severity }) => severity !== 'warn'),
    };
  };

  it('gets the adapter for both, with what it costs', () => {
    const costs = ['2.1 g, 2 plugs, 0.5 dB lost'];
    expect(takenFor(screwed)).toEqual({ taken: ['reed-tail-screw'], costs, wants: [], grave: [] });
  });

  it('is said to be of no use where no adapter is to be had, and another is taken', () => {
    const without = models.filter(({ id }) => id !== 'reed-tail-screw');
    expect(takenFor(screwed, without)).toMatchObject({ taken: ['reed-ant-dipole'], wants: [idle], grave: [] });
  });

  it('gets none for a wave that the transmitter does not want', () => {
    const digital = withPart(withPart(plain, 'heron-dvu-26', 1), 'wigeon-cam-d', 1);
    const { taken, wants } = takenFor(withPart(digital, 'reed-ant-panel', 1));
    expect([taken, wants]).toEqual([['reed-ant-dipole'], [idle]]);
  });

  it('finds its way over an adapter that is on the heap already', () => {
    expect(takenFor(withPart(screwed, 'reed-tail-screw', 1))).toMatchObject({ taken: [], wants: [], grave: [] });
  });
});

describe('what it can be wired without', () => {
  const said = (heap: Heap) => {
    const { draft, pack } = draftOf(heap, catalogue);
    return wantsOf(assemble({ ...emptyBuild, slots: draft.slots }, catalogue), pack).map(({ says }) => says);
  };
  it('is said: nothing that hears the pilot, a lead that is not for the plug of its pack', () => {
    expect(said(plain)).toEqual([]);
    expect(said(withPart(plain, 'dunlin-rx-2', 0))).toEqual(['no receiver yet: nothing hears the pilot']);
    expect(said(withPart(plain, 'burr-lead-10', 1))).toEqual([
      'Burr battery lead, 10 AWG with large plug has battery plug 90, the pack battery plug 60: another lead, or an adapter',
    ]);
    expect(said(withPart(plain, 'burr-lead-12', 1))).toEqual([]);
  });

  it.each(['moss-pack-6s-4000', 'moss-pack-6s-10000'])(
    'the lead that is taken has the plug of the pack: %s',
    (pack) => {
      const made = compose(withPart(withPart(plain, 'moss-pack-6s-4000', 0), pack, 1), given);
      if (made.is !== 'composed') throw new Error(made.is);
      const lead = made.suggested.find(({ model: { kind } }) => kind === 'battery lead')!.model;
      const own = models.find(({ id }) => id === pack)!;
      expect(lead.connectors[0]!.family).toBe(own.connectors[0]!.family);
    },
  );
});

describe('what nobody put on the heap and the aircraft wants', () => {
  const survey = withPart(withPart(plain, 'coppice-frame-8', 0), 'coppice-survey-8', 1);
  const kindsTaken = (heap: Heap) => {
    const made = compose(heap, given);
    if (made.is !== 'composed') throw new Error(made.is);
    return { made, kinds: made.suggested.map(({ model: { kind } }) => kind) };
  };

  it('is a cable between two sockets, and none where the camera has its own', () => {
    const unit = withPart(survey, 'egret-dvu-9', 1);
    const { made, kinds } = kindsTaken(withPart(unit, 'wigeon-cam-s', 1));
    expect(kinds).toContain('cable');
    const cable = Object.values(made.plan.target.mates).filter(({ a }) => 'slot' in a && a.slot === 'CBL');
    expect(cable.map(({ b }) => 'slot' in b && b.slot).sort()).toEqual(['CAM', 'VTX']);
    expect(kindsTaken(withPart(unit, 'wigeon-cam-d', 1)).kinds).not.toContain('cable');
  });

  it('is a board that shares the pack out to ESCs that stand by themselves', () => {
    const { kinds } = kindsTaken(withPart(withPart(survey, 'lapwing-esc-45', 0), 'avocet-esc-50', 4));
    expect(kinds).toContain('distribution');
  });

  it('is laid so that it has room: the unit only turned', () => {
    const { made } = kindsTaken(withPart(withPart(survey, 'egret-dvu-9', 1), 'wigeon-cam-s', 1));
    expect([made.misfit, made.plan.target.slots.VTX!.pose!.yawDeg]).toEqual([null, 270]);
  });
});

describe('a heap whose parts can be wired and have no room', () => {
  const made = compose(withPart(withPart(plain, 'coppice-frame-8', 0), 'coppice-frame-4', 1), given);

  it('says what has none, with ways out each of which leaves less that has none', () => {
    if (made.is !== 'composed' || !made.misfit) throw new Error(made.is);
    const { conflict, waysOut } = made.misfit;
    expect(conflict.parts).toContain('FRAME');
    const larger = waysOut.find((way) => way.do === 'exchange' && way.slots.includes('FRAME'));
    expect(larger).toBeDefined();
    const other = compose(
      withPart(withPart(plain, 'coppice-frame-8', 0), (larger as { model: string }).model, 1),
      given,
    );
    expect(other.is === 'composed' && other.misfit?.conflict.why).not.toBe(conflict.why);
  });
});
