/**
 * What a meter reads on a part while it is loose: its signature. Computed from its inside as for a whole build, so that
 * a first measurement fills in or contradicts what the catalogue says.
 */
import { expectIn } from './expect';
import type { Expectation, Touch } from '../../facts/log/reading';
import { compile } from '../../physics/circuit/compile';
import { terminalRef } from '../../facts/terms/names';
import { firstOfNode, shortBelowOhms } from '../../facts/catalogue/conductors';
import type { ModelMistake } from '../../facts/catalogue/mistake';
import { mistake } from '../../facts/catalogue/mistake';
import type { SignatureReading } from '../../facts/log/records';
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { Length } from '../../facts/terms/toneLength';
import type { Meter } from '../../facts/terms/meter';
import { referenceMeter } from './referenceMeter';
import type { LooseTouch } from './touchList';
import { partAlone } from '../../facts/assembly/partAlone';

export interface LooseReading {
  black: Terminal;
  red: Terminal;
  mode: 'tone' | 'ohms' | 'diode';
  /** What it shows: "5V against ground". */
  why: string;
  expected: Expectation;
  /** Of a touch that the list asks for while the part is loose: outside its band no good part reads. */
  shows?: true;
}

/** The slot that a part stands in while it is looked at alone. */
const alone = 'PART';

/**
 * The few touches that tell a good loose part from a bad one, with what this meter must show.
 * @param listed What the list of touches asks of it besides, since it can be seen only while the part is loose.
 */
export function looseReadings(model: PartModel, meter: Meter, listed: readonly LooseTouch[] = []): LooseReading[] {
  const circuit = compile(partAlone(alone, model));
  const more = listed.map((touch) => listedTouch(model, touch));
  const known = touches(model).filter(
    ({ black, red, mode }) => !more.some((one) => one.black === black && one.red === red && one.mode === mode),
  );
  return [...known, ...more].map((touch) => {
    const asked: Touch = {
      black: terminalRef(alone, touch.black.id),
      red: terminalRef(alone, touch.red.id),
      mode: touch.mode,
      power: 'off',
    };
    return { ...touch, expected: expectIn(circuit, asked, { meter, heldS: 2 }) };
  });
}

function touches({ terminals, elements }: PartModel): Omit<LooseReading, 'expected'>[] {
  const reachable = terminals.filter(({ touch, form }) => touch !== 'no' || form === 'tail');
  const ground = reachable.find(({ roles }) => roles.some((role) => role.is === 'ground'));
  const rails = firstOfNode(reachable.filter(({ roles }) => roles.some((role) => role.is === 'supply')));
  const inside = new Set(elements.flatMap((element) => (element.is === 'winding' ? [element.a, element.b] : [])));
  const windings = firstOfNode(reachable.filter(({ node }) => inside.has(node)));
  const signals = firstOfNode(
    reachable.filter(({ node, roles }) => roles.some((role) => role.is === 'port') && hasClamp(elements, node)),
  );
  const first = signals[0];
  return [
    ...(ground
      ? rails
          .filter(({ node }) => node !== ground.node)
          .flatMap((red): Omit<LooseReading, 'expected'>[] => [
            { black: ground, red, mode: 'tone', why: `${red.printed} against ground must not stay on` },
            { black: ground, red, mode: 'ohms', why: `${red.printed} against ground` },
          ])
      : []),
    ...windings.flatMap((black, index) =>
      windings.slice(index + 1).map((red): Omit<LooseReading, 'expected'> => ({
        black,
        red,
        mode: 'tone',
        why: `winding ${black.printed} to ${red.printed}`,
      })),
    ),
    ...(ground && first
      ? [{ black: first, red: ground, mode: 'diode' as const, why: `the clamp of ${first.printed}` }]
      : []),
  ];
}

function listedTouch({ terminals }: PartModel, { black, red, mode }: LooseTouch): Omit<LooseReading, 'expected'> {
  const [from, to] = [black, red].map((own) => terminals.find(({ id }) => id === own)!) as [Terminal, Terminal];
  return { black: from, red: to, mode, why: 'seen only while it is loose', shows: true };
}

function hasClamp(elements: PartModel['elements'], node: string): boolean {
  return elements.some((element) => element.is === 'diode' && element.cathode === node);
}

/** Twice or half of a typical part's ohms is no surprise. */
const typicalFactor = 2;

/** What a loose reading says: stop for what no good part shows; numbers off a typical part are kept, not judged. */
export function judgeLoose(
  { mode, expected, shows }: LooseReading,
  heard: { length: Length | null; value: number | null; open?: true },
): SignatureReading['verdict'] {
  if (expected.from === 'none') return 'record only';
  if (shows && mode !== 'tone') return isInBand(expected, heard) ? 'pass' : 'stop';
  if (mode === 'tone') return heard.length !== null && expected.passes.includes(heard.length) ? 'pass' : 'stop';
  const { band } = expected;
  if (!band || heard.value === null) return 'record only';
  if (mode === 'ohms' && heard.value < shortBelowOhms && band[0] > 2 * shortBelowOhms) return 'stop';
  const [low, high] =
    mode === 'ohms' ? [band[0] / typicalFactor, band[1] * typicalFactor] : [band[0] - 0.08, band[1] + 0.08];
  return heard.value >= low && heard.value <= high ? 'pass' : 'record only';
}

function isInBand({ band, open }: Expectation, heard: { value: number | null; open?: true }): boolean {
  if (heard.open) return open === true;
  return band !== null && heard.value !== null && heard.value >= band[0] && heard.value <= band[1];
}

/** A signature that no good part can have: a rail that reads as a short. */
export function checkLooseReadings(model: PartModel): ModelMistake[] {
  return looseReadings(model, referenceMeter).flatMap(({ mode, black, red, expected }) => {
    if (mode !== 'ohms' || !expected.band || expected.band[0] >= shortBelowOhms) return [];
    return [
      mistake(
        'elements',
        'signature',
        `${red.id} against ${black.id} reads ${expected.band[0].toFixed(1)} ohm on the loose part: a short`,
      ),
    ];
  });
}
