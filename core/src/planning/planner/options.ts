/** The ways in which a wish can be served: which port it takes, what must be joined to what, and what is lost by it. */
import type { PartModel, Port, PortKind, PortPin } from '../../facts/catalogue/partModel';
import type { PortId, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Wish } from '../../facts/plan/wish';
import { hasRole } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';

/** One signal to be joined: a terminal of the part and the pads that would do. */
export interface Signal {
  own: TerminalRef;
  pads: readonly TerminalRef[];
  /** A ground that is wished for itself; a signal otherwise. */
  carries?: 'ground';
  /** Which of the option's links it belongs to, when not to the wish's own. */
  link?: string;
}

export interface Option {
  id: string;
  wish: string;
  way: string;
  /** Ports that nobody else may use then, as `SLOT/PORT`. */
  takes: readonly string[];
  signals: readonly Signal[];
  ends: readonly { slot: Slot; port: PortId }[];
  /** What else it joins: a camera to the controller beside the controller to the transmitter. */
  besides?: readonly { id: string; purpose: string; ends: Option['ends'] }[];
  /** What this way loses against the best. */
  loss: number;
  set: Readonly<Record<string, string | number | boolean>>;
  /** Parts that must be wired for it. */
  parts: readonly Slot[];
}

/** What a way loses, of the same scale as a wish: 10 is the point of the aircraft. */
export const wayLoss: Readonly<Record<string, number>> = {
  'two-way': 0,
  'control only': 2,
  'own port': 0,
  'over the receiver': 1,
  'through the controller': 0,
  'straight to the transmitter': 3,
  'with its own camera': 0,
  'shared pad': 0,
  'behind the box': 0,
  chained: 0,
  'own wire': 0,
};

/** Ways of each purpose, the best first. */
export const waysOf: Readonly<Record<Wish['purpose'], readonly string[]>> = {
  receiver: ['two-way', 'control only'],
  telemetry: ['own port'],
  video: ['through the controller', 'with its own camera', 'straight to the transmitter'],
  camera: ['through the controller'],
  'on-screen data': ['two-way'],
  'video control': ['own port', 'over the receiver'],
  positioning: ['two-way'],
  compass: ['shared pad'],
  lights: ['shared pad', 'behind the box', 'chained'],
  buzzer: ['shared pad'],
  'ESC telemetry': ['own port'],
  'current sense': ['shared pad'],
  'second ground': ['own wire'],
};

/** Every option of a wish with these parts; empty when nothing can serve it. */
export function optionsFor(wish: Wish, parts: Assembly): Option[] {
  const model = parts.model(wish.of);
  if (!model) return [];
  return ways(wish, model, parts).filter(({ way }) => wish.ways.includes(way));
}

function ways(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  switch (wish.purpose) {
    case 'receiver':
      return serial(wish, model, parts, 'serialReceiver', ['serialReceiver'], ['two-way', 'control only']);
    case 'positioning':
      return serial(wish, model, parts, 'positioning', ['positioning'], ['two-way']);
    case 'on-screen data':
      return serial(wish, model, parts, 'video', ['video', 'control'], ['two-way']);
    case 'video control':
      return [...serial(wish, model, parts, 'control', ['control'], ['own port']), ...overReceiver(wish, model, parts)];
    case 'ESC telemetry':
      return serial(wish, model, parts, 'escTelemetry', ['escTelemetry'], ['own port'], 'escData');
    case 'telemetry':
      return serial(wish, model, parts, 'telemetry', ['telemetry'], ['own port']);
    case 'video':
      return video(wish, model, parts);
    case 'compass':
      return shared(wish, model, parts, 'i2c', ['sda', 'scl'], 'shared pad');
    case 'buzzer':
      return shared(wish, model, parts, 'buzzer', ['minus', 'plus'], 'shared pad');
    case 'lights':
      return lights(wish, model, parts);
    case 'second ground':
      return secondGround(wish, model, parts);
    case 'camera':
    case 'current sense':
      return [];
  }
}

function controllers(parts: Assembly): Slot[] {
  return Object.keys(parts.build.slots).filter((slot) => isController(parts.model(slot)!.kind));
}

/** Terminals of a part that are a pin of a port, pads before pins. */
export function pinsOf(slot: Slot, model: PartModel, port: PortId, pin: PortPin): TerminalRef[] {
  const found = model.terminals.filter(
    ({ roles, holds }) =>
      holds > 0 && roles.some((role) => role.is === 'port' && role.port === port && role.pin === pin),
  );
  return [...found]
    .sort((a, b) => Number(a.form === 'pin') - Number(b.form === 'pin'))
    .map(({ id }) => terminalRef(slot, id));
}

function hearsEachOther(sender: Port, hears: Port): boolean {
  return sender.inversion === 'either' || hears.inversion === 'either' || sender.inversion === hears.inversion;
}

/** A serial port of the part on each serial port of the controller that speaks the same. */
function serial(
  wish: Wish,
  model: PartModel,
  parts: Assembly,
  own: string,
  theirs: readonly string[],
  allowed: readonly string[],
  kind: PortKind = 'serial',
): Option[] {
  const port = model.ports.find((one) => one.kind === kind && one.speaks.includes(own));
  if (!port) return [];
  const out = pinsOf(wish.of, model, port.id, 'tx')[0];
  const into = pinsOf(wish.of, model, port.id, 'rx')[0];
  return controllers(parts).flatMap((host) => {
    const board = parts.model(host)!;
    return board.ports
      .filter(
        (one) =>
          (one.kind === 'serial' || one.kind === kind) &&
          one.speaks.some((word) => theirs.includes(word)) &&
          hearsEachOther(port, one),
      )
      .flatMap((one): Option[] => {
        const rx = pinsOf(host, board, one.id, 'rx');
        const tx = pinsOf(host, board, one.id, 'tx');
        const hears: Signal[] = out ? [{ own: out, pads: rx }] : [];
        const talks: Signal[] = into ? [{ own: into, pads: tx }] : [];
        const base = {
          wish: wish.id,
          takes: [`${host}/${one.id}`, ...one.excludes.map((id) => `${host}/${id}`)],
          ends: [
            { slot: wish.of, port: port.id },
            { slot: host, port: one.id },
          ],
          set: { protocol: own },
          parts: [],
        };
        const option = (way: string, signals: readonly Signal[]): Option[] =>
          signals.length > 0 && signals.every(({ pads }) => pads.length > 0)
            ? [{ ...base, id: `${wish.id} ${way} ${host}/${one.id}`, way, signals, loss: wayLoss[way] ?? 0 }]
            : [];
        const full = allowed
          .filter((way) => way !== 'control only')
          .flatMap((way) => option(way, [...hears, ...talks]));
        return out && into && allowed.includes('control only') ? [...full, ...option('control only', hears)] : full;
      });
  });
}

/** The receiver's own output steers the video transmitter: no port of the controller is needed. */
function overReceiver(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const port = model.ports.find(({ kind, speaks }) => kind === 'serial' && speaks.includes('control'));
  const into = port && pinsOf(wish.of, model, port.id, 'rx')[0];
  if (!port || !into) return [];
  return Object.keys(parts.build.slots).flatMap((slot) => {
    const receiver = parts.model(slot)!;
    const output =
      receiver.kind === 'receiver'
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

/** Camera to controller to transmitter, or straight. */
function video(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const input = model.ports.find(({ kind, way }) => kind === 'video' && way === 'takes');
  const camera = Object.keys(parts.build.slots).find(
    (slot) =>
      parts.model(slot)!.ports.some(({ kind, way }) => kind === 'video' && way === 'gives') &&
      parts.model(slot)!.kind === 'camera',
  );
  const output = camera && parts.model(camera)!.ports.find(({ kind }) => kind === 'video');
  const into = input && pinsOf(wish.of, model, input.id, 'in')[0];
  const from = camera && output && pinsOf(camera, parts.model(camera)!, output.id, 'out')[0];
  // A digital unit takes its picture over the camera's own cable: it only wants to be fed.
  if (!input)
    return [
      {
        id: `${wish.id} digital`,
        wish: wish.id,
        way: 'with its own camera',
        takes: [],
        signals: [],
        ends: [],
        loss: 0,
        set: {},
        parts: [],
      },
    ];
  if (!into) return [];
  const through = controllers(parts).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const [camIn, vidOut] = [
      board.ports.find(({ kind, way }) => kind === 'video' && way === 'takes'),
      board.ports.find(({ kind, way }) => kind === 'video' && way === 'gives'),
    ];
    if (!camIn || !vidOut || !from) return [];
    const link = `camera ${camera}`;
    const signals: Signal[] = [
      { own: from, pads: pinsOf(host, board, camIn.id, 'in'), link },
      { own: into, pads: pinsOf(host, board, vidOut.id, 'out') },
    ];
    if (signals.some(({ pads }) => pads.length === 0)) return [];
    return [
      {
        id: `${wish.id} through the controller ${host}`,
        wish: wish.id,
        way: 'through the controller',
        takes: [`${host}/${camIn.id}`, `${host}/${vidOut.id}`],
        signals,
        ends: [
          { slot: wish.of, port: input.id },
          { slot: host, port: vidOut.id },
        ],
        loss: 0,
        set: {},
        parts: [camera],
        besides: [
          {
            id: link,
            purpose: `picture of ${camera}`,
            ends: [
              { slot: camera, port: output!.id },
              { slot: host, port: camIn.id },
            ],
          },
        ],
      },
    ];
  });
  const straight: Option[] =
    from && camera && output
      ? [
          {
            id: `${wish.id} straight`,
            wish: wish.id,
            way: 'straight to the transmitter',
            takes: [`${wish.of}/${input.id}`],
            signals: [{ own: from, pads: [into] }],
            ends: [
              { slot: camera, port: output.id },
              { slot: wish.of, port: input.id },
            ],
            loss: wayLoss['straight to the transmitter']!,
            set: {},
            parts: [camera],
          },
        ]
      : [];
  return [...through, ...straight];
}

/** A bus or a switched pad that several parts may use as far as its pads hold. */
function shared(
  wish: Wish,
  model: PartModel,
  parts: Assembly,
  kind: PortKind,
  pins: readonly PortPin[],
  way: string,
): Option[] {
  const port = model.ports.find((one) => one.kind === kind);
  if (!port) return [];
  return controllers(parts).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const partner = board.ports.find((one) => one.kind === kind && one.way !== 'takes');
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

/** Lights on the controller's pad, behind a box, or on the data output of the strip before; a box on the controller's pad. */
function lights(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const input = model.ports.find(({ kind, way }) => kind === 'lights' && way === 'takes');
  const own = input && pinsOf(wish.of, model, input.id, 'in')[0];
  if (!input || !own) return [];
  return Object.keys(parts.build.slots).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const way = isController(board.kind)
      ? 'shared pad'
      : board.kind === 'light controller' && model.kind === 'lights'
        ? 'behind the box'
        : board.kind === 'lights' && host < wish.of && model.kind === 'lights'
          ? 'chained'
          : null;
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

/** A ground wire between ESC and controller beside the plug: were the plug's ground to part first, the charge would leave by signal pins. */
function secondGround(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const grounds = (slot: Slot, { terminals }: PartModel) =>
    terminals
      .filter((one) => hasRole(one, 'ground') && one.holds > 0 && ['pad', 'hole'].includes(one.form))
      .map(({ id }) => terminalRef(slot, id));
  const plugged = model.connectors.some(({ pins }) =>
    pins.some((pin) =>
      model.terminals.some(({ id, roles }) => id === pin && roles.some((role) => role.is === 'ground')),
    ),
  );
  const [own] = grounds(wish.of, model);
  if (model.kind !== 'esc' || !plugged || !own) return [];
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
