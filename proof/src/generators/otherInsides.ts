/**
 * Good aircraft whose insides are not as the models say: values moved, and things that no sheet shows. Of a rail there
 * may be one load more, of 3 to 30 kohm; from a part's ground there may be a junction to each of its rails and pins.
 */
import type { Build, Catalogue, Terminal, TerminalRef } from '@junctor/core';
import type { Spread, Unshown } from '../oracles/insides';
import { random } from './generate';

/** Every value somewhere within what is usual of its kind; junctions of one aircraft together, and each by itself. */
export function spreadBy(seed: number, { ohms, commonV, ownV }: Usual = usual): Spread {
  const chance = random(seed);
  const common = commonV * (2 * chance() - 1);
  const known = new Map<string, number>();
  const once = (key: string) => {
    if (!known.has(key)) known.set(key, 2 * chance() - 1);
    return known.get(key)!;
  };
  return {
    factor: (id, of) => 1 + (of === 'farads' ? 0.2 : ohms) * once(`${id} ${of}`),
    junctionV: (id) => common + ownV * once(id),
  };
}

interface Usual {
  /** Relative. */
  ohms: number;
  commonV: number;
  ownV: number;
}

const usual: Usual = { ohms: 0.3, commonV: 0.048, ownV: 0.01 };
/** As wide as insides of one sheet and another maker are apart. */
export const wide: Usual = { ohms: 0.5, commonV: 0.06, ownV: 0.01 };

const [leastLoadOhms, mostLoadOhms] = [3e3, 3e4];
const [leastV, mostV] = [0.5, 0.7];

export function unshownBy(seed: number, build: Build, catalogue: Catalogue): Unshown[] {
  const chance = random(seed);
  const between = (least: number, most: number) => least + (most - least) * chance();
  return Object.entries(build.slots).flatMap(([slot, fitted]) => {
    const { terminals, ports } = catalogue.model(fitted);
    const has = ({ roles }: Terminal, is: Terminal['roles'][number]['is']) => roles.some((role) => role.is === is);
    const ref = ({ id }: Terminal): TerminalRef => `${slot}.${id}`;
    const ground = terminals.find((terminal) => has(terminal, 'ground'));
    if (!ground) return [];
    const others = firstOfNode(terminals.filter(({ node }) => node !== ground.node));
    const rails = others.filter((terminal) => has(terminal, 'supply'));
    const given = rails.filter(({ roles }) => roles.some((role) => role.is === 'supply' && role.dir === 'gives'));
    const isPhase = ({ roles }: Terminal) =>
      roles.some(
        (role) => role.is === 'port' && ports.some(({ id, kind }) => id === role.port && kind === 'motorPhase'),
      );
    const pins = others.filter((one) => has(one, 'port') && !has(one, 'supply') && !isPhase(one));
    const loads = given
      .filter(() => chance() < 0.5)
      .map((rail): Unshown => ({ a: ref(rail), b: ref(ground), ohms: between(leastLoadOhms, mostLoadOhms) }));
    const junctions = [...rails, ...pins]
      .filter(() => chance() < 0.5)
      .map((pin): Unshown => ({ a: ref(ground), b: ref(pin), forwardV: between(leastV, mostV) }));
    return [...loads, ...junctions];
  });
}

function firstOfNode(terminals: readonly Terminal[]): Terminal[] {
  const seen = new Set<string>();
  return terminals.filter(({ node }) => !seen.has(node) && Boolean(seen.add(node)));
}
