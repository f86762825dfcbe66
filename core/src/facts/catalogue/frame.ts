/**
 * A frame as it is built: plates, places where parts can be, openings, lid, ways for wires. Units: mm; x to the
 * right, y forward, z up from the underside of the lowest plate.
 */
import type { Range, XY } from '../terms/names';

export type XYZ = readonly [xMm: number, yMm: number, zMm: number];

export interface FrameBody {
  corners: readonly { index: number; atMm: XY; level: 'upper' | 'lower'; discMm: number }[];
  bays: readonly { id: string; atMm: XYZ; sizeMm: XYZ; hole: string }[];
  posts: readonly { atMm: XY; lengthMm: number; thread: string }[];
  route: {
    points: Readonly<Record<string, XYZ>>;
    edges: readonly (readonly [string, string])[];
  };
  conducts: boolean;
  /** From below; what follows is not known of every frame. */
  plates?: readonly Plate[];
  places?: readonly Place[];
  /** Where a part can be reached from outside. */
  ways?: readonly FrameOpening[];
  /** The plate that closes it from above, and by how much it goes down still once it is screwed. */
  lid?: { plate: string; settlesMm: Range };
  /** Where the pack is strapped: on the highest plate where nothing is said. */
  pack?: 'on top' | 'underneath';
}

export interface Plate {
  id: string;
  /** Of its underside. */
  zMm: number;
  thicknessMm: number;
  outlineMm: readonly XY[];
  /** What it is to copper that rests on it. */
  contact: 'resin' | 'bare edge';
}

export const placeKinds = ['stack', 'bay', 'surface', 'arm', 'cheeks', 'lid'] as const;

/** Where something can be. A stack takes boards on its screws, any other place one part. */
export interface Place {
  id: string;
  kind: (typeof placeKinds)[number];
  /** Kinds of parts that it is made for: they go nowhere else while it is free, and nothing else goes there. */
  madeFor?: readonly string[];
  /** The middle of the surface that a part stands on. */
  atMm: XYZ;
  /** Across, along, and up from that surface. */
  roomMm: XYZ;
  holes: { patternMm: XY; thread: string } | null;
  /** Degrees by which a part may stand turned in it. */
  turns: readonly number[];
  faces: readonly ('up' | 'down')[];
  airflow: 'free' | 'some' | 'none';
  /** The routing point at which wires come in. */
  entry: string;
}

/** What an opening lets through. */
export const openingPasses = ['usb', 'button', 'card', 'switch', 'aerial', 'lens', 'lead'] as const;

export interface FrameOpening {
  id: string;
  passes: (typeof openingPasses)[number];
  atMm: XYZ;
  sizeMm: XY;
  /** Outwards. */
  facing: XYZ;
}
