/** Counted by roles: what the airframe, the motors and the boards ask of each other. */
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import { channelPorts, drivesMotors, isController, isMotor } from '../../facts/catalogue/kinds';
import { countWords } from '../../facts/terms/countWords';
import type { Range } from '../../facts/terms/names';

/** What an aircraft lacks, or has too much of: of no use to plan before that is settled. */
export interface Lack {
  what: string;
  says: string;
}

/** Motors that any airframe has. */
const [fewestMotors, mostMotors] = [3, 8];

export function lacksOf(all: readonly PartModel[], cells: Range | null): Lack[] {
  const of = (is: (kind: PartKind) => boolean) => all.filter(({ kind }) => is(kind));
  const frames = of((kind) => kind === 'frame');
  const motors = of(isMotor).length;
  const boards = of(isController).length;
  const arms = frames[0]?.frame?.corners.length ?? null;
  const drivers = all.filter(drivesMotors);
  const outputs = drivers.reduce((sum, model) => sum + channelPorts(model).length, 0);
  const lack = (what: string, says: string | false): Lack[] => (says ? [{ what, says }] : []);
  const airframe = `an airframe has ${fewestMotors} to ${mostMotors}`;
  return [
    ...lack('frame', frames.length > 1 && `${frames.length} frames; an aircraft has one`),
    ...lack(
      'motors',
      arms !== null && motors !== arms && `${countWords(motors, 'motor')}; ${frames[0]!.name} has ${arms} places`,
    ),
    ...lack(
      'motors',
      arms === null && (motors < fewestMotors || motors > mostMotors) && `${countWords(motors, 'motor')}; ${airframe}`,
    ),
    ...lack('controller', boards === 0 && 'nothing that runs the flight software'),
    ...lack('controller', boards > 1 && `${boards} boards that run the flight software; one does`),
    ...lack('ESC', outputs === 0 && motors > 0 && `no ESC yet: ${outputsWanted(all, cells)}`),
    ...lack(
      'ESC',
      outputs > 0 && outputs < motors && `${countWords(outputs, 'output')} for ${countWords(motors, 'motor')}`,
    ),
    ...lack(
      'ESC',
      outputs > motors && drivers.length > 1 && `${countWords(outputs, 'output')} for ${countWords(motors, 'motor')}`,
    ),
  ];
}

/** "4 outputs, 6 cells, 38 A each". */
function outputsWanted(all: readonly PartModel[], cells: Range | null): string {
  const motors = all.filter(({ kind }) => isMotor(kind));
  const amps = Math.max(0, ...motors.map(({ motorCurrent }) => motorCurrent?.peakA ?? 0));
  const each = amps > 0 ? [`${Math.ceil(amps)} A each`] : [];
  return [countWords(motors.length, 'output'), ...(cells ? [cellWords(cells)] : []), ...each].join(', ');
}

function cellWords([, series]: Range): string {
  return series === 1 ? 'one cell' : `${series} cells`;
}
