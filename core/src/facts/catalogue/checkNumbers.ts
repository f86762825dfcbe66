/** Numbers of a model that cannot all be true: limits against what is given and driven, less against more. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { Element, PartModel, Terminal } from './partModel';

export function checkNumbers(model: PartModel): ModelMistake[] {
  return [
    ...model.terminals.flatMap((terminal, index) => ofTerminal(terminal, `terminals.${index}`)),
    ...model.elements.flatMap((element, index) => ofElement(element, `elements.${index}`)),
    ...bothRails(model),
    ...promised(model),
    ...ofWhole(model),
    ...ofSize(model),
  ];
}

/** Nothing that can be laid out is flat as a line. */
function ofSize({ body: { outlineMm, boxMm } }: PartModel): ModelMistake[] {
  const flat = ([0, 1] as const).some((axis) => {
    const along = outlineMm.map((at) => at[axis]);
    return outlineMm.length > 0 && Math.max(...along) - Math.min(...along) <= 0;
  });
  return [
    ...when(flat, 'body.outlineMm', 'size', 'its outline has no size: measure it'),
    ...when(boxMm?.some((mm) => mm <= 0) ?? false, 'body.boxMm', 'size', 'its box has no size: measure it'),
  ];
}

function when(wrong: boolean, path: string, rule: string, message: string): ModelMistake[] {
  return wrong ? [mistake(path, rule, message)] : [];
}

function ofTerminal({ id, roles, withstandV, withstandOffV, drivesV, needsHighV }: Terminal, path: string) {
  const most = withstandV[1];
  return [
    ...roles.flatMap((role, index) =>
      when(
        role.is === 'supply' && role.volts[1] > most,
        `${path}.roles.${index}.volts`,
        'withstand',
        `${id} is for ${role.is === 'supply' ? role.volts[1] : 0} V and withstands ${most} V`,
      ),
    ),
    ...when(
      (drivesV ?? 0) > most,
      `${path}.drivesV`,
      'withstand',
      `${id} drives ${drivesV} V and withstands ${most} V`,
    ),
    ...when(
      (needsHighV ?? 0) > most,
      `${path}.needsHighV`,
      'withstand',
      `${id} needs ${needsHighV} V for high and withstands ${most} V`,
    ),
    ...when(
      withstandOffV[0] < withstandV[0] - 1e-9 || withstandOffV[1] > most + 1e-9,
      `${path}.withstandOffV`,
      'withstand',
      `${id} bears more when its part is off than when it is on`,
    ),
  ];
}

function ofElement(element: Element, path: string): ModelMistake[] {
  const { id } = element;
  switch (element.is) {
    case 'load':
      return when(
        element.idleA > element.typicalA || element.typicalA > element.peakA,
        path,
        'current',
        `${id} draws ${element.idleA} A idle, ${element.typicalA} A typically and ${element.peakA} A at its peak`,
      );
    case 'capacitor':
      return when(element.esrOhms >= element.leakOhms, path, 'leak', `${id} leaks more than it passes`);
    case 'diode':
      return when(
        element.forwardV <= 0 || element.forwardV > 4,
        `${path}.forwardV`,
        'diode',
        `${id} drops ${element.forwardV} V: no diode does`,
      );
    case 'regulator':
      return [
        ...when(element.limitA <= 0, `${path}.limitA`, 'regulator', `${id} gives no current`),
        ...when(element.efficiency <= 0, `${path}.efficiency`, 'regulator', `${id} gives nothing of what it takes`),
        ...when(element.outV <= 0, `${path}.outV`, 'regulator', `${id} gives no volts`),
      ];
    default:
      return [];
  }
}

/** One conductor is a supply and ground at once. */
function bothRails({ terminals }: PartModel): ModelMistake[] {
  const is = (terminal: Terminal, what: 'ground' | 'supply') => terminal.roles.some((role) => role.is === what);
  return terminals.flatMap((terminal, index) => {
    const other = is(terminal, 'supply') && terminals.find((one) => one.node === terminal.node && is(one, 'ground'));
    return other
      ? [
          mistake(
            `terminals.${index}.node`,
            'short',
            `${terminal.id} is a supply and ${other.id} a ground: one conductor`,
          ),
        ]
      : [];
  });
}

/** What a regulator's output says it gives, against the regulator; behind a diode less than before it. */
function promised({ terminals, elements }: PartModel): ModelMistake[] {
  return terminals.flatMap(({ id, node, roles }, index) =>
    roles.flatMap((role) => {
      if (role.is !== 'supply' || role.dir !== 'gives') return [];
      const path = `terminals.${index}.roles`;
      const regulator = elements.find((one) => one.is === 'regulator' && one.output === node);
      if (regulator?.is === 'regulator')
        return when(
          role.volts[1] < regulator.outV * 0.9 || role.volts[0] > regulator.outV * 1.1,
          path,
          'promise',
          `${id} promises ${role.volts.join(' to ')} V and ${regulator.id} behind it gives ${regulator.outV} V`,
        );
      const diode = elements.find((one) => one.is === 'diode' && one.cathode === node);
      const before = terminals
        .filter((one) => diode?.is === 'diode' && one.node === diode.anode)
        .flatMap((one) => one.roles.flatMap((other) => (other.is === 'supply' ? [other.volts] : [])))[0];
      return diode?.is === 'diode' && before
        ? when(
            role.volts[0] > before[0] - diode.forwardV,
            path,
            'promise',
            `${id} promises ${role.volts[0]} V at least, and ${diode.id} leaves ${(before[0] - diode.forwardV).toFixed(1)} V of ${before[0]} V`,
          )
        : [];
    }),
  );
}

function ofWhole({ ports, connectors, motorCurrent, thrust = [] }: PartModel): ModelMistake[] {
  return [
    ...ports.flatMap(({ id, radio }, index) =>
      when(
        radio !== undefined && radio.bandMHz[0] >= radio.bandMHz[1],
        `ports.${index}.radio.bandMHz`,
        'band',
        `${id} has its band the wrong way round`,
      ),
    ),
    ...connectors.flatMap(({ id, ampsPerPin }, index) =>
      when(ampsPerPin <= 0, `connectors.${index}.ampsPerPin`, 'contact', `a contact of ${id} bears no current`),
    ),
    ...when(
      motorCurrent !== undefined && motorCurrent.typicalA > motorCurrent.peakA,
      'motorCurrent',
      'current',
      'the motor draws more typically than at its peak',
    ),
    ...thrust.flatMap((row, index) =>
      when(
        thrust.some((less) => isSameStand(less, row) && less.atA < row.atA && less.g >= row.g),
        `thrust.${index}.g`,
        'thrust',
        `with ${row.propellerMm} mm it pulls no more at ${row.atA} A than at less`,
      ),
    ),
  ];
}

type ThrustRow = NonNullable<PartModel['thrust']>[number];

function isSameStand(a: ThrustRow, b: ThrustRow): boolean {
  return a.propellerMm === b.propellerMm && a.volts === b.volts;
}
