/** A heap of parts that nobody has joined: what an aircraft shall be made of. */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { newestModels } from '../../facts/catalogue/newestModels';
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import { channelPorts, drivesMotors, isController, isMotor } from '../../facts/catalogue/kinds';
import type { Fitted } from '../../facts/assembly/build';
import type { Range, Slot } from '../../facts/terms/names';

export interface HeapPart {
  model: string;
  count: number;
}

export interface Heap {
  name: string;
  parts: readonly HeapPart[];
  /** Of the packs that it shall fly with; null: as the parts allow. */
  cells: Range | null;
}

/** What each kind is called in a plan. */
const nameOf: Readonly<Record<PartKind, string>> = {
  frame: 'FRAME',
  'battery lead': 'BAT',
  capacitor: 'CAP',
  distribution: 'PDB',
  esc: 'ESC',
  'single board': 'FC',
  controller: 'FC',
  motor: 'M',
  receiver: 'RX',
  'video unit': 'VTX',
  camera: 'CAM',
  positioning: 'GPS',
  buzzer: 'BZ',
  lights: 'LED',
  'light controller': 'BOX',
  regulator: 'REG',
  antenna: 'ANT',
  adapter: 'ADP',
  cable: 'CBL',
  propeller: 'PROP',
  pack: 'PACK',
};

/** They fly with it and are no part of its wiring. */
const loose: ReadonlySet<PartKind> = new Set(['propeller', 'pack']);

/** Every part of a heap in a slot of its own; of several alike the first has number 1, a part that is alone none. */
export function slotsOf({ parts }: Pick<Heap, 'parts'>, catalogue: Catalogue): Readonly<Record<Slot, Fitted>> {
  const wired = modelsOf({ parts }, catalogue).filter(({ kind }) => !loose.has(kind));
  const used = new Map<string, number>();
  const slots = wired.map(({ id, kind, revision }) => {
    const name = nameOf[kind];
    const number = (used.get(name) ?? 0) + 1;
    used.set(name, number);
    const isOneOfMany = isMotor(kind) || wired.filter((other) => nameOf[other.kind] === name).length > 1;
    return [isOneOfMany ? `${name}${number}` : name, { model: id, revision, part: null, pose: null }] as const;
  });
  return Object.fromEntries(slots);
}

/** @throws {RangeError} If the catalogue lacks it. */
export function newest(id: string, { models }: Catalogue): PartModel {
  const [found] = newestModels(models.filter((one) => one.id === id));
  if (!found) throw new RangeError(`no part model ${id} in the catalogue`);
  return found;
}

/** The model of each of its parts, as often as there are of it. */
export function modelsOf({ parts }: Pick<Heap, 'parts'>, catalogue: Catalogue): PartModel[] {
  return parts.flatMap(({ model, count }) => new Array<PartModel>(count).fill(newest(model, catalogue)));
}

/** What an aircraft lacks, or has too much of: of no use to plan before that is settled. */
export interface Lack {
  what: string;
  says: string;
}

/** Motors that any airframe has. */
const [fewestMotors, mostMotors] = [3, 8];

/** Counted by roles: what the airframe, the motors and the boards ask of each other. */
export function lacksOf({ parts }: Pick<Heap, 'parts'>, catalogue: Catalogue): Lack[] {
  const all = modelsOf({ parts }, catalogue);
  const of = (is: (kind: PartKind) => boolean) => all.filter(({ kind }) => is(kind));
  const frames = of((kind) => kind === 'frame');
  const motors = of(isMotor).length;
  const boards = of(isController).length;
  const arms = frames[0]?.frame?.corners.length ?? null;
  const drivers = all.filter(drivesMotors);
  const outputs = drivers.reduce((sum, model) => sum + channelPorts(model).length, 0);
  const lack = (what: string, says: string | false): Lack[] => (says ? [{ what, says }] : []);
  return [
    ...lack('frame', frames.length > 1 && `${frames.length} frames; an aircraft has one`),
    ...lack('motors', arms !== null && motors !== arms && `${motors} motors; ${frames[0]!.name} has ${arms} places`),
    ...lack(
      'motors',
      arms === null && (motors < fewestMotors || motors > mostMotors) && `${motors} motors; an airframe has 3 to 8`,
    ),
    ...lack('controller', boards === 0 && 'nothing that runs the flight software'),
    ...lack('controller', boards > 1 && `${boards} boards that run the flight software; one does`),
    ...lack('ESC', outputs < motors && `${outputs} outputs for ${motors} motors`),
    ...lack('ESC', outputs > motors && drivers.length > 1 && `${outputs} outputs for ${motors} motors`),
  ];
}
