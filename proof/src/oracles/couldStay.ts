/**
 * What is undone on the way to another plan though it could have stayed, found by looking at the two aircraft alone: a
 * joint of a part that stays is opened, and a wire of the same gauge and colour is soldered to the same pad again; a
 * plug is pulled, and one with the same contacts goes into the same socket.
 */
import type { Build, Wire } from '@junctor/core';

export function undoneInVain(before: Build, after: Build): string[] {
  const stays = (slot: string) => {
    const [was, is] = [before.slots[slot], after.slots[slot]];
    return was !== undefined && is !== undefined && was.model === is.model && was.revision === is.revision;
  };
  return [...jointsInVain(before, after, stays), ...plugsInVain(before, after, stays)];
}

interface Joint {
  wire: Wire;
  pad: string;
}

function solderedTo(build: Build, stays: (slot: string) => boolean): Joint[] {
  return Object.values(build.wires).flatMap((wire) =>
    wire.ends.flatMap(({ at, by }) => {
      const isMade = at.on === 'terminal' && by === 'solder' && stays(at.ref.slice(0, at.ref.indexOf('.')));
      return isMade ? [{ wire, pad: at.ref }] : [];
    }),
  );
}

function jointsInVain(before: Build, after: Build, stays: (slot: string) => boolean): string[] {
  const was = solderedTo(before, stays);
  const is = solderedTo(after, stays);
  const isKept = ({ wire, pad }: Joint) => is.some((other) => other.wire.id === wire.id && other.pad === pad);
  const isNew = ({ wire, pad }: Joint) => !was.some((other) => other.wire.id === wire.id && other.pad === pad);
  // A lead that belongs to a part goes with it; a wire from the reel is one like any other.
  return was
    .filter((joint) => joint.wire.from === 'stock' && !isKept(joint))
    .flatMap((joint) => {
      const again = is.find(
        (other) =>
          other.pad === joint.pad &&
          other.wire.from === 'stock' &&
          isNew(other) &&
          other.wire.awg === joint.wire.awg &&
          other.wire.colour === joint.wire.colour,
      );
      return again ? [`${joint.pad}: ${joint.wire.id} comes off, ${again.wire.id} goes on`] : [];
    });
}

type Stays = (slot: string) => boolean;

/** Socket, and which cavity of its plug holds which end of which wire. */
function plugsOf(build: Build, stays: Stays): Map<string, { id: string; contacts: string; housing: string }> {
  const found = new Map<string, { id: string; contacts: string; housing: string }>();
  for (const [id, { a, b, shift }] of Object.entries(build.mates)) {
    const socket = [a, b].find((side) => 'slot' in side);
    const plug = [a, b].find((side) => 'housing' in side)?.housing;
    if (!socket || plug === undefined || !stays(socket.slot)) continue;
    const contacts = Object.values(build.wires).flatMap((wire) =>
      wire.ends.flatMap(({ at }, end) =>
        at.on === 'cavity' && at.housing === plug ? [`${at.position + shift}:${otherEnd(wire, end)}`] : [],
      ),
    );
    found.set(`${socket.slot}.${socket.connector}`, { id, contacts: contacts.sort().join(), housing: plug });
  }
  return found;
}

function otherEnd({ ends }: Wire, end: number): string {
  const { at } = ends[end === 0 ? 1 : 0];
  if (at.on === 'terminal') return at.ref;
  return at.on === 'cavity' ? `${at.housing}#${at.position}` : 'air';
}

function plugsInVain(before: Build, after: Build, stays: Stays): string[] {
  const [was, is] = [plugsOf(before, stays), plugsOf(after, stays)];
  return [...was].flatMap(([socket, plug]) => {
    const other = is.get(socket);
    const isSame = other?.id === plug.id && other.housing === plug.housing;
    return other && !isSame && other.contacts === plug.contacts ? [`${socket}: ${plug.id} out, ${other.id} in`] : [];
  });
}
