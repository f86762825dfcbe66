/**
 * A part model: what the catalogue knows of a part, down to its inner elements. Plain data; a revision never changes.
 * Units: mm, g, V, A, ohm, F, H. Board coordinates: x to the right, y up, seen from the top, origin at the centre.
 */
import type { NodeId, PortId, Range, TerminalId, XY } from '../terms/names';
import type { FrameBody } from './frame';

export const partKinds = [
  'controller',
  'single board',
  'esc',
  'distribution',
  'motor',
  'capacitor',
  'battery lead',
  'receiver',
  'video unit',
  'camera',
  'positioning',
  'lights',
  'light controller',
  'buzzer',
  'regulator',
  'adapter',
  'antenna',
  'cable',
  'frame',
  'propeller',
  'pack',
] as const;
export type PartKind = (typeof partKinds)[number];

/** How sure we are of a number. */
export type Certainty = 'measured' | 'sheet' | 'typical' | 'assumed';

export interface PartModel {
  id: string;
  revision: number;
  kind: PartKind;
  name: string;
  maker: string;
  massG: number;
  body: Body;
  terminals: readonly Terminal[];
  connectors: readonly Connector[];
  tails: readonly Tail[];
  elements: readonly Element[];
  ports: readonly Port[];
  signs: readonly Sign[];
  covers: readonly Cover[];
  frame?: FrameBody;
  heat?: { limitC: number; kPerW: number; jPerK: number };
  /**
   * For a motor: turns per minute and volt, and pole pairs; for an ESC the highest electrical speed, in turns per
   * minute.
   */
  speed?: { kv?: number; polePairs?: number; limitErpm?: number };
  /**
   * For a motor: what it draws in flight, and at full throttle. For what drives motors: what one channel bears without
   * end, and for seconds.
   */
  motorCurrent?: { typicalA: number; peakA: number };
  /** For a motor: what it pulls on a stand, with which propeller, at which volts and current. */
  thrust?: readonly { propellerMm: number; volts: number; atA: number; g: number }[];
  /** For what switches the pack's current: its sheet wants so much outside, on the rail that the pack feeds. */
  wantsCapacitor?: { farads: number };
  /** For a motor built for one turning sense, told by the colour of its leads; others turn either way. */
  turns?: 'clockwise' | 'anticlockwise';
  /** What it hangs on, or is: a camera's coax, an aerial's, a ready-made lead from plug to plug. */
  cable?: Cable;
  /** For a pack: cells in series and what it holds. */
  cells?: { series: number; capacityAh: number };
  /** What a meter has said to a loose one of it, when it was entered. */
  measured?: readonly Measured[];
  /** JSON pointer to a number -> how sure we are of it; the longest matching pointer holds. */
  knownFrom: Readonly<Record<string, Certainty>>;
}

/** A meter on two terminals of a loose part: ohms, or whether it sounds. */
export type Measured =
  | { is: 'ohms'; black: TerminalId; red: TerminalId; ohms: number }
  | { is: 'tone'; black: TerminalId; red: TerminalId; sounds: boolean };

export interface Terminal {
  id: TerminalId;
  printed: string;
  /** Terminals with the same node are one conductor inside the part. */
  node: NodeId;
  form: 'pad' | 'hole' | 'castellation' | 'pin' | 'cup' | 'lug' | 'shell' | 'tail' | 'metal';
  sides: readonly Side[];
  atMm: XY;
  sizeMm: XY;
  drillMm?: number;
  copper: 'trace' | 'pour' | 'plane';
  /** How many wires it can hold. */
  holds: number;
  thickestAwg: number;
  withstandV: Range;
  withstandOffV: Range;
  drivesV?: number;
  needsHighV?: number;
  pull?: 'up' | 'down';
  touch: 'easy' | 'fine' | 'no';
  contact: 'bare' | 'resin' | 'anodised';
  /** Alternatives: a link says which one is used. */
  roles: readonly Role[];
}

/** A box that stands on a face of a board. */
export interface HeightBox {
  side: Side;
  atMm: XY;
  sizeMm: XY;
  mm: number;
  what: 'parts' | 'usb' | 'button' | 'socket' | 'ceramics' | 'coil' | 'shield';
}

export type Side = 'top' | 'bottom';

export type PortPin = 'tx' | 'rx' | 'sda' | 'scl' | 'in' | 'out' | 'plus' | 'minus' | 'a' | 'b' | 'c';

export type Role =
  | { is: 'ground' }
  | { is: 'supply'; dir: 'gives' | 'takes'; volts: Range }
  | { is: 'port'; port: PortId; pin: PortPin }
  | { is: 'metal' };

export type PortKind =
  | 'serial'
  | 'i2c'
  | 'video'
  | 'motorSignal'
  | 'motorPhase'
  | 'lights'
  | 'buzzer'
  | 'sense'
  | 'strength'
  | 'escData'
  | 'aerial'
  | 'usb';

export interface Port {
  id: PortId;
  kind: PortKind;
  way: 'gives' | 'takes' | 'both';
  index?: number;
  levelV: number;
  speaks: readonly string[];
  inversion: 'plain' | 'inverted' | 'either';
  halfDuplex: boolean;
  /** Ports that share a pin or a timer with this one. */
  excludes: readonly PortId[];
  needs: readonly PortId[];
  /** For an aerial and for what sends through one; what the sheet does not say is not known. */
  radio?: { bandMHz: Range; polarisation?: Polarisation };
}

/** As the wave turns, seen in the direction in which it goes. */
export type Polarisation = 'linear' | 'left' | 'right';

/** Pins in order of position, 1 first, looking into the mating face with the latch up. */
export interface Connector {
  id: string;
  family: string;
  pitchMm: number;
  pins: readonly TerminalId[];
  key: string;
  exitDeg: number;
  /** How far a plug that is in and the bend of its wires reach out, from the pins. */
  roomMm?: number;
  ampsPerPin: number;
  /** Its plug is pulled in normal service while the pack stays on: a card reader, a camera that is exchanged. */
  pulledInService?: true;
}

/** Cannot be cut to another length. */
export interface Cable {
  /** From the part to the end of its plug; of a part that is nothing but a cable from end to end. */
  lengthMm: number;
  acrossMm: number;
  /** Radius below which it is hurt. */
  leastBendMm: number;
  /** Connectors at its ends. */
  connectors: readonly string[];
  /** What a radio loses from end to end, plugs included; not known without it. */
  lossDb?: number;
}

/** A lead that the part brings with it: becomes a wire with one end fixed at the maker. */
export interface Tail {
  terminal: TerminalId;
  awg: number;
  colour: string;
  insulation: string;
  lengthMm: number;
  /** Which way it leaves the part, seen from the top, like a connector's. */
  exitDeg?: number;
  /** The housing that the maker crimped on the far end. */
  housing?: { connector: string; position: number };
}

/** One list serves the meter (part unpowered) and first power: each element says what it is in both. */
export type Element = {
  id: string;
  fails: readonly ('open' | 'short' | 'leaky')[];
  /** Share by which its value may differ from what is said, where a sheet says so. */
  tolerance?: number;
} & (
  | { is: 'resistor'; a: NodeId; b: NodeId; ohms: number }
  | { is: 'winding'; a: NodeId; b: NodeId; ohms: number; henries: number }
  | {
      is: 'capacitor';
      plus: NodeId;
      minus: NodeId;
      farads: number;
      esrOhms: number;
      leakOhms: number;
      ratedV: number;
      keepsAtRated: number;
      polarised: boolean;
    }
  | { is: 'diode'; anode: NodeId; cathode: NodeId; forwardV: number; atA: number; seriesOhms: number }
  | { is: 'switch'; a: NodeId; b: NodeId; onOhms: number; closedWhen: 'never' | 'powered' | 'driven' | 'unknown' }
  | {
      is: 'regulator';
      kindOf: 'linear' | 'step-down' | 'step-up';
      input: NodeId;
      output: NodeId;
      ground: NodeId;
      enable: 'always' | 'software' | NodeId;
      outV: number;
      minInV: number;
      limitA: number;
      stillAirA: number;
      /** Heat that its package bears without air. */
      packageW?: number;
      efficiency: number;
      idleA: number;
      offOhms: number;
      backDiodeV: number | null;
    }
  | {
      is: 'load';
      plus: NodeId;
      minus: NodeId;
      offOhms: number;
      idleA: number;
      typicalA: number;
      peakA: number;
      constant: 'current' | 'power' | 'ohms';
      wakesAtV: number;
      liveOnUsb: boolean;
    }
);

/** Something a person sees or hears when the part is powered and works. */
export interface Sign {
  id: string;
  shows: 'tone' | 'light' | 'picture' | 'link' | 'warmth';
  /** In a technician's words: "start tone of channel 3". */
  says: string;
  channel?: number;
  needs: readonly TerminalId[];
  afterS: number;
}

export interface Body {
  outlineMm: readonly XY[];
  aboveMm: number;
  belowMm: number;
  holes: readonly { atMm: XY; drillMm: number }[];
  openings: readonly {
    what: 'usb' | 'button' | 'card' | 'switch' | 'header' | 'aerial' | 'lens' | 'barometer' | 'screw';
    nodes: readonly NodeId[];
    atMm: XY;
    faceDeg: number | 'up' | 'down';
  }[];
  /** How high it is where, above its faces; what no box covers is bare. Not given: it is as high everywhere. */
  heightsMm?: readonly HeightBox[];
  /** Room that it takes with everything on it. */
  boxMm?: readonly [number, number, number];
  /** By how much outline and heights may be off, where a sheet says so. */
  tolMm?: number;
  /** Conductors that stand bare. */
  bare?: readonly { side: Side; areaMm: readonly XY[] }[];
  /** Grommets, spacers, screws. */
  mount?: { heightMm: number; squeezedMm: number; thread: string; lengthMm: number };
  /** Where the silk arrow points, in degrees anticlockwise from x; null: no arrow printed. */
  arrowDeg: number | null;
}

export interface Cover {
  by: 'mate' | 'lid' | 'mount';
  /** For a mate: the connector whose plug hides the terminals. */
  id: string;
  hides: readonly TerminalId[];
}
