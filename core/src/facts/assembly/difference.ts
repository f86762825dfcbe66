/**
 * The ordered difference between two Builds: what has to be done so that one becomes the other.
 * Same as planned means: slot and model, both ends of each wire, mates. Colour, length, heats and which
 * physical part it is are information.
 */
import type { HousingId, Slot, StepId, WireId } from '../terms/names';
import { jointName, splitRef } from '../terms/names';
import type { Build, Mate, Wire, WireBody } from './build';
import { isAttached, sameFitted, sameLanding } from './build';
import { sameJson } from '../terms/sameJson';
import type { Act } from './act';
import { lookUp } from '../terms/lookUp';

/** What one end of a wire is a joint of. */
export interface JointAbout {
  kind: 'joint';
  wire: WireId;
  end: 0 | 1;
}
export interface SlotAbout {
  kind: 'slot';
  slot: Slot;
}

/** What a change is about: its verb says which kind. */
export type ChangeAbout =
  | { verb: 'free' | 'land'; about: JointAbout }
  | { verb: 'take' | 'fit'; about: SlotAbout }
  | { verb: 'drop'; about: { kind: 'wire'; wire: WireId } }
  | { verb: 'house' | 'unhouse'; about: { kind: 'housing'; housing: HousingId } }
  | { verb: 'mate' | 'unmate'; about: { kind: 'mate'; mate: string } }
  | { verb: 'lead'; about: { kind: 'lead'; lead: string } };

export type ChangeVerb = ChangeAbout['verb'];

export type Change = ChangeAbout & {
  /** The name of what it is about: a slot, a joint (`W12.b`), a wire, a housing, a mate, a supplied lead. */
  subject: string;
  effect: readonly Act[];
};

/** Changes in an order in which they can be made; applying every effect to `from` gives `to`. */
export function difference(from: Build, to: Build): Change[] {
  const { lead, loose } = supplied(from, to);
  return [
    ...unmates(from, to),
    ...frees(from, to),
    ...drops(from, to),
    ...takes(from, to),
    ...gone(from.housings, to.housings).map((id): Change =>
      change(shell('unhouse', id), { do: 'unhouse', housing: id }),
    ),
    ...fits(from, to),
    ...lead,
    ...loose.map((id): Change => change(shell('house', id), { do: 'house', housing: lookUp(to.housings, id)! })),
    ...lands(
      from,
      to,
      new Set(
        lead.flatMap(({ effect }) =>
          effect.flatMap((act) => (act.do === 'land' ? [jointName(act.wire, act.end)] : [])),
        ),
      ),
    ),
    ...mates(from, to),
  ];
}

function change(what: ChangeAbout, ...effect: Act[]): Change {
  return { ...what, subject: subjectOf(what), effect };
}

function subjectOf({ about }: ChangeAbout): string {
  switch (about.kind) {
    case 'joint':
      return jointName(about.wire, about.end);
    case 'slot':
      return about.slot;
    case 'wire':
      return about.wire;
    case 'housing':
      return about.housing;
    case 'mate':
      return about.mate;
    case 'lead':
      return about.lead;
  }
}

/** `land:W12.b`: the same after every re-plan, so that two lists of changes can be held against each other. */
export function changeId({ verb, subject }: Pick<Change, 'verb' | 'subject'>): StepId {
  return `${verb}:${subject}`;
}

const joint = (verb: 'free' | 'land', wire: WireId, end: 0 | 1): ChangeAbout => ({
  verb,
  about: { kind: 'joint', wire, end },
});
const part = (verb: 'take' | 'fit', slot: Slot): ChangeAbout => ({ verb, about: { kind: 'slot', slot } });
const shell = (verb: 'house' | 'unhouse', housing: HousingId): ChangeAbout => ({
  verb,
  about: { kind: 'housing', housing },
});
const plug = (verb: 'mate' | 'unmate', mate: string): ChangeAbout => ({ verb, about: { kind: 'mate', mate } });

function gone(from: Readonly<Record<string, unknown>>, to: Readonly<Record<string, unknown>>): string[] {
  return Object.keys(from).filter((key) => !Object.hasOwn(to, key));
}

function sameFit(from: Build, to: Build, slot: string): boolean {
  return sameFitted(lookUp(from.slots, slot), lookUp(to.slots, slot));
}

function unmates(from: Build, to: Build): Change[] {
  return Object.entries(from.mates)
    .filter(
      ([id, mate]) =>
        !sameJson(mate, lookUp(to.mates, id)) || !partsStay(from, to, mate) || contactsMove(from, to, mate),
    )
    .map(([id]) => change(plug('unmate', id), { do: 'unmate', id }));
}

/** True when a contact comes into the plug or goes out of it: that is done with the plug pulled. */
function contactsMove(from: Build, to: Build, mate: Mate): boolean {
  return [mate.a, mate.b].some(
    (side) => 'housing' in side && contacts(from, side.housing) !== contacts(to, side.housing),
  );
}

/** Which end of which wire sits in each cavity of a housing, as a text to compare. */
function contacts(build: Build, housing: HousingId): string {
  return eachEnd(build)
    .flatMap(({ wire: { id, ends }, end }) => {
      const { at } = ends[end];
      return at.on === 'cavity' && at.housing === housing ? [`${at.position} ${jointName(id, end)}`] : [];
    })
    .sort()
    .join();
}

function partsStay(from: Build, to: Build, mate: Mate): boolean {
  return [mate.a, mate.b].every((side) => !('slot' in side) || sameFit(from, to, side.slot));
}

function mates(from: Build, to: Build): Change[] {
  return Object.entries(to.mates)
    .filter(
      ([id, mate]) =>
        !sameJson(mate, lookUp(from.mates, id)) || !partsStay(from, to, mate) || contactsMove(from, to, mate),
    )
    .map(([id, mate]) => change(plug('mate', id), { do: 'mate', id, mate }));
}

/** Ends that stand where they should not, or on a part that goes, of wires that stay; leads of a part that goes. */
function frees(from: Build, to: Build): Change[] {
  return eachEnd(from).flatMap(({ wire, end }) => {
    const wanted = lookUp(to.wires, wire.id);
    const { at } = wire.ends[end];
    if (!isAttached(wire.ends[end])) return [];
    const ownGoes = wire.tailOf !== undefined && !sameFit(from, to, splitRef(wire.tailOf).slot);
    if (!wanted && !ownGoes) return [];
    if (wanted && !ownGoes && sameLanding(at, wanted.ends[end].at) && stillThere(from, to, wire, end)) return [];
    return [change(joint('free', wire.id, end), { do: 'free', wire: wire.id, end, left: 'clean', now: 'bare' })];
  });
}

function drops(from: Build, to: Build): Change[] {
  return Object.values(from.wires)
    .filter((wire) => !Object.hasOwn(to.wires, wire.id) && wire.from !== 'tail')
    .map((wire) =>
      change({ verb: 'drop', about: { kind: 'wire', wire: wire.id } }, { do: 'drop wire', wire: wire.id }),
    );
}

function takes(from: Build, to: Build): Change[] {
  return Object.keys(from.slots)
    .filter((slot) => !sameFit(from, to, slot))
    .map((slot) => change(part('take', slot), { do: 'take off', slot, to: 'bench' }));
}

function fits(from: Build, to: Build): Change[] {
  return Object.entries(to.slots)
    .filter(([slot]) => !sameFit(from, to, slot))
    .map(([slot, fitted]) => change(part('fit', slot), { do: 'fit', slot, fitted }));
}

/** A supplied lead is one step: its housings and every contact in them, one batch. */
function supplied(from: Build, to: Build): { lead: Change[]; loose: string[] } {
  const bundles = new Map<string, Wire[]>();
  for (const wire of Object.values(to.wires)) {
    if (wire.from !== 'supplied' || !wire.bundle || Object.hasOwn(from.wires, wire.id)) continue;
    bundles.set(wire.bundle, [...(bundles.get(wire.bundle) ?? []), wire]);
  }
  const missing = new Set(
    Object.keys(to.housings).filter((id) => !sameJson(lookUp(from.housings, id), lookUp(to.housings, id))),
  );
  const lead = [...bundles].map(([name, wires]): Change => {
    const cavities = wires.flatMap((wire) => wire.ends.flatMap(({ at }) => (at.on === 'cavity' ? [at.housing] : [])));
    const housings = [...new Set(cavities)].filter((id) => missing.delete(id));
    const house = housings.map((id): Act => ({ do: 'house', housing: lookUp(to.housings, id)! }));
    return change(
      { verb: 'lead', about: { kind: 'lead', lead: name } },
      ...house,
      ...wires.flatMap((wire) => landings(wire, new Set(housings))),
    );
  });
  return { lead, loose: [...missing] };
}

/** What comes crimped and housed. A contact for a plug that is there already is pushed in by hand: another step. */
function landings(wire: Wire, housings: ReadonlySet<HousingId>): Act[] {
  return ([0, 1] as const).flatMap((end): Act[] => {
    const { at } = wire.ends[end];
    if (at.on !== 'cavity' || !housings.has(at.housing)) return [];
    return [{ do: 'land', wire: wire.id, end, as: wire.ends[end], body: bodyOf(wire) }];
  });
}

function lands(from: Build, to: Build, inLeads: ReadonlySet<string>): Change[] {
  return eachEnd(to).flatMap(({ wire, end }) => {
    const { at, by } = wire.ends[end];
    const onOwnPart = by === 'factory';
    if (at.on === 'air' || onOwnPart || inLeads.has(jointName(wire.id, end))) return [];
    const now = lookUp(from.wires, wire.id);
    const part = wire.tailOf && splitRef(wire.tailOf).slot;
    const stays = now && (!part || sameFit(from, to, part)) && stillThere(from, to, now, end);
    if (stays && sameLanding(now.ends[end].at, at)) return [];
    return [
      change(joint('land', wire.id, end), {
        do: 'land',
        wire: wire.id,
        end,
        as: wire.ends[end],
        body: bodyOf(wire),
      }),
    ];
  });
}

/** False when the part under a landing is taken off: the joint goes with it. */
function stillThere(from: Build, to: Build, wire: Wire, end: 0 | 1): boolean {
  const { at } = wire.ends[end];
  return at.on !== 'terminal' || sameFit(from, to, at.ref.slice(0, at.ref.indexOf('.')));
}

function eachEnd(build: Build): { wire: Wire; end: 0 | 1 }[] {
  return Object.values(build.wires).flatMap((wire) => [
    { wire, end: 0 as const },
    { wire, end: 1 as const },
  ]);
}

/** What a landing tells about the wire itself. */
export function bodyOf(wire: Wire): WireBody {
  const { id: _id, ends: _ends, ...body } = wire;
  return body;
}
