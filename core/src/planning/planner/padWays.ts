/** Wishes that are served by pads which several parts may share. */
import type { PartModel, PortKind, PortPin } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { compareNames, terminalRef } from '../../facts/terms/names';
import type { Wish } from '../../facts/plan/wish';
import { hasRole } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController, isEsc, isLightBox, isStrip } from '../../facts/catalogue/kinds';
import type { Signal, Option } from './ways';
import { controllers, pinsOf } from './ways';

/** A bus or a switched pad that several parts may use as far as its pads hold. */
export function shared(
  wish: Wish,
  model: PartModel,
  parts: Assembly,
  { kind, pins, way }: { kind: PortKind; pins: readonly PortPin[]; way: string },
): Option[] {
  const port = model.ports.find((port) => port.kind === kind);
  if (!port) return [];
  return controllers(parts).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const partner = board.ports.find((port) => port.kind === kind && port.way !== 'takes');
    if (!partner) return [];
    const signals = pins.flatMap((pin): Signal[] => {
      const own = pinsOf(wish.of, model, port.id, pin)[0];
      return own ? [{ own, pads: pinsOf(host, board, partner.id, pin) }] : [];
    });
    if (signals.length === 0 || signals.some(({ pads }) => pads.length === 0)) return [];
    return [
      {
        id: `${wish.id} ${host}/${partner.id}`,
        wish: wish.id,
        way,
        takes: [],
        signals,
        ends: [
          { slot: wish.of, port: port.id },
          { slot: host, port: partner.id },
        ],
        loss: 0,
        set: {},
        parts: [],
      },
    ];
  });
}

/**
 * Lights on the controller's pad, behind a box, or on the data output of the strip before; a box on the controller's
 * pad.
 */
export function lights(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const input = model.ports.find(({ kind, way }) => kind === 'lights' && way === 'takes');
  const own = input && pinsOf(wish.of, model, input.id, 'in')[0];
  if (!input || !own) return [];
  return Object.keys(parts.build.slots).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const wayOf = () => {
      if (isController(board.kind)) return 'shared pad';
      if (isLightBox(board.kind) && isStrip(model.kind)) return 'behind the box';
      if (isStrip(board.kind) && compareNames(host, wish.of) < 0 && isStrip(model.kind)) return 'chained';
      return null;
    };
    const way = wayOf();
    if (!way || host === wish.of) return [];
    return board.ports
      .filter(({ kind, way: gives }) => kind === 'lights' && gives === 'gives')
      .flatMap((port): Option[] => {
        const pads = pinsOf(host, board, port.id, 'out');
        if (pads.length === 0) return [];
        return [
          {
            id: `${wish.id} ${way} ${host}/${port.id}`,
            wish: wish.id,
            way,
            takes: way === 'chained' ? [`${host}/${port.id}`] : [],
            signals: [{ own, pads }],
            ends: [
              { slot: wish.of, port: input.id },
              { slot: host, port: port.id },
            ],
            loss: 0,
            set: {},
            parts: way === 'shared pad' ? [] : [host],
          },
        ];
      });
  });
}

/**
 * A ground wire between ESC and controller beside the plug: were the plug's ground to part first, the charge would
 * leave by signal pins.
 */
export function secondGround(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const grounds = (slot: Slot, { terminals }: PartModel) =>
    terminals
      .filter(
        (terminal) => hasRole(terminal, 'ground') && terminal.holds > 0 && ['pad', 'hole'].includes(terminal.form),
      )
      .map(({ id }) => terminalRef(slot, id));
  const plugged = model.connectors.some(({ pins }) =>
    pins.some((pin) =>
      model.terminals.some(({ id, roles }) => id === pin && roles.some((role) => role.is === 'ground')),
    ),
  );
  const [own] = grounds(wish.of, model);
  if (!isEsc(model.kind) || !plugged || !own) return [];
  return controllers(parts)
    .filter((host) => host !== wish.of)
    .flatMap((host): Option[] => {
      const pads = grounds(host, parts.model(host)!);
      return pads.length === 0
        ? []
        : [
            {
              id: `${wish.id} ${host}`,
              wish: wish.id,
              way: 'own wire',
              takes: [],
              signals: [{ own, pads, carries: 'ground' }],
              ends: [],
              loss: 0,
              set: {},
              parts: [],
            },
          ];
    });
}
