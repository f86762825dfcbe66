/** What can be counted before anything is planned: a channel for each motor, an output for each channel in use. */
import { isController, isMotor } from '../../facts/catalogue/kinds';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Slot } from '../../facts/terms/names';
import { channelsOf } from './channels';

/** Why they cannot all be served, or null. */
export function counted(assembly: Assembly): string | null {
  const slots = Object.keys(assembly.build.slots);
  const motors = slots.filter((slot) => isMotor(assembly.model(slot)!.kind));
  const channels = channelsOf(assembly);
  if (motors.length > channels.length)
    return channels.length === 0
      ? `${motors.length} motors want a channel each, and nothing here has one`
      : `${motors.length} motors want a channel each, of ${channels.length} on ${partsOf(channels)}`;
  const controller = slots.find((slot) => isController(assembly.model(slot)!.kind));
  if (!controller) return null;
  const outputs = assembly
    .model(controller)!
    .ports.filter(({ kind, way }) => kind === 'motorSignal' && way === 'gives');
  const used = channels
    .slice(0, motors.length)
    .filter(({ slot }) =>
      assembly.model(slot)!.ports.some(({ kind, way }) => kind === 'motorSignal' && way === 'takes'),
    );
  return used.length > outputs.length
    ? `${used.length} channels want an output each; ${controller} has ${outputs.length}`
    : null;
}

function partsOf(channels: readonly { slot: Slot }[]): string {
  return [...new Set(channels.map(({ slot }) => slot))].join(', ');
}
