/**
 * The best wiring by trying everything, for small builds: the reference that the planner's optimum is held against.
 * It reads the catalogue for itself and shares no code with the planner. Branches that can no longer beat the best are
 * cut.
 */
import type { Build, Catalogue, Wish } from '@junctor/core';
import type { Pad, Term } from './parts';
import type { Choice } from './ways';
import { Ways } from './ways';

interface Best {
  loss: number;
  softPenalties: number;
  lengthMm: number;
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
      (a.softPenalties < best.softPenalties || (a.softPenalties === best.softPenalties && a.lengthMm < best.lengthMm)));
  const serve = (
    index: number,
    loss: number,
    signals: readonly Choice[],
    { taken, used }: { taken: ReadonlySet<string>; used: ReadonlySet<string> },
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
      serve(index + 1, loss + way.loss, [...signals, ...way.signals], {
        taken: new Set([...taken, ...way.ports]),
        used: new Set([...used, wish.of, ...way.parts]),
      });
    }
    if (!wish.must) serve(index + 1, loss + wish.lossIfDropped, signals, { taken, used });
  };
  serve(0, 0, [], { taken: new Set(), used: new Set() });
  return best;
}

class World extends Ways {
  /**
   * Supply and ground of the parts that are used; a regulator only when it is worth it is left out: small builds have
   * none.
   */
  needs(used: ReadonlySet<string>): Choice[] {
    return [...used].flatMap((slot): Choice[] => {
      const model = this.model(slot);
      const supplies = model.terminals.filter(({ roles }) =>
        roles.some((role) => role.is === 'supply' && role.dir === 'takes'),
      );
      const own = supplies.find(({ form }) => form !== 'pin') ?? supplies[0];
      const role = own?.roles.find((role) => role.is === 'supply');
      if (this.fedBy.has(slot) || !own || role?.is !== 'supply') return [];
      const plug = model.connectors.find(({ pins }) => pins.includes(own.id));
      const far = (terminal: Term) =>
        100 * Math.abs(terminal.thickestAwg - own.thickestAwg) +
        Math.hypot(terminal.atMm[0] - own.atMm[0], terminal.atMm[1] - own.atMm[1]);
      const ground = model.terminals
        .filter(
          (terminal) =>
            terminal.holds > 0 &&
            !['shell', 'metal'].includes(terminal.form) &&
            terminal.roles.some(({ is }) => is === 'ground') &&
            (plug ? plug.pins.includes(terminal.id) : terminal.form !== 'pin'),
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
            (terminal) =>
              terminal.holds > 0 &&
              !['shell', 'metal'].includes(terminal.form) &&
              terminal.roles.some(({ is }) => is === 'ground'),
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
    const walk = (index: number, doubt: number, penalties: number, mm: number): void => {
      const so = best();
      const floor = penalties + doubt;
      if (
        so &&
        so.loss === loss &&
        (floor + idle > so.softPenalties ||
          (floor + idle === so.softPenalties && mm + (rest[index] ?? 0) >= so.lengthMm))
      )
        return;
      const choice = order[index];
      if (!choice) {
        if (this.bears(onRail) && this.rooted(placed))
          found({ loss, softPenalties: floor + this.over(onRail) + this.apart(placed) + idle, lengthMm: mm });
        return;
      }
      for (const { pad, rail, typical, peak, doubt: more, mm: length } of choice.to) {
        const ref = `${pad.slot}.${pad.terminal.id}`;
        const count = onPad.get(ref) ?? 0;
        if (count >= pad.terminal.holds) continue;
        onPad.set(ref, count + 1);
        if (rail) this.load(onRail, rail, { typical, peak }, 1);
        placed[index] = { own: choice.own, pad };
        walk(index + 1, doubt + more, penalties + (count > 0 ? 1 : 0), mm + length);
        if (rail) this.load(onRail, rail, { typical, peak }, -1);
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

  /** Ten for each part that is grounded on another board than it is fed from. */
  private apart(placed: readonly { own: Pad; pad: Pad }[]): number {
    const is = ({ terminal }: Pad, role: 'ground' | 'supply') => terminal.roles.some((given) => given.is === role);
    return (
      10 *
      placed.filter(
        (supply) =>
          is(supply.own, 'supply') &&
          placed.some(
            (ground) =>
              ground.own.slot === supply.own.slot && is(ground.own, 'ground') && ground.pad.slot !== supply.pad.slot,
          ),
      ).length
    );
  }

  /** A ground on a small part only together with a supply from it. */
  private rooted(placed: readonly { own: Pad; pad: Pad }[]): boolean {
    const is = (pad: Pad, role: 'ground' | 'supply') => pad.terminal.roles.some((given) => given.is === role);
    return placed.every(
      ({ own, pad }) =>
        !is(own, 'ground') ||
        !this.minor(pad.slot) ||
        placed.some((other) => other.own.slot === own.slot && is(other.own, 'supply') && other.pad.slot === pad.slot),
    );
  }

  /**
   * Of pads that differ in nothing but distance (one rail, nothing on them yet) only as many as there are rivals for
   * them: were a
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
        const kind = `${rail} ${doubt} ${pad.slot}`;
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
