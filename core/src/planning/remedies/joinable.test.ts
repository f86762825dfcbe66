import { describe, expect, it } from 'vitest';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import type { TerminalRef } from '../../facts/terms/names';
import type { Link, Plan } from '../../facts/plan/plan';
import { benchParts, benchSlots, buildOf, goodWires, model, pin, port, terminal } from '../../testing/fixtures';
import { joinable } from './joinable';

const planOf = (slots: Readonly<Record<string, string>>, links: readonly Link[] = []): Plan => ({
  jobId: 'j',
  version: 1,
  target: buildOf(slots, []),
  front: null,
  links,
  wishes: [],
  pinned: [],
  cells: [4, 6],
  schools: {},
});

describe('what may be joined', () => {
  const sense = joinable(planOf(benchSlots), benchParts());

  it('is what the good wiring joins, in either direction', () => {
    for (const { ends } of goodWires()) {
      const [a, b] = ends.map(({ at }) => (at.on === 'terminal' ? at.ref : null)) as [TerminalRef, TerminalRef];
      if (a.startsWith('BAT.') || b.startsWith('BAT.')) continue;
      expect([a, b, sense.may(a, b), sense.may(b, a)]).toEqual([a, b, true, true]);
    }
  });

  it('is transmit with receive on any port, never like with like, a signal with a supply, or a part with itself', () => {
    expect([sense.may('RX.T', 'FC.R1'), sense.may('RX.T', 'FC.R2'), sense.may('RX.R', 'FC.T2')]).toEqual([
      true,
      true,
      true,
    ]);
    expect([
      sense.may('RX.T', 'FC.T1'),
      sense.may('RX.T', 'FC.5V'),
      sense.may('RX.V', 'FC.VB'),
      sense.may('RX.G', 'FC.5V'),
      sense.may('FC.T1', 'FC.R1'),
    ]).toEqual([false, false, false, false, false]);
  });

  it('takes terminals of one conductor as one', () => {
    // G and G2 of the board are one node.
    expect([...sense.partnersOf('RX.G')].sort()).toEqual(['FC.G', 'FC.G2']);
    expect(sense.partnersOf('FC.G2')).toContain('RX.G');
  });

  it('wants for each part its supply and its ground, and for each link its pins', () => {
    const linked = joinable(
      planOf(benchSlots, [
        {
          id: 'l',
          purpose: 'receiver',
          ends: [
            { slot: 'RX', port: 'L' },
            { slot: 'FC', port: 'U2' },
          ],
          wires: [],
          set: {},
        },
      ]),
      benchParts(),
    );
    const wanted = new Map(linked.wanted.map(({ own, pads }) => [own, pads]));
    expect([wanted.get('RX.V'), wanted.get('RX.T'), wanted.get('RX.R')]).toEqual([['FC.5V'], ['FC.R2'], ['FC.T2']]);
    // Without a link it is not wanted, though it may be.
    expect(sense.wanted.map(({ own }) => own)).not.toContain('RX.T');
  });

  it('leads every lead of a motor to every phase of its own channel and to no other', () => {
    const abc = (id: string, of: string) => terminal(id, [pin(of, id.charAt(0).toLowerCase() as 'a' | 'b' | 'c')]);
    const catalogue = makeCatalogue([
      model(
        'motor',
        'motor',
        ['A', 'B', 'C'].map((id) => abc(id, 'PH')),
        { ports: [port('PH', 'motorPhase', { way: 'takes' })] },
      ),
      model(
        'esc',
        'esc',
        [1, 2].flatMap((channel) => ['A', 'B', 'C'].map((id) => abc(`${id}${channel}`, `MOT${channel}`))),
        { ports: [1, 2].map((index) => port(`MOT${index}`, 'motorPhase', { way: 'gives', index })) },
      ),
    ]);
    const motors = joinable(
      planOf({ ESC: 'esc', M2: 'motor' }, [
        {
          id: 'motor 2',
          purpose: 'motor 2',
          ends: [
            { slot: 'M2', port: 'PH' },
            { slot: 'ESC', port: 'MOT2' },
          ],
          wires: [],
          set: {},
        },
      ]),
      catalogue,
    );
    expect([...motors.partnersOf('M2.A')].sort()).toEqual(['ESC.A2', 'ESC.B2', 'ESC.C2']);
    expect(motors.may('M2.A', 'ESC.A1')).toBe(false);
  });
});
