/** Parts that kill each other: where one has died, the other may have been hurt with it. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isMotor } from '../../facts/catalogue/kinds';
import { motorMap } from '../../physics/motors/motorMap';
import type { Slot } from '../../facts/terms/names';

/** The motors that a part drives, or what drives a motor. */
export function partnersOf(slot: Slot, assembly: Assembly): Slot[] {
  const map = motorMap(assembly);
  const kind = assembly.model(slot)?.kind;
  if (kind && isMotor(kind))
    return map.flatMap((motor) => (motor.slot === slot && motor.channel ? [motor.channel.slot] : []));
  return map.flatMap(({ slot: motor, channel }) => (channel?.slot === slot ? [motor] : []));
}
