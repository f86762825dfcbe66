/**
 * What no volts tell and the sheets do: plugs that do not belong together, aerials for another band or wave, a
 * capacitor that a part asks for and nobody has fitted.
 */
import type { Build, Catalogue, PartModel } from '@junctor/core';

type Side = Build['mates'][string]['a'];
type Radio = NonNullable<PartModel['ports'][number]['radio']>;

/** Why it cannot work, or null. */
export function onPaper(build: Build, catalogue: Catalogue): string | null {
  return forcedPlug(build, catalogue) ?? deafAerial(build, catalogue) ?? bareBridge(build, catalogue);
}

function forcedPlug(build: Build, catalogue: Catalogue): string | null {
  const shape = (side: Side) =>
    'housing' in side
      ? build.housings[side.housing]
      : catalogue.model(build.slots[side.slot]!).connectors.find(({ id }) => id === side.connector);
  const found = Object.entries(build.mates).find(([, { a, b }]) => {
    const [one, other] = [shape(a), shape(b)];
    if (!one || !other) return false;
    const twins = one.key === other.key && (one.key === 'plug' || one.key === 'socket');
    return one.family !== other.family || Math.abs(one.pitchMm - other.pitchMm) > 0.05 || twins;
  });
  return found ? `${found[0]} is forced on` : null;
}

/** Radios that meet over a plug, by their ports. */
function deafAerial(build: Build, catalogue: Catalogue): string | null {
  const radio = (side: Side): { way: string; radio: Radio } | null => {
    if ('housing' in side) return null;
    const { connectors, terminals, ports } = catalogue.model(build.slots[side.slot]!);
    const pins = connectors.find(({ id }) => id === side.connector)?.pins ?? [];
    const names = terminals
      .filter(({ id }) => pins.includes(id))
      .flatMap(({ roles }) => roles.flatMap((role) => (role.is === 'port' ? [role.port] : [])));
    const port = ports.find(({ id, radio: known }) => known && names.includes(id));
    return port?.radio ? { way: port.way, radio: port.radio } : null;
  };
  for (const [id, { a, b }] of Object.entries(build.mates)) {
    const ends = [radio(a), radio(b)];
    const sender = ends.find((end) => end?.way === 'gives')?.radio;
    const aerial = ends.find((end) => end?.way === 'takes')?.radio;
    if (!sender || !aerial) continue;
    const heard = sender.bandMHz.every((mhz) => mhz >= aerial.bandMHz[0] && mhz <= aerial.bandMHz[1]);
    const turns = [sender.polarisation, aerial.polarisation];
    if (!heard || (turns[0] && turns[1] && turns[0] !== turns[1])) return `${id} is an aerial for something else`;
  }
  return null;
}

/** A part that asks for a capacitor on the pack's rail, in a build where no capacitor is joined to anything. */
function bareBridge(build: Build, catalogue: Catalogue): string | null {
  const models = Object.entries(build.slots).map(([slot, fitted]) => ({ slot, model: catalogue.model(fitted) }));
  const asking = models.find(({ model }) => model.wantsCapacitor);
  const fitted = models.some(
    ({ slot, model }) =>
      model.kind === 'capacitor' &&
      Object.values(build.wires).some(({ ends }) =>
        ends.some(({ at }) => at.on === 'terminal' && at.ref.startsWith(`${slot}.`)),
      ),
  );
  return asking && !fitted ? `${asking.slot} stands without a capacitor` : null;
}
