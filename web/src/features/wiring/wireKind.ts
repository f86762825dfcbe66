/** What a net carries, for filters: a supply, ground or a signal. */
import type { Build, Catalogue, Net } from '@junctor/core';
import { findTerminal } from '@junctor/core';

export type WireKind = 'supply' | 'ground' | 'signal';

export function kindOf(net: Net | null, build: Build, catalogue: Catalogue): WireKind {
  const is = (role: 'ground' | 'supply') =>
    net?.terminals.some((ref) => findTerminal(build, ref, catalogue)?.roles.some((one) => one.is === role));
  return is('ground') ? 'ground' : is('supply') ? 'supply' : 'signal';
}
