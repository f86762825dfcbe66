/** Motors built for one turning sense sit where the airframe's table wants that sense, or all the other way round. */
import type { MotorPlace } from '../../physics/motors/motorMap';
import { motorMap } from '../../physics/motors/motorMap';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';

const name = 'motor turns';

export const motorTurns: Rule = {
  name,
  why: 'A brushed motor is timed for one sense, told by the colour of its leads. Opposite corners turn alike, neighbours against each other.',
  judge: (view) => {
    if (!Object.keys(view.assembly.build.slots).some((slot) => view.assembly.model(slot)!.turns)) return [];
    const own = motorMap(view.assembly).flatMap((motor) => {
      const { turns } = view.assembly.model(motor.slot)!;
      return turns ? [{ motor, turns }] : [];
    });
    const odd = own.filter(({ motor, turns }) => motor.sense !== turns);
    // The reversed convention is as good; what fits neither is wrong.
    const wrong = odd.length * 2 > own.length ? own.filter(({ motor, turns }) => motor.sense === turns) : odd;
    return wrong.map(({ motor, turns }) => found(view, motor, turns));
  },
};

function found({ assembly }: RuleView, { slot, where }: MotorPlace, turns: string): Finding {
  const { tails, terminals } = assembly.model(slot)!;
  const colours = tails.map(({ colour }) => colour).join(' and ');
  return {
    key: `${name}:${slot}`,
    rule: name,
    severity: 'warn',
    at: terminals.map(({ id }) => terminalRef(slot, id)),
    wires: Object.values(assembly.build.wires)
      .filter(({ tailOf }) => tailOf?.startsWith(`${slot}.`))
      .map(({ id }) => id),
    message: `${slot}, ${where}, is built to turn ${turns} (${colours} leads): its corner wants the other kind.`,
  };
}
