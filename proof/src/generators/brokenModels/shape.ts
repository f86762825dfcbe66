/** Faults of names, places, ports and plugs, and of what is said of the whole. */
import type { Break, Row } from './broken';
import {
  any,
  connectors,
  elements,
  is,
  lost,
  on,
  ports,
  present,
  roles,
  set,
  solid,
  terminals,
  twice,
  whole,
} from './broken';

export const faultsOfShape: Readonly<Record<string, Break>> = {
  // Twice, or not there.
  'a terminal twice': twice(terminals),
  'a connector twice': twice(connectors),
  'an element twice': twice(elements),
  'a port twice': twice(ports),
  'a connector that names a pin that is not there': lost(connectors, 'pins'),
  'a cover that hides what is not there': lost((model) => model.covers, 'hides'),
  'a sign that needs what is not there': lost((model) => model.signs, 'needs'),
  'a port that excludes one that is not there': lost(ports, 'excludes'),
  'a port that needs one that is not there': on(ports, any, set('needs', ['NO-SUCH'])),
  'a role of a port that is not there': on(
    terminals,
    (terminal) => is(terminal, 'port'),
    (terminal) => void (roles(terminal).find((role) => role.is === 'port')!.port = 'NO-SUCH'),
  ),
  'a port without a terminal': (model) => {
    const port = model.ports[0];
    if (port)
      for (const terminal of model.terminals)
        terminal.roles = roles(terminal).filter((role) => role.is !== 'port' || role.port !== port.id);
    return Boolean(port);
  },
  'a lead on a terminal that is not there': on((model) => model.tails, any, set('terminal', 'NO-SUCH')),
  'no terminals at all': (model) => {
    if (model.kind === 'frame' || model.kind === 'propeller') return false;
    Object.assign(model, { terminals: [], connectors: [], tails: [], ports: [], elements: [], signs: [], covers: [] });
    return true;
  },
  'a certainty of something that is not there': (model) => {
    model.knownFrom = { ...(model.knownFrom as Row), '/nowhere': 'sheet' };
    return true;
  },
  'nothing said of how sure the whole is': whole('knownFrom', {}),
  // Places.
  'two pads on one place': ({ terminals: all }) => {
    const [a, b] = all.filter(solid);
    const shared = a && b && (a.sides as string[]).some((side) => (b.sides as string[]).includes(side));
    if (shared) b.atMm = a.atMm;
    return Boolean(shared);
  },
  'a pad off the board': on(terminals, solid, set('atMm', [700, 0])),
  'a part without size': (model) => {
    const body = model.body as { outlineMm: number[][] };
    body.outlineMm = body.outlineMm.map(([x]) => [x!, 0]);
    return true;
  },
  'a cable on a plug that it does not have': (model) => {
    const cable = model.cable as { connectors: string[] } | undefined;
    if (cable) cable.connectors = ['NO-SUCH'];
    return Boolean(cable);
  },
  'a pad without size': on(terminals, any, set('sizeMm', [0, 1])),
  'a pad of negative size': on(terminals, any, set('sizeMm', [-1, 1])),
  'a pin off its pitch': (model) => {
    const connector = model.connectors.find(({ pins }) => (pins as string[]).length > 2);
    const pin = model.terminals.find(({ id }) => id === (connector?.pins as string[] | undefined)?.[1]);
    if (pin) pin.atMm = (pin.atMm as number[]).map((mm) => mm + 0.2);
    return Boolean(pin);
  },
  'a pitch in inches': on(
    connectors,
    ({ pins }) => (pins as string[]).length > 1,
    (row) => void (row.pitchMm = (row.pitchMm as number) / 25.4),
  ),
  'two pins of a plug exchanged': on(
    connectors,
    ({ pins }) => (pins as string[]).length > 3,
    (row) => {
      const [a, b, ...rest] = row.pins as string[];
      row.pins = [a, rest[0], b, ...rest.slice(1)];
    },
  ),
  'a hole through a pad': (model) => {
    const pad = model.terminals.find(solid);
    const body = model.body as { holes: unknown[] };
    if (pad) body.holes.push({ atMm: pad.atMm, drillMm: 3 });
    return Boolean(pad);
  },
  'an outline of two points': (model) => {
    (model.body as Row).outlineMm = [
      [0, 0],
      [1, 1],
    ];
    return true;
  },
  'an outline a thousand times too large': (model) => {
    const body = model.body as { outlineMm: number[][] };
    body.outlineMm = body.outlineMm.map((point) => point.map((mm) => mm * 1000));
    return true;
  },
  'an outline in inches': (model) => {
    if (!model.terminals.some((terminal) => solid(terminal) && Math.hypot(...(terminal.atMm as number[])) > 4))
      return false;
    const body = model.body as { outlineMm: number[][] };
    body.outlineMm = body.outlineMm.map((point) => point.map((mm) => mm / 25.4));
    return true;
  },
  'no mass': whole('massG', 0),
  // Ports, plugs, what is said of the whole.
  'a port without one of its pins': (model) => {
    const port = model.ports.find(({ kind, way }) => kind === 'i2c' || (kind === 'serial' && way === 'both'));
    const gone = port?.kind === 'i2c' ? 'scl' : 'rx';
    if (port && !port.halfDuplex)
      for (const terminal of model.terminals)
        terminal.roles = roles(terminal).filter(
          (role) => role.is !== 'port' || role.port !== port.id || role.pin !== gone,
        );
    return Boolean(port && !port.halfDuplex);
  },
  'a port on two conductors': (model) => {
    const one = model.terminals.find((terminal) => is(terminal, 'port'));
    const other = model.terminals.find(
      (terminal) => terminal.node !== one?.node && solid(terminal) && !is(terminal, 'ground'),
    );
    if (one && other) other.roles = [...roles(other), structuredClone(roles(one).find((role) => role.is === 'port')!)];
    return Boolean(one && other);
  },
  'video both ways on one wire': on(
    ports,
    ({ kind }) => ['video', 'buzzer', 'lights', 'i2c', 'sense'].includes(kind as string),
    set('halfDuplex', true),
  ),
  'a protocol that nobody speaks': on(ports, any, set('speaks', ['gibberish'])),
  'a band the wrong way round': on(
    ports,
    (port) => port.radio !== undefined,
    (port) => void (port.radio = { bandMHz: [6000, 5000] }),
  ),
  'contacts that bear no current': on(connectors, any, set('ampsPerPin', 0)),
  'a wanted capacitor of no farads': present('wantsCapacitor', { farads: 0 }),
  'a motor that draws more typically than at its peak': present('motorCurrent', { typicalA: 40, peakA: 4 }),
  'a motor or an ESC without currents': (model) => {
    if (model.kind !== 'motor' && model.kind !== 'esc') return false;
    delete model.motorCurrent;
    return true;
  },
  'no turns per volt': present('speed', { kv: 0 }),
  'half a pole pair': present('speed', { polePairs: 3.5 }),
  'a pack without cells': (model) => (model.kind === 'pack' ? delete model.cells : false),
  'a pack of no cells': present('cells', { series: 0, capacityAh: 1 }),
  'a pack or a battery lead without its plug': (model) => {
    if (model.kind !== 'pack' && model.kind !== 'battery lead') return false;
    model.connectors = [];
    return true;
  },
  'a wire of no gauge there is': on(terminals, any, set('thickestAwg', 90)),
  'a pad that holds less than nothing': on(terminals, any, set('holds', -1)),
};
