/** Wishes that are served by a serial port, of a board or of a receiver. */
import { isReceiver } from '../../facts/catalogue/kinds';
import type { PartModel, PortKind } from '../../facts/catalogue/partModel';
import type { Wish } from '../../facts/plan/wish';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Signal, Option } from './ways';
import { wayLoss, controllers, pinsOf, hearsEachOther } from './ways';
import { lookUp } from '../../facts/terms/lookUp';

/** A serial port of the part on each serial port of the controller that speaks the same. */
export function serial(
  wish: Wish,
  model: PartModel,
  parts: Assembly,
  {
    own,
    theirs,
    allowed,
    kind = 'serial',
  }: { own: string; theirs: readonly string[]; allowed: readonly string[]; kind?: PortKind },
): Option[] {
  const port = model.ports.find((port) => port.kind === kind && port.speaks.includes(own));
  if (!port) return [];
  const out = pinsOf(wish.of, model, port.id, 'tx')[0];
  const into = pinsOf(wish.of, model, port.id, 'rx')[0];
  return controllers(parts).flatMap((host) => {
    const board = parts.model(host)!;
    return board.ports
      .filter(
        (host) =>
          (host.kind === 'serial' || host.kind === kind) &&
          host.speaks.some((word) => theirs.includes(word)) &&
          hearsEachOther(port, host),
      )
      .flatMap((item): Option[] => {
        const rx = pinsOf(host, board, item.id, 'rx');
        const tx = pinsOf(host, board, item.id, 'tx');
        const hears: Signal[] = out ? [{ own: out, pads: rx }] : [];
        const talks: Signal[] = into ? [{ own: into, pads: tx }] : [];
        const base = {
          wish: wish.id,
          takes: [`${host}/${item.id}`, ...item.excludes.map((id) => `${host}/${id}`)],
          ends: [
            { slot: wish.of, port: port.id },
            { slot: host, port: item.id },
          ],
          set: { protocol: own },
          parts: [],
        };
        const option = (way: string, signals: readonly Signal[]): Option[] =>
          signals.length > 0 && signals.every(({ pads }) => pads.length > 0)
            ? [{ ...base, id: `${wish.id} ${way} ${host}/${item.id}`, way, signals, loss: lookUp(wayLoss, way) ?? 0 }]
            : [];
        const full = allowed
          .filter((way) => way !== 'control only')
          .flatMap((way) => option(way, [...hears, ...talks]));
        return out && into && allowed.includes('control only') ? [...full, ...option('control only', hears)] : full;
      });
  });
}

/** The receiver's own output steers the video transmitter: no port of the controller is needed. */
export function overReceiver(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const port = model.ports.find(({ kind, speaks }) => kind === 'serial' && speaks.includes('control'));
  const into = port && pinsOf(wish.of, model, port.id, 'rx')[0];
  if (!port || !into) return [];
  return Object.keys(parts.build.slots).flatMap((slot) => {
    const receiver = parts.model(slot)!;
    const output = isReceiver(receiver.kind)
      ? receiver.ports.find(({ way, speaks }) => way === 'gives' && speaks.includes('control'))
      : undefined;
    const pads = output ? pinsOf(slot, receiver, output.id, 'tx') : [];
    if (!output || pads.length === 0 || !hearsEachOther(output, port)) return [];
    return [
      {
        id: `${wish.id} over the receiver ${slot}/${output.id}`,
        wish: wish.id,
        way: 'over the receiver',
        takes: [`${slot}/${output.id}`],
        signals: [{ own: into, pads }],
        ends: [
          { slot: wish.of, port: port.id },
          { slot, port: output.id },
        ],
        loss: wayLoss['over the receiver']!,
        set: { protocol: 'control' },
        parts: [slot],
      },
    ];
  });
}
