/**
 * The ways of a wish on a small build, and what is joined without a choice, as the reference reads them from the
 * catalogue.
 */
import type { Build, Catalogue, Wish } from '@junctor/core';
import type { Pad } from './parts';
import { Rails } from './rails';

/** One thing to decide: an own terminal, and where it may go at what price. */
export interface Choice {
  own: Pad;
  to: readonly { pad: Pad; rail: string | null; typical: number; peak: number; doubt: number; mm: number }[];
}

interface Way {
  loss: number;
  ports: readonly string[];
  parts: readonly string[];
  signals: readonly Choice[];
}

export class Ways extends Rails {
  protected readonly fixed = new Map<string, number>();
  protected readonly fedBy = new Set<string>();

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
          (terminal) =>
            terminal.holds > 0 &&
            terminal.roles.some((role) => role.is === is && (role.is !== 'supply' || role.dir === 'takes')),
        )
        .sort((a, b) => a.thickestAwg - b.thickestAwg)[0]!;
    for (const slot of names.filter((name) => ['battery lead', 'capacitor'].includes(this.model(name).kind))) {
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

  protected signal(own: Pad, pads: readonly Pad[]): Choice {
    // A buzzer's plus loads the rail that it sits on.
    const load = this.model(own.slot).elements.find(
      (element) => element.is === 'load' && element.plus === own.terminal.node,
    );
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
      const port = model.ports.find((port) => port.kind === 'serial' && port.speaks.includes(own));
      if (!port || !wish.ways.includes(wayName)) return [];
      return this.boards().flatMap((board) =>
        this.model(board)
          .ports.filter((port) => port.kind === 'serial' && port.speaks.some((word) => theirs.includes(word)))
          .flatMap((host): Way[] => {
            if (port.inversion !== host.inversion && port.inversion !== 'either' && host.inversion !== 'either')
              return [];
            const pairs = (
              [
                ['tx', 'rx'],
                ['rx', 'tx'],
              ] as const
            ).flatMap(([mine, other]) => {
              const own_ = this.firstPin(wish.of, port.id, mine);
              return own_ ? [{ own: own_, pads: this.pins(board, host.id, other) }] : [];
            });
            if (pairs.length === 0 || pairs.some(({ pads }) => pads.length === 0)) return [];
            return [
              {
                loss: 0,
                ports: [`${board}/${host.id}`, ...host.excludes.map((id) => `${board}/${id}`)],
                parts: [],
                signals: pairs.map(({ own: mine, pads }) => this.signal(mine, pads)),
              },
            ];
          }),
      );
    };
    const shared = (kind: string, pins: readonly string[]): Way[] => {
      const port = model.ports.find((port) => port.kind === kind && (kind !== 'lights' || port.way === 'takes'));
      return this.boards().flatMap((board) =>
        this.model(board)
          .ports.filter((port) => port.kind === kind && port.way !== 'takes')
          .slice(0, 1)
          .flatMap((host): Way[] => {
            const signals = pins.flatMap((pin) => {
              const own = port && this.firstPin(wish.of, port.id, pin);
              return own ? [this.signal(own, this.pins(board, host.id, pin === 'in' ? 'out' : pin))] : [];
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
        this.model(board).ports.find((port) => port.kind === 'video' && port.way === way),
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
}
