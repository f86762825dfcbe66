/** What is recorded when a layout is signed. */
import type { Build } from '../../facts/assembly/build';
import type { LayoutNote } from '../../facts/log/records';
import type { Id } from '../../facts/terms/names';
import { layoutBasis } from './layoutBasis';
import type { Margin } from './margin';

interface Said {
  /** A lead's word for what does not hold. */
  reason?: string;
  /** The picture that stands for what nobody knows. */
  pictured?: Id | null;
}

/** @param build As planned, with every pose in it. */
export function layoutNote(build: Build, margins: readonly Margin[], { reason = '', pictured }: Said = {}): LayoutNote {
  const of = (verdict: Margin['verdict']) => margins.filter((one) => one.verdict === verdict);
  return {
    saw: 'layout',
    basis: layoutBasis(build),
    no: of('no').map(({ says }) => says.slice(0, 300)),
    tight: of('tight').length,
    reason,
    ...(pictured && of('not known').length > 0 ? { pictured } : {}),
  };
}
