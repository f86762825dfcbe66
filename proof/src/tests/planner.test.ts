/** The planner on the demo shop's parts; ./measure planner does it for hundreds of generated builds. */
import type { Build, PlanRequest, Solve } from '@junctor/core';
import {
  wiresBegun,
  conversion,
  emptyBuild,
  landedOn,
  makeCatalogue,
  planWiring,
  pointOf,
  possibleWishes,
  segmentsCross,
  setupSheet,
  waysOut,
  wishesFor,
  assemble,
} from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { beforeAll, describe, expect, it } from 'vitest';
import { shippedTemplate, shippedTemplates } from '@junctor/catalogue';
import { demoPlan } from '@junctor/demo';
import { catalogue } from '../trials/ruleTrial';
import { truth } from '../oracles/truth';
import { bestByTrying } from '../oracles/bestByTrying';
import { generate } from '../generators/generate';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

function requestOf(template: string): PlanRequest {
  const { target, cells } = shippedTemplate(template).plan;
  return {
    slots: target.slots,
    catalogue,
    cells,
    wishes: wishesFor(assemble({ ...emptyBuild, slots: target.slots }, catalogue)),
    pinned: [],
  };
}

function planned(request: PlanRequest) {
  const result = planWiring(request, solve);
  if (result.is !== 'planned') throw new Error(`${result.is}: ${result.why}`);
  return result;
}

describe('the planner', () => {
  it.each(shippedTemplates().map(({ id }) => id))(
    'wires the parts of %s so that no rule and no powered solve objects',
    (id) => {
      const request = requestOf(id);
      const { target, links, findings, wishes } = planned(request);
      expect(findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
      expect(wishes.filter(({ way }) => way === null)).toEqual([]);
      expect(truth({ build: target, catalogue, links, cells: request.cells }, target)).toEqual({
        is: 'fine',
        because: '',
      });
    },
  );

  it('wires the culvert inspector’s new parts beside what came in, so that no rule and no powered solve objects', () => {
    const [{ target: built }, { target: wanted, cells }] = [
      demoPlan('culvert-as-found'),
      demoPlan('culvert-conversion'),
    ];
    const wishes = wishesFor(assemble({ ...emptyBuild, slots: wanted.slots }, catalogue));
    const {
      target,
      links,
      findings,
      wishes: served,
    } = planned({ slots: wanted.slots, catalogue, cells, wishes, pinned: [], keep: built });
    expect(findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
    expect(served.filter(({ way }) => way === null)).toEqual([]);
    expect(truth({ build: target, catalogue, links, cells }, target)).toEqual({ is: 'fine', because: '' });
    // Motors, battery lead, capacitor and buzzer are not touched.
    const { stays, partsOff } = conversion(assemble(built, catalogue), assemble(target, catalogue));
    expect(stays.wires).toEqual(
      expect.arrayContaining([
        'BAT-PLUS',
        'BAT-MINUS',
        'CAP-PLUS',
        'CAP-MINUS',
        'BZ-PLUS',
        'BZ-MINUS',
        ...[1, 2, 3, 4].flatMap((motor) => ['A', 'B', 'C'].map((lead) => `M${motor}-${lead}`)),
      ]),
    );
    expect(partsOff.map(({ slot }) => slot).sort()).toEqual(['ANT1', 'CAM', 'RX', 'VTX']);
  });

  it('finds what trying everything finds', () => {
    const small = Array.from({ length: 30 }, (_, seed) => generate(seed + 1, catalogue, 'roomy', 4))
      .filter(({ slots }) => !Object.keys(slots).some((slot) => /^ESC\d|^REG/.test(slot)))
      .slice(0, 6);
    expect(small).toHaveLength(6);
    for (const { slots, cells, wishes } of small) {
      const { cost } = planned({ slots, catalogue, cells, wishes, pinned: [] });
      expect(cost).toEqual(bestByTrying(slots, catalogue, cells, wishes));
    }
  });

  it('keeps what was chosen by hand: port, pad, colour, gauge', () => {
    const request = requestOf('quad-serial-6s');
    const pinned = [
      { what: 'port', of: 'receiver RX', value: 'FC/UART3' },
      { what: 'terminal', of: 'RX.GND', value: 'FC.G9' },
      { what: 'colour', of: 'RX.TX', value: 'violet' },
      { what: 'gauge', of: 'RX.5V', value: '26' },
    ] as const;
    const { target, links } = planned({ ...request, pinned });
    const wire = (own: string) =>
      Object.values(target.wires).find(({ ends }) => ends[0].at.on === 'terminal' && ends[0].at.ref === own)!;
    expect(links.find(({ wish }) => wish === 'receiver RX')!.ends[1]).toEqual({ slot: 'FC', port: 'UART3' });
    expect([wire('RX.GND').ends[1].at, wire('RX.TX').colour, wire('RX.5V').awg]).toEqual([
      { on: 'terminal', ref: 'FC.G9' },
      'violet',
      26,
    ]);
  });

  it('names the smallest set that cannot be met, and ways out that work', () => {
    const request = requestOf('quad-serial-6s');
    const more = ['RX2', 'RX3', 'RX4', 'RX5'].map((slot) => [slot, request.slots.RX!] as const);
    const slots = { ...request.slots, ...Object.fromEntries(more) };
    const penalties: PlanRequest = {
      ...request,
      slots,
      wishes: wishesFor(assemble({ ...emptyBuild, slots }, catalogue)),
    };
    const result = planWiring(penalties, solve);
    expect(result).toMatchObject({
      is: 'conflict',
      wishes: ['receiver RX', 'receiver RX2', 'receiver RX3', 'receiver RX4', 'receiver RX5'],
    });
    if (result.is !== 'conflict') return;
    const ways = waysOut(penalties, result, solve);
    expect(ways.map((way) => way.do)).toContain('exchange');
    expect(ways.filter((way) => way.do === 'drop').map(({ message }) => message)).toContain('Do without receiver RX3');
    const other = ways.find((way) => way.do === 'exchange' && way.slots[0] === 'FC')!;
    if (other.do !== 'exchange') return;
    planned({ ...penalties, slots: { ...slots, FC: { ...slots.FC!, model: other.model, revision: other.revision } } });
  });

  it('lets no two leads of a motor cross, and keeps the phases of a motor that is soldered already', () => {
    const request = requestOf('quad-glasshouse-6s');
    const first = planned(request);
    const seen = (target: Build, motor: string) =>
      Object.values(target.wires)
        .filter(({ tailOf }) => tailOf?.startsWith(`${motor}.`))
        .map((wire) => {
          const at = wire.ends.map((end) => pointOf(assemble(target, catalogue), landedOn(end)!));
          return {
            id: wire.id,
            to: landedOn(wire.ends[1]),
            from: [at[0]![0], at[0]![1]] as const,
            end: [at[1]![0], at[1]![1]] as const,
          };
        });
    for (const motor of ['M1', 'M2', 'M3', 'M4']) {
      const leads = seen(first.target, motor);
      expect(leads).toHaveLength(3);
      for (const [index, a] of leads.entries())
        for (const b of leads.slice(index + 1)) expect(segmentsCross(a.from, a.end, b.from, b.end)).toBe(false);
    }
    expect(first.crossings.after).toBeLessThan(first.crossings.before);
    const soldered = shippedTemplate('quad-glasshouse-6s').plan.target;
    const again = planned({ ...request, keep: soldered });
    for (const motor of ['M1', 'M3'])
      expect(seen(again.target, motor).map(({ to }) => to)).toEqual(seen(soldered, motor).map(({ to }) => to));
  });

  it('adds a second ground between ESC and controller when it is asked for, and offers it where a plug holds the only one', () => {
    const offered = (id: string) =>
      possibleWishes(assemble({ ...emptyBuild, slots: requestOf(id).slots }, catalogue)).filter(
        ({ purpose }) => purpose === 'second ground',
      );
    expect([
      offered('quad-glasshouse-6s').map(({ id }) => id),
      offered('carrier-coax-6s'),
      offered('quad-culvert-4s'),
    ]).toEqual([['second ground ESC'], [], []]);
    const request = requestOf('quad-glasshouse-6s');
    const { target, links } = planned({ ...request, wishes: [...request.wishes, ...offered('quad-glasshouse-6s')] });
    const wire = target.wires[links.find(({ wish }) => wish === 'second ground ESC')!.wires[0]!]!;
    expect(wire).toMatchObject({ colour: 'black', from: 'stock' });
    const roles = wire.ends.map((end) => assemble(target, catalogue).terminal(landedOn(end)!)!.roles[0]!.is);
    expect(roles).toEqual(['ground', 'ground']);
    expect(truth({ build: target, catalogue, links, cells: request.cells }, target).is).toBe('fine');
  });

  it('puts plus and minus of each ESC on a pair of pads', () => {
    const { target } = planned(requestOf('carrier-coax-6s'));
    const pad = (own: string) =>
      /^PDB\.E(\d)/.exec(
        landedOn(Object.values(target.wires).find(({ ends }) => landedOn(ends[0]) === own)!.ends[1])!,
      )![1];
    const pairs = [1, 2, 3, 4, 5, 6, 7, 8].map((number) => [pad(`ESC${number}.BP`), pad(`ESC${number}.BM`)]);
    for (const [plus, minus] of pairs) expect(plus).toBe(minus);
    expect(new Set(pairs.map(([plus]) => plus)).size).toBe(8);
  });

  it('keeps off the port that the boot loader listens to while another will do, as trying everything does', () => {
    const { slots: plain, cells, wishes } = generate(1, catalogue, 'roomy', 2);
    const usual = planned({ slots: plain, catalogue, cells, wishes, pinned: [] }).wishes.find(
      ({ wish }) => wish.purpose === 'receiver',
    )!.port!;
    const board = catalogue.model(plain.FC!);
    const fc = {
      ...board,
      id: 'listening',
      ports: board.ports.map((port) =>
        `FC/${port.id}` === usual ? { ...port, speaks: [...port.speaks, 'bootLoader' as const] } : port,
      ),
    };
    const own = makeCatalogue([...catalogue.models, fc]);
    const slots = { ...plain, FC: { ...plain.FC!, model: 'listening' } };
    const result = planned({ slots, catalogue: own, cells, wishes, pinned: [] });
    expect(result.wishes.map(({ port }) => port)).not.toContain(usual);
    expect(result.findings.map(({ rule }) => rule)).not.toContain('boot loader port');
    expect(result.cost).toEqual(bestByTrying(slots, own, cells, wishes));
  });

  it('steers the video transmitter over the receiver when that is welcome and no port is left', () => {
    const base = requestOf('quad-glasshouse-6s');
    const slots = { ...base.slots, RX: { ...base.slots.RX!, model: 'teal-rx-c', revision: 1 } };
    const wishes = wishesFor(assemble({ ...emptyBuild, slots }, catalogue)).map((wish) =>
      wish.purpose === 'video control' ? { ...wish, must: true, ways: ['over the receiver'] } : wish,
    );
    const request: PlanRequest = { ...base, slots, wishes };
    const { target, links, findings, cost } = planned(request);
    const link = links.find(({ wish }) => wish === 'video control VTX')!;
    expect([link.ends[1], cost.loss]).toEqual([{ slot: 'RX', port: 'CTL' }, 1]);
    expect(findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
    expect(truth({ build: target, catalogue, links, cells: request.cells }, target)).toEqual({
      is: 'fine',
      because: '',
    });
    expect(
      setupSheet({ target, links, cells: request.cells, front: null, wishes, pinned: [], schools: {} }, catalogue).find(
        ({ key }) => key === 'video control',
      )?.value,
    ).toBe('receiver output');
  });

  it('says which part nothing feeds', () => {
    const { slots } = requestOf('quad-serial-6s');
    const result = planWiring(
      {
        ...requestOf('quad-serial-6s'),
        slots: { ...slots, ESC2: { model: 'whimbrel-esc-30', revision: 1, part: null, pose: null } },
      },
      solve,
    );
    expect(result).toMatchObject({
      is: 'conflict',
      wishes: [],
      parts: ['ESC2'],
      why: 'ESC2: nothing here gives the supply that ESC2.BP takes (7 to 17.6 V)',
    });
  });

  it('goes on with a wire of which only one end is landed, wherever that is', () => {
    const { slots, cells, wishes, pinned } = requestOf('quad-serial-6s');
    const { target } = planned({ slots, catalogue, cells, wishes, pinned });
    const ground = Object.values(target.wires).find(({ ends }) => landedOn(ends[0]) === 'RX.GND')!;
    // On another pad than the planner would choose, as the plan at the bench has it; the receiver's end is still in the
    // air.
    const far = {
      ...ground,
      ends: [ground.ends[0], { ...ground.ends[1], at: { on: 'terminal', ref: 'FC.G5' } }],
    } as const;
    const plan: Build = { ...target, wires: { ...target.wires, [far.id]: far } };
    const built: Build = {
      ...emptyBuild,
      slots,
      wires: { [far.id]: { ...far, ends: [{ at: { on: 'air', end: 'bare' }, by: 'none' }, far.ends[1]] } },
    };
    const blind = planned({ slots, catalogue, cells, wishes, pinned, keep: built });
    expect(conversion(assemble(built, catalogue), assemble(blind.target, catalogue)).opens).toEqual([`${far.id}.b`]);
    const { target: next } = planned({ slots, catalogue, cells, wishes, pinned, keep: wiresBegun(built, plan), built });
    expect([
      conversion(assemble(built, catalogue), assemble(next, catalogue)).opens,
      landedOn(next.wires[far.id]!.ends[0]),
      landedOn(next.wires[far.id]!.ends[1]),
    ]).toEqual([[], 'RX.GND', 'FC.G5']);
  });
});
