/** What a meter must show at a touch, and what one fault would make of it. */
import type { Assembly, Catalogue, Defect, Expectation, Meter, TerminalRef, Touch } from '@junctor/core';
import {
  assemble,
  contrasts,
  defectsOf,
  expect,
  expectedWords,
  isTerminalRef,
  siteWords,
  terminalWords,
} from '@junctor/core';
import type { Said } from './commands';
import type { BuildFile } from './readFile';
import { BadInput } from './readFile';

export const expectModes = ['tone', 'diode', 'ohms'] as const;

interface ExpectAsked {
  black: string | undefined;
  red: string | undefined;
  mode: (typeof expectModes)[number];
  meter: Meter;
}

/** @throws {BadInput} If one of the two is no terminal of the build. */
export function expectOf({ plan }: BuildFile, catalogue: Catalogue, { black, red, mode, meter }: ExpectAsked): Said {
  const assembly = assemble(plan.target, catalogue);
  const touch: Touch = { black: terminalIn(assembly, black), red: terminalIn(assembly, red), mode, power: 'off' };
  const expected = expect(assembly, touch, { meter });
  const because = expected.because.map((site) => `  on the way: ${siteWords(site, assembly)}`);
  return { text: [lineOf(expected, assembly), ...because].join('\n'), data: expected, found: false };
}

/** All faults of a build; with the id of one the touches that show it. @throws {BadInput} If there is no such fault. */
export function simulateOf(
  { plan }: BuildFile,
  catalogue: Catalogue,
  { fault, meter }: { fault: string | undefined; meter: Meter },
): Said {
  const assembly = assemble(plan.target, catalogue);
  if (fault === undefined) {
    const defects = defectsOf(assembly);
    return {
      text: defects.map((one) => faultLine(one, assembly)).join('\n'),
      data: defects,
      found: defects.length > 0,
    };
  }
  const defect = faultNamed(assembly, fault);
  const shown = contrasts(assembly, defect, meter);
  return {
    text: [
      faultLine(defect, assembly),
      ...shown.map(({ good, faulty }) => `  ${lineOf(good, assembly)}; with it: ${expectedWords(faulty)}`),
      ...(shown.length === 0 ? ['  no touch shows it with everything mated'] : []),
    ].join('\n'),
    data: { defect, touches: shown },
    found: shown.length > 0,
  };
}

/** @throws {BadInput} If there is none of that id. */
export function faultNamed(assembly: Assembly, id: string): Defect {
  const found = defectsOf(assembly).find((defect) => defect.id === id);
  if (found) return found;
  const reason = `no fault ${id}; junctor simulate FILE lists them`;
  throw new BadInput([{ file: 'junctor', line: 1, path: 'fault', reason }]);
}

function faultLine({ id, harm, site }: Defect, assembly: Assembly): string {
  return `${id}  ${harm}: ${siteWords(site, assembly)}`;
}

function lineOf(expected: Expectation, assembly: Assembly): string {
  const { black, red, mode } = expected.touch;
  const [on, other] = [black, red].map((ref) => terminalWords(ref, assembly));
  return `${mode === 'diode' ? 'diode volts' : mode}: black on ${on}, red on ${other}: ${expectedWords(expected)}`;
}

function terminalIn(assembly: Assembly, name: string | undefined): TerminalRef {
  if (name !== undefined && isTerminalRef(name) && assembly.terminal(name)) return name;
  const reason = name === undefined ? 'a touch has two terminals, black and red' : `no terminal ${name} in the build`;
  throw new BadInput([{ file: 'junctor', line: 1, path: 'terminal', reason }]);
}
