/** What is recorded when a layout is signed. */
import type { Build } from '../../facts/assembly/build';
import type { LayoutNote } from '../../facts/log/records';
import { layoutBasis } from './layoutBasis';
import type { Margin } from './margin';

/** @param build As planned, with every pose in it. @param reason A lead's word for what does not hold. */
export function layoutNote(build: Build, margins: readonly Margin[], reason = ''): LayoutNote {
  const of = (verdict: Margin['verdict']) => margins.filter((one) => one.verdict === verdict);
  return {
    saw: 'layout',
    basis: layoutBasis(build),
    no: of('no').map(({ says }) => says.slice(0, 300)),
    tight: of('tight').length,
    reason,
  };
}
