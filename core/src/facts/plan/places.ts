/** Where on another model a wire goes: the terminal, socket and port that do the same. */
import type { Connector, PartModel, Terminal } from '../catalogue/partModel';
import type { PortId } from '../terms/names';

/** Which terminal of the new model does what one of the old did; each is filled only as far as it holds. */
export class Places {
  private readonly used = new Map<string, number>();
  private readonly ports = new Map<PortId, PortId>();

  constructor(
    private readonly from: PartModel,
    private readonly to: PartModel,
  ) {}

  /** A socket of the new model whose pins do the same in the same order; one of the same family before others. */
  socketLike(id: string): Connector | null {
    const old = this.from.connectors.find((connector) => connector.id === id);
    if (!old) return null;
    const alike = this.to.connectors.filter(
      ({ pins }) => pins.length === old.pins.length && pins.every((pin, index) => this.does(pin, old.pins[index]!)),
    );
    return alike.find(({ family }) => family === old.family) ?? alike[0] ?? null;
  }

  private does(newId: string, oldId: string): boolean {
    const [a, b] = [
      this.to.terminals.find(({ id }) => id === newId),
      this.from.terminals.find(({ id }) => id === oldId),
    ];
    return Boolean(a && b && fit(this.from, b, this.to, a) > 0);
  }

  take(oldId: string): Terminal | null {
    const old = this.from.terminals.find(({ id }) => id === oldId);
    if (!old) return null;
    const plugged = new Set(this.to.connectors.flatMap(({ pins }) => pins));
    const free = this.to.terminals.filter(
      ({ id, holds, form }) => (this.used.get(id) ?? 0) < holds && form !== 'pin' && !plugged.has(id),
    );
    const ranked = free
      .map((terminal) => ({ terminal, score: fit(this.from, old, this.to, terminal) }))
      .filter(({ score }) => score > 0);
    const best =
      ranked.reduce<(typeof ranked)[number] | null>(
        (top, candidate) => (!top || candidate.score > top.score ? candidate : top),
        null,
      )?.terminal ?? null;
    if (best) this.used.set(best.id, (this.used.get(best.id) ?? 0) + 1);
    return best;
  }

  /** The port of the new model that does what the old one did. */
  port(old: PortId): PortId | null {
    if (!this.ports.has(old)) {
      const was = this.from.ports.find(({ id }) => id === old);
      const same = this.to.ports.filter(({ kind, way }) => kind === was?.kind && (way === was.way || way === 'both'));
      const best = same.find(({ index }) => index === was?.index) ?? same[0];
      if (best) this.ports.set(old, best.id);
    }
    return this.ports.get(old) ?? null;
  }
}

/** How well a terminal does what another did: 0 not at all; the same port number counts most. */
function fit(fromModel: PartModel, old: Terminal, toModel: PartModel, terminal: Terminal): number {
  for (const was of old.roles) {
    for (const is of terminal.roles) {
      if (was.is === 'ground' && is.is === 'ground') return 1 + (terminal.printed === old.printed ? 0.5 : 0);
      if (
        was.is === 'supply' &&
        is.is === 'supply' &&
        was.dir === is.dir &&
        was.volts[0] <= is.volts[1] &&
        is.volts[0] <= was.volts[1]
      )
        return 1;
      if (was.is !== 'port' || is.is !== 'port' || was.pin !== is.pin) continue;
      const [a, b] = [
        fromModel.ports.find(({ id }) => id === was.port),
        toModel.ports.find(({ id }) => id === is.port),
      ];
      if (
        !a ||
        !b ||
        a.kind !== b.kind ||
        (a.kind === 'serial' && a.inversion === 'inverted') !== (b.kind === 'serial' && b.inversion === 'inverted')
      )
        continue;
      if (a.index === b.index) return 3;
      if (a.kind === 'motorSignal' || a.kind === 'motorPhase') return 0;
      return 1;
    }
  }
  return 0;
}
