/** What a net carries, for filters: a supply, ground or a signal. */
import type { Net, Assembly } from '@junctor/core';

export type WireKind = 'supply' | 'ground' | 'signal';

export function kindOf(net: Net | null, assembly: Assembly): WireKind {
  const is = (role: 'ground' | 'supply') =>
    net?.terminals.some((ref) => assembly.terminal(ref)?.roles.some((given) => given.is === role));
  if (is('ground')) return 'ground';
  if (is('supply')) return 'supply';
  return 'signal';
}
