/** What each part needs beside its signals: a supply and a ground, with every pad that could give them. */
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { Range, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { ampsFor } from '../../facts/wiring/wireAmps';
import type { Feed } from './feeds';
import { carriesBattery, drawOf, feedsOf, groundsOf, isHost, thickPadAwg } from './feeds';
import { hasRole, isSupply } from '../../facts/catalogue/roles';
import { bringsVolts, isCapacitor, isController, isEsc, isMotor } from '../../facts/catalogue/kinds';
import type { Assembly } from '../../facts/assembly/assembly';
import type { PowerPath } from './fixedJoins';

export interface Need {
  own: TerminalRef;
  slot: Slot;
  is: 'supply' | 'ground';
  /** Pads that would do; a supply's with its rail and what is drawn from it there. */
  pads: readonly {
    ref: TerminalRef;
    rail: string | null;
    typicalA: number;
    peakA: number;
    /** Fits only nominally. */
    doubtful: boolean;
    /** Gives only once software has switched it on. */
    switched: boolean;
  }[];
  /** Thinnest wire that carries it; for an ESC's motor current the thickest that both pads take. */
  awg: number | 'thick';
}

const thinWires = [28, 26, 24, 22, 20, 18, 16];
/** A wire is chosen for this much more than is drawn typically. */
const reserve = 1.25;
/**
 * A pin that takes only thin wire may carry this much more than its wire should: worse would be refused by the rules.
 */
const overload = 2;

/** Needs of all parts that the power path does not feed already, in order of slots. */
export function needsOf(assembly: Assembly, packV: Range, path: PowerPath): Need[] {
  const feeds = feedsOf(assembly, packV);
  return Object.keys(assembly.build.slots).flatMap((slot): Need[] => {
    const model = assembly.model(slot)!;
    if (bringsVolts(model) || isCapacitor(model)) return [];
    const needs = path.fed.has(slot) ? [] : feedNeeds(slot, model);
    return [...needs, ...signalGround(slot, model)];
  });

  function feedNeeds(slot: Slot, model: PartModel): Need[] {
    const takes = beforePins(model.terminals.filter((terminal) => isSupply(terminal, 'takes')))[0];
    const role = takes?.roles.find((role) => role.is === 'supply' && role.dir === 'takes');
    if (!takes || role?.is !== 'supply') return [];
    const thick = isEsc(model.kind);
    const pads = feeds
      .filter((feed) => feed.slot !== slot && suits(feed, role.volts, takes, thick))
      .map((feed) => {
        const { typical, peak } = drawOf(model, Math.max(1, feed.volts[0]));
        return {
          ref: feed.ref,
          rail: feed.rail === 'battery' ? null : feed.rail,
          typicalA: typical,
          peakA: peak,
          doubtful: feed.volts[0] < role.volts[0] || padCarries(feed) < typical,
          awg: gaugeFor(typical),
          switched: feed.switched,
          most: padCarries(feed) * overload,
        };
      })
      .filter(({ most, typicalA }) => thick || typicalA <= most);
    const ground = beside(takes, model);
    const awg = thick ? ('thick' as const) : Math.min(28, ...pads.map((pad) => pad.awg));
    const supply: Need = {
      own: terminalRef(slot, takes.id),
      slot,
      is: 'supply',
      pads: pads.map(({ awg: _, most: __, ...pad }) => pad),
      awg,
    };
    return ground
      ? [supply, { own: terminalRef(slot, ground.id), slot, is: 'ground', pads: groundPads(slot, model, thick), awg }]
      : [supply];
  }

  /** Amps that the thickest wire carries which a feed's pad takes. */
  function padCarries({ terminal }: Feed): number {
    return ampsFor(terminal.thickestAwg, false);
  }

  function groundPads(slot: Slot, model: PartModel, thick: boolean): Need['pads'] {
    const beside =
      model.ports.some(({ kind }) => kind === 'video') &&
      model.terminals.filter((terminal) => hasRole(terminal, 'ground')).length === 1;
    const grounds = (host: PartModel) => (beside ? isController(host.kind) : isHost(host));
    return Object.keys(assembly.build.slots)
      .filter((host) => host !== slot && grounds(assembly.model(host)!))
      .flatMap((host) =>
        groundsOf(assembly, host)
          .filter(({ terminal }) => !thick || terminal.thickestAwg <= thickPadAwg)
          .map(({ ref }) => ({ ref, rail: null, typicalA: 0, peakA: 0, doubtful: false, switched: false })),
      );
  }

  /** A separate ESC's signal has a ground of its own beside it. */
  function signalGround(slot: Slot, model: PartModel): Need[] {
    const signal = path.joins.find(({ own, link }) => own.startsWith(`${slot}.`) && link.includes('signal'));
    const grounds = model.terminals.filter((terminal) => hasRole(terminal, 'ground') && terminal.form !== 'pin');
    const thin = grounds.find(({ thickestAwg }) => thickestAwg > thickPadAwg);
    if (!isEsc(model.kind) || !signal || !thin || model.connectors.length > 0) return [];
    const host = signal.to.slice(0, signal.to.indexOf('.'));
    return [
      {
        own: terminalRef(slot, thin.id),
        slot,
        is: 'ground',
        pads: groundsOf(assembly, host).map(({ ref }) => ({
          ref,
          rail: null,
          typicalA: 0,
          peakA: 0,
          doubtful: false,
          switched: false,
        })),
        awg: 26,
      },
    ];
  }
}

/** A pad whose volts the part takes; only a regulator's own spread may be against it. */
function suits({ volts, nominalV, terminal, rail }: Feed, takes: Range, own: Terminal, thick: boolean): boolean {
  if (thick)
    return (
      rail === 'battery' &&
      terminal.thickestAwg <= thickPadAwg &&
      isSupply(terminal, 'gives') &&
      volts[0] >= takes[0] &&
      volts[1] <= takes[1]
    );
  return nominalV >= takes[0] && volts[1] <= takes[1] && volts[1] <= own.withstandV[1];
}

function gaugeFor(amps: number): number {
  return thinWires.find((awg) => ampsFor(awg, false) >= amps * reserve) ?? thinWires.at(-1)!;
}

function beforePins(terminals: readonly Terminal[]): Terminal[] {
  return [...terminals].sort((a, b) => Number(a.form === 'pin') - Number(b.form === 'pin'));
}

/**
 * The ground that lies nearest to a supply terminal, in the same plug when it is in one; a thick one beside a thick
 * one.
 */
function beside(supply: Terminal, model: PartModel): Terminal | undefined {
  const plug = model.connectors.find(({ pins }) => pins.includes(supply.id));
  const grounds = model.terminals.filter(
    (terminal) =>
      hasRole(terminal, 'ground') &&
      terminal.holds > 0 &&
      terminal.form !== 'shell' &&
      terminal.form !== 'metal' &&
      (plug ? plug.pins.includes(terminal.id) : terminal.form !== 'pin'),
  );
  const far = (terminal: Terminal) =>
    100 * Math.abs(terminal.thickestAwg - supply.thickestAwg) +
    Math.hypot(terminal.atMm[0] - supply.atMm[0], terminal.atMm[1] - supply.atMm[1]);
  return [...grounds].sort((a, b) => far(a) - far(b))[0];
}

/** A part that takes and gives nothing that another part needs. */
export function takesPart(model: PartModel): boolean {
  return model.ports.length > 0 && !isMotor(model.kind) && !bringsVolts(model) && !isHost(model);
}

/** Parts that are wired whether a wish names them or not; a regulator is when something hangs on it. */
export function alwaysWired(model: PartModel): boolean {
  return isController(model.kind) || carriesBattery(model);
}
