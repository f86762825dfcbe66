/** Motors built for one turning sense sit where the airframe's table wants that sense, or all the other way round. */
import type { MotorPlace } from '../../physics/motors/motorMap';
import { motorMap } from '../../physics/motors/motorMap';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';
import { modelIn } from '../../facts/assembly/lookUp';

const name = 'motor turns';

export const motorTurns: Rule = {
  name,
  why: 'A brushed motor is timed for one sense, told by the colour of its leads. Opposite corners turn alike, neighbours against each other.',
  judge: (view) => {
    if (!Object.keys(view.build.slots).some((slot) => modelIn(view.build, slot, view.catalogue)!.turns)) return [];
    const own = motorMap(view.build, view.catalogue).flatMap((motor) => {
      const { turns } = modelIn(view.build, motor.slot, view.catalogue)!;
      return turns ? [{ motor, turns }] : [];
    });
    const odd = own.filter(({ motor, turns }) => motor.sense !== turns);
    // The reversed convention is as good; what fits neither is wrong.
    const wrong = odd.length * 2 > own.length ? own.filter(({ motor, turns }) => motor.sense === turns) : odd;
    return wrong.map(({ motor, turns }) => found(view, motor, turns));
  },
};

function found({ build, catalogue }: RuleView, { slot, where }: MotorPlace, turns: string): Finding {
  const { tails, terminals } = modelIn(build, slot, catalogue)!;
  const colours = tails.map(({ colour }) => colour).join(' and ');
  return {
    key: `${name}:${slot}`,
    rule: name,
    severity: 'warn',
    at: terminals.map(({ id }) => terminalRef(slot, id)),
    wires: Object.values(build.wires)
      .filter(({ tailOf }) => tailOf?.startsWith(`${slot}.`))
      .map(({ id }) => id),
    says: `${slot}, ${where}, is built to turn ${turns} (${colours} leads): its corner wants the other kind.`,
  };
}
