/**
 * The best wiring by trying everything, for small builds: the reference that the planner's optimum is held against.
 * It reads the catalogue for itself and shares no code with the planner. Branches that can no longer beat the best are cut.
 */
import type { Build, Catalogue, Wish } from '@junctor/core';
import type { Pad, Term } from './parts';
import { Rails } from './rails';

export interface Best {
  loss: number;
  crowding: number;
  lengthMm: number;
}

/** One thing to decide: an own terminal, and where it may go at what price. */
interface Choice {
  own: Pad;
  to: readonly { pad: Pad; rail: string | null; typical: number; peak: number; doubt: number; mm: number }[];
}

/** null when nothing fits. */
export function bestByTrying(
  slots: Build['slots'],
  catalogue: Catalogue,
  cells: readonly [number, number],
  wishes: readonly Wish[],
): Best | null {
  const world = new World(slots, catalogue, [cells[0] * 3, cells[1] * 4.2]);
  let best: Best | null = null;
  const better = (a: Best) =>
    !best ||
    a.loss < best.loss ||
    (a.loss === best.loss &&
      (a.crowding < best.crowding || (a.crowding === best.crowding && a.lengthMm < best.lengthMm)));
  const serve = (
    index: number,
    loss: number,
    taken: ReadonlySet<string>,
    signals: readonly Choice[],
    used: ReadonlySet<string>,
  ): void => {
    if (best && loss > best.loss) return;
    const wish = wishes[index];
    if (!wish) {
      const choices = [...signals, ...world.needs(used)];
      if (choices.some(({ to }) => to.length === 0)) return;
      world.place(
        choices,
        loss,
        () => best,
        (found) => {
          if (better(found)) best = found;
        },
      );
      return;
    }
    for (const way of world.ways(wish)) {
      if (way.ports.some((port) => taken.has(port))) continue;
      serve(
        index + 1,
        loss + way.loss,
        new Set([...taken, ...way.ports]),
        [...signals, ...way.signals],
        new Set([...used, wish.of, ...way.parts]),
      );
    }
    if (!wish.must) serve(index + 1, loss + wish.lossIfDropped, taken, signals, used);
  };
  serve(0, 0, new Set(), [], new Set());
  return best;
}

interface Way {
  loss: number;
  ports: readonly string[];
  parts: readonly string[];
  signals: readonly Choice[];
}

class World extends Rails {
  private readonly fixed = new Map<string, number>();
  private readonly fedBy = new Set<string>();

  constructor(slots: Build['slots'], catalogue: Catalogue, packV: readonly [number, number]) {
    super(slots, catalogue, packV);
    const names = Object.keys(slots);
    const main =
      names.find((slot) => this.model(slot).kind === 'esc') ??
      names.find((slot) => this.model(slot).kind === 'single board')!;
    this.fedBy.add(main);
    const thickest = (is: 'supply' | 'ground') =>
      [...this.model(main).terminals]
        .filter(
          (one) =>
            one.holds > 0 && one.roles.some((role) => role.is === is && (role.is !== 'supply' || role.dir === 'takes')),
        )
        .sort((a, b) => a.thickestAwg - b.thickestAwg)[0]!;
    for (const slot of names.filter((one) => ['battery lead', 'capacitor'].includes(this.model(one).kind))) {
      for (const is of ['supply', 'ground'] as const) this.use(`${main}.${thickest(is).id}`);
      this.fedBy.add(slot);
    }
    const controller = names.find((slot) => this.model(slot).kind === 'controller');
    if (!controller) return;
    // The plug between a four-in-one ESC and the controller.
    const plug = this.model(main).connectors.find(({ pins }) =>
      pins.some((pin) => this.ofPort(main, pin) === 'motorSignal'),
    )!;
    const socket = this.model(controller).connectors.find(({ pins }) =>
      pins.some((pin) => this.ofPort(controller, pin) === 'motorSignal'),
    );
    for (const pin of plug.pins) this.use(`${main}.${pin}`);
    for (const pin of socket?.pins ?? []) this.use(`${controller}.${pin}`);
    this.fedBy.add(controller);
  }

  private use(ref: string): void {
    this.fixed.set(ref, (this.fixed.get(ref) ?? 0) + 1);
  }

  private ofPort(slot: string, pin: string): string | undefined {
    const role = this.model(slot).terminals.find(({ id }) => id === pin)?.roles[0];
    return role?.is === 'port' ? this.model(slot).ports.find(({ id }) => id === role.port)?.kind : undefined;
  }

  private signal(own: Pad, pads: readonly Pad[]): Choice {
    // A buzzer's plus loads the rail that it sits on.
    const load = this.model(own.slot).elements.find((one) => one.is === 'load' && one.plus === own.terminal.node);
    return {
      own,
      to: pads.map((pad) => {
        const regulator = load ? this.regulator(pad.slot, pad.terminal.node) : undefined;
        const drawn =
          load?.is === 'load' && regulator
            ? { rail: `${pad.slot}/${regulator.id}`, typical: load.typicalA, peak: load.peakA }
            : { rail: null, typical: 0, peak: 0 };
        return { pad, ...drawn, doubt: this.listenedTo(pad) ? 5 : 0, mm: this.mm(own, pad) };
      }),
    };
  }

  /** A part that talks there is in the way when the board is flashed. */
  private listenedTo({ slot, terminal: { roles } }: Pad): boolean {
    return roles.some(
      (role) =>
        role.is === 'port' &&
        role.pin === 'rx' &&
        this.model(slot).ports.some(({ id, speaks }) => id === role.port && speaks.includes('bootLoader')),
    );
  }

  ways(wish: Wish): Way[] {
    const model = this.model(wish.of);
    const talk = (own: string, theirs: readonly string[], wayName: string): Way[] => {
      const port = model.ports.find((one) => one.kind === 'serial' && one.speaks.includes(own));
      if (!port || !wish.ways.includes(wayName)) return [];
      return this.boards().flatMap((board) =>
        this.model(board)
          .ports.filter((one) => one.kind === 'serial' && one.speaks.some((word) => theirs.includes(word)))
          .flatMap((one): Way[] => {
            if (port.inversion !== one.inversion && port.inversion !== 'either' && one.inversion !== 'either')
              return [];
            const pairs = (
              [
                ['tx', 'rx'],
                ['rx', 'tx'],
              ] as const
            ).flatMap(([mine, other]) => {
              const own_ = this.firstPin(wish.of, port.id, mine);
              return own_ ? [{ own: own_, pads: this.pins(board, one.id, other) }] : [];
            });
            if (pairs.length === 0 || pairs.some(({ pads }) => pads.length === 0)) return [];
            return [
              {
                loss: 0,
                ports: [`${board}/${one.id}`, ...one.excludes.map((id) => `${board}/${id}`)],
                parts: [],
                signals: pairs.map(({ own: mine, pads }) => this.signal(mine, pads)),
              },
            ];
          }),
      );
    };
    const shared = (kind: string, pins: readonly string[]): Way[] => {
      const port = model.ports.find((one) => one.kind === kind && (kind !== 'lights' || one.way === 'takes'));
      return this.boards().flatMap((board) =>
        this.model(board)
          .ports.filter((one) => one.kind === kind && one.way !== 'takes')
          .slice(0, 1)
          .flatMap((one): Way[] => {
            const signals = pins.flatMap((pin) => {
              const own = port && this.firstPin(wish.of, port.id, pin);
              return own ? [this.signal(own, this.pins(board, one.id, pin === 'in' ? 'out' : pin))] : [];
            });
            return signals.length > 0 && signals.every(({ to }) => to.length > 0)
              ? [{ loss: 0, ports: [], parts: [], signals }]
              : [];
          }),
      );
    };
    switch (wish.purpose) {
      case 'receiver':
        return talk('serialReceiver', ['serialReceiver'], 'two-way');
      case 'positioning':
        return talk('positioning', ['positioning'], 'two-way');
      case 'on-screen data':
        return talk('video', ['video', 'control'], 'two-way');
      case 'video control':
        return talk('control', ['control'], 'own port');
      case 'compass':
        return shared('i2c', ['sda', 'scl']);
      case 'buzzer':
        return shared('buzzer', ['minus', 'plus']);
      case 'lights':
        return [...shared('lights', ['in']), ...this.behind(wish)];
      case 'video':
        return this.video(wish);
      default:
        return [];
    }
  }

  private behind(wish: Wish): Way[] {
    const model = this.model(wish.of);
    const input = model.ports.find(({ kind, way }) => kind === 'lights' && way === 'takes')!;
    const own = this.firstPin(wish.of, input.id, 'in')!;
    return Object.keys(this.slots)
      .filter(
        (slot) =>
          model.kind === 'lights' &&
          slot !== wish.of &&
          (this.model(slot).kind === 'light controller' || (this.model(slot).kind === 'lights' && slot < wish.of)),
      )
      .flatMap((slot) => {
        const out = this.model(slot).ports.find(({ kind, way }) => kind === 'lights' && way === 'gives')!;
        return [
          {
            loss: 0,
            ports: this.model(slot).kind === 'lights' ? [`${slot}/${out.id}`] : [],
            parts: [slot],
            signals: [this.signal(own, this.pins(slot, out.id, 'out'))],
          },
        ];
      });
  }

  private video(wish: Wish): Way[] {
    const input = this.model(wish.of).ports.find(({ kind, way }) => kind === 'video' && way === 'takes');
    if (!input) return [{ loss: 0, ports: [], parts: [], signals: [] }];
    const camera = Object.keys(this.slots).find(
      (slot) => this.model(slot).kind === 'camera' && this.model(slot).ports.some(({ kind }) => kind === 'video'),
    );
    return this.boards().flatMap((board): Way[] => {
      const [into, out] = (['takes', 'gives'] as const).map((way) =>
        this.model(board).ports.find((one) => one.kind === 'video' && one.way === way),
      );
      if (!camera || !into || !out) return [];
      const signals = [
        this.signal(
          this.firstPin(camera, this.model(camera).ports.find(({ kind }) => kind === 'video')!.id, 'out')!,
          this.pins(board, into.id, 'in'),
        ),
        this.signal(this.firstPin(wish.of, input.id, 'in')!, this.pins(board, out.id, 'out')),
      ];
      return [{ loss: 0, ports: [`${board}/${into.id}`, `${board}/${out.id}`], parts: [camera], signals }];
    });
  }

  /** Supply and ground of the parts that are used; a regulator only when it is worth it is left out: small builds have none. */
  needs(used: ReadonlySet<string>): Choice[] {
    return [...used].flatMap((slot): Choice[] => {
      const model = this.model(slot);
      const supplies = model.terminals.filter(({ roles }) =>
        roles.some((role) => role.is === 'supply' && role.dir === 'takes'),
      );
      const own = supplies.find(({ form }) => form !== 'pin') ?? supplies[0];
      const role = own?.roles.find((one) => one.is === 'supply');
      if (this.fedBy.has(slot) || !own || role?.is !== 'supply') return [];
      const plug = model.connectors.find(({ pins }) => pins.includes(own.id));
      const far = (one: Term) =>
        100 * Math.abs(one.thickestAwg - own.thickestAwg) +
        Math.hypot(one.atMm[0] - own.atMm[0], one.atMm[1] - own.atMm[1]);
      const ground = model.terminals
        .filter(
          (one) =>
            one.holds > 0 &&
            !['shell', 'metal'].includes(one.form) &&
            one.roles.some(({ is }) => is === 'ground') &&
            (plug ? plug.pins.includes(one.id) : one.form !== 'pin'),
        )
        .sort((a, b) => far(a) - far(b))[0];
      const mine = { slot, terminal: own };
      const supply: Choice = {
        own: mine,
        to: this.feeds(slot, role.volts, own.withstandV[1], used).map((feed) => ({
          ...feed,
          mm: this.mm(mine, feed.pad),
        })),
      };
      return ground ? [supply, this.ground({ slot, terminal: ground }, used)] : [supply];
    });
  }

  private ground(own: Pad, used: ReadonlySet<string>): Choice {
    const model = this.model(own.slot);
    const single =
      model.ports.some(({ kind }) => kind === 'video') &&
      model.terminals.filter(({ roles }) => roles.some(({ is }) => is === 'ground')).length === 1;
    const kinds = single
      ? ['controller', 'single board']
      : ['controller', 'single board', 'esc', 'distribution', 'light controller', 'video unit'];
    const pads = Object.keys(this.slots)
      .filter((slot) => slot !== own.slot && kinds.includes(this.model(slot).kind) && this.there(slot, used))
      .flatMap((slot) =>
        this.model(slot)
          .terminals.filter(
            (one) =>
              one.holds > 0 && !['shell', 'metal'].includes(one.form) && one.roles.some(({ is }) => is === 'ground'),
          )
          .map((terminal) => ({ slot, terminal })),
      );
    return this.signal(own, pads);
  }

  private there(slot: string, used: ReadonlySet<string>): boolean {
    return ['controller', 'single board', 'esc', 'distribution'].includes(this.model(slot).kind) || used.has(slot);
  }

  private feeds(slot: string, takes: readonly [number, number], most: number, used: ReadonlySet<string>) {
    return Object.keys(this.slots)
      .filter(
        (host) =>
          host !== slot &&
          !['battery lead', 'adapter', 'pack', 'motor', 'capacitor'].includes(this.model(host).kind) &&
          this.there(host, used),
      )
      .flatMap((host) =>
        this.model(host).terminals.flatMap((terminal) => {
          const role = terminal.roles.find(({ is }) => is === 'supply');
          if (
            role?.is !== 'supply' ||
            terminal.holds === 0 ||
            (role.dir === 'takes' && !['distribution', 'single board', 'esc'].includes(this.model(host).kind))
          )
            return [];
          const regulator = this.regulator(host, terminal.node);
          const nominal = regulator ? this.output(host, regulator) : this.packV;
          const volts = regulator ? [Math.min(nominal[0], regulator.outV * 0.95), nominal[1] * 1.05] : nominal;
          if (nominal[0] < takes[0] - 1e-9 || volts[1]! > takes[1] || volts[1]! > most) return [];
          const { typical, peak } = this.draw(slot, Math.max(1, volts[0]!));
          const carries = (Math.PI / 4) * (0.127 * 92 ** ((36 - terminal.thickestAwg) / 39)) ** 2 * 10;
          if (typical > 2 * carries) return [];
          return [
            {
              pad: { slot: host, terminal },
              rail: regulator ? `${host}/${regulator.id}` : null,
              typical,
              peak,
              doubt: volts[0]! < takes[0] || carries < typical ? 5 : 0,
            },
          ];
        }),
      );
  }

  /** Every assignment of the choices to pads, with what it comes to; depth first, dearest choice first. */
  place(choices: readonly Choice[], loss: number, best: () => Best | null, found: (one: Best) => void): void {
    const order = choices
      .map((choice) => ({ ...choice, to: this.worthTrying(choice, choices) }))
      .sort((a, b) => a.to.length - b.to.length);
    const rest = order.map((_, index) =>
      order.slice(index).reduce((sum, { to }) => sum + Math.min(...to.map(({ mm }) => mm)), 0),
    );
    const onPad = new Map(this.fixed);
    for (const { own } of choices)
      onPad.set(`${own.slot}.${own.terminal.id}`, (onPad.get(`${own.slot}.${own.terminal.id}`) ?? 0) + 1);
    const onRail = new Map<string, { typical: number; peak: number }>();
    const walk = (index: number, doubt: number, crowded: number, mm: number): void => {
      const so = best();
      const floor = crowded + doubt;
      if (
        so &&
        so.loss === loss &&
        (floor + idle > so.crowding || (floor + idle === so.crowding && mm + (rest[index] ?? 0) >= so.lengthMm))
      )
        return;
      const choice = order[index];
      if (!choice) {
        if (this.bears(onRail) && this.rooted(placed))
          found({ loss, crowding: floor + this.over(onRail) + idle, lengthMm: mm });
        return;
      }
      for (const { pad, rail, typical, peak, doubt: more, mm: length } of choice.to) {
        const ref = `${pad.slot}.${pad.terminal.id}`;
        const count = onPad.get(ref) ?? 0;
        if (count >= pad.terminal.holds) continue;
        onPad.set(ref, count + 1);
        if (rail) this.load(onRail, rail, typical, peak, 1);
        placed[index] = { own: choice.own, pad };
        walk(index + 1, doubt + more, crowded + (count > 0 ? 1 : 0), mm + length);
        if (rail) this.load(onRail, rail, typical, peak, -1);
        onPad.set(ref, count);
      }
    };
    const placed: { own: Pad; pad: Pad }[] = [];
    const idle = this.idleDoubles(choices);
    walk(0, 0, 0, 0);
  }

  private minor(slot: string): boolean {
    return !['controller', 'single board', 'esc', 'distribution'].includes(this.model(slot).kind);
  }

  /** A ground on a small part only together with a supply from it. */
  private rooted(placed: readonly { own: Pad; pad: Pad }[]): boolean {
    const is = (pad: Pad, role: 'ground' | 'supply') => pad.terminal.roles.some((one) => one.is === role);
    return placed.every(
      ({ own, pad }) =>
        !is(own, 'ground') ||
        !this.minor(pad.slot) ||
        placed.some((other) => other.own.slot === own.slot && is(other.own, 'supply') && other.pad.slot === pad.slot),
    );
  }

  /**
   * Of pads that differ in nothing but distance (one rail, nothing on them yet) only as many as there are rivals for them: were a
   * farther one taken, a nearer one would be free, and better.
   */
  private worthTrying({ to }: Choice, choices: readonly Choice[]): Choice['to'] {
    const seen = new Map<string, number>();
    const own = new Set(to.map(({ pad }) => pad.terminal));
    const owned = new Set(choices.map((choice) => choice.own.terminal));
    const rivals = choices.filter((other) => other.to.some(({ pad }) => own.has(pad.terminal))).length;
    return [...to]
      .sort((a, b) => a.doubt - b.doubt || a.mm - b.mm)
      .filter(({ pad, rail, doubt }) => {
        if (this.fixed.has(`${pad.slot}.${pad.terminal.id}`) || owned.has(pad.terminal)) return true;
        const kind = `${rail} ${doubt} ${this.minor(pad.slot) ? pad.slot : ''}`;
        seen.set(kind, (seen.get(kind) ?? 0) + 1);
        return seen.get(kind)! <= rivals;
      });
  }

  /** The planner counts two leads of the power path on a pad as doubled too, where the pad was open to others. */
  private idleDoubles(choices: readonly Choice[]): number {
    const open = new Set(choices.flatMap(({ to }) => to.map(({ pad }) => `${pad.slot}.${pad.terminal.id}`)));
    return [...this.fixed]
      .filter(([ref, count]) => count > 1 && open.has(ref))
      .reduce((sum, [, count]) => sum + count - 1, 0);
  }
}
