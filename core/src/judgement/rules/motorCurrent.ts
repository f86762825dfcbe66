/** What the motors draw, followed from them to the pack: through channel, leads, wires and contacts on the way. */
import { wireWords } from '../../facts/assembly/itemWords';
import { capital } from '../../facts/terms/capital';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { ampsFor } from '../../facts/wiring/wireAmps';
import type { Finding, Rule, RuleView, Severity } from './finding';
import { finding, portsOn, spoken } from './finding';
import type { Flow } from './motorFlow';
import { motorFlow } from './motorFlow';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'motor current';

export const motorCurrent: Rule = {
  name,
  why: 'The motors’ current comes all the way from the pack: one thin wire, one small contact or one weak channel on that way gets hot and parts, in flight.',
  judge: (view) => {
    const motors = drawnByMotors(view);
    return [...channels(view, motors), ...leads(view, motors), ...ways(view, motors)];
  },
};

/** A motor with the part that drives it. */
interface Driven {
  motor: Slot;
  driver: Slot;
  typicalA: number;
  peakA: number;
}

function drawnByMotors(view: RuleView): Driven[] {
  const driven = new Map<Slot, Driven>();
  for (const net of view.joined) {
    const phases = portsOn(view, net).filter(({ port }) => port.kind === 'motorPhase');
    const driver = phases.find(({ port }) => port.way === 'gives');
    for (const { slot, port } of phases) {
      const draws = view.assembly.model(slot)!.motorCurrent;
      if (driver && port.way === 'takes' && draws && !driven.has(slot))
        driven.set(slot, { motor: slot, driver: driver.slot, ...draws });
    }
  }
  return [...driven.values()];
}

/** More than a channel bears. */
function channels(view: RuleView, motors: readonly Driven[]): Finding[] {
  return motors.flatMap(({ motor, driver, typicalA, peakA }): Finding[] => {
    const bears = view.assembly.model(driver)!.motorCurrent;
    if (!bears || (peakA <= bears.peakA && typicalA <= bears.typicalA)) return [];
    const pad = view.joined
      .flatMap((net) => portsOn(view, net))
      .find(({ slot, port }) => slot === motor && port.kind === 'motorPhase')!;
    const message = `${motor} draws ${peakA} A at full throttle; a channel of ${driver} bears ${bears.peakA} A for seconds, ${bears.typicalA} A without end.`;
    return [finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(pad.ref)!, at: [pad.ref], message })];
  });
}

/** Leads of motors that are too thin for them. */
function leads(view: RuleView, motors: readonly Driven[]): Finding[] {
  return motors.flatMap(({ motor, typicalA }) =>
    Object.values(view.assembly.build.wires).flatMap((wire): Finding[] => {
      const end = wire.ends.flatMap(({ at }) =>
        at.on === 'terminal' && splitRef(at.ref).slot === motor ? [at.ref] : [],
      )[0];
      const carries = ampsFor(wire.awg, false);
      if (!end || typicalA <= carries) return [];
      const message = `${capital(wireWords(wire, view.assembly))} is ${wire.awg} AWG and carries ${carries.toFixed(1)} A; ${motor} draws ${typicalA} A in flight.`;
      const found = { rule: name, severity: graver(typicalA, carries), net: view.nets.netOf(end)!, at: [end], message };
      return [{ ...finding(view, found), wires: [wire.id] }];
    }),
  );
}

/** Wires and contacts between the pack and what drives the motors. */
function ways(view: RuleView, motors: readonly Driven[]): Finding[] {
  const drawnA = new Map<Slot, number>();
  for (const { driver, typicalA } of motors) drawnA.set(driver, (drawnA.get(driver) ?? 0) + typicalA);
  return motorFlow(view, drawnA).flatMap((flow): Finding[] => {
    const { ref, amps } = flow;
    const limit = limitOf(view, flow);
    if (limit === null || amps <= limit.amps) return [];
    const message = `${limit.what} ${limit.amps.toFixed(1)} A; in flight the motors draw ${amps.toFixed(1)} A through it.`;
    const found = { rule: name, severity: graver(amps, limit.amps), net: view.nets.netOf(ref)!, at: [ref], message };
    return [{ ...finding(view, found), ...(flow.wire ? { wires: [flow.wire] } : {}) }];
  });
}

function limitOf(view: RuleView, { wire: id, ref, contactA }: Flow): { amps: number; what: string } | null {
  const wire = id === null ? undefined : lookUp(view.assembly.build.wires, id);
  if (wire) {
    const words = capital(wireWords(wire, view.assembly));
    return { amps: ampsFor(wire.awg, false), what: `${words} is ${wire.awg} AWG and carries` };
  }
  return contactA === null ? null : { amps: contactA, what: `The contact of ${spoken(view, ref)} is made for` };
}

function graver(amps: number, limit: number): Severity {
  return amps > 2 * limit ? 'stop' : 'warn';
}
