/** As built = fold of the quad's log. There is no as-built table that can be edited. */
import type { Catalogue } from '../catalogue/catalogue';
import type { TerminalRef } from '../terms/names';
import type { Effective } from './corrections';
import { effective } from './corrections';
import type { QuadRecord } from './records';
import { isAct } from './records';
import { touchedBy } from '../wiring/touchedBy';
import { applyAct } from '../assembly/applyAct';
import type { Build } from '../assembly/build';
import { emptyBuild } from '../assembly/build';

/** The Build that a log amounts to. */
export function fold(log: readonly QuadRecord[], catalogue: Catalogue, start: Build = emptyBuild): Build {
  return effective(log).reduce(
    (build, { record }) => (isAct(record.body) ? applyAct(build, record.body, catalogue) : build),
    start,
  );
}

/** One act of the log with what it touched: every terminal on the nets it changed, before and after. */
export interface FoldedAct {
  id: string;
  placeSeq: number;
  madeSeq: number;
  doneAt: string;
  touched: ReadonlySet<TerminalRef>;
  /** Joints (`W12.b`) soldered, heated or freed by it. */
  joints: readonly string[];
}

export interface FoldedLog {
  build: Build;
  acts: readonly FoldedAct[];
  notes: readonly Effective[];
}

/** The fold together with the trace that tells which later act spoils which note. */
export function foldLog(log: readonly QuadRecord[], catalogue: Catalogue, start: Build = emptyBuild): FoldedLog {
  let build = start;
  const acts: FoldedAct[] = [];
  const notes: Effective[] = [];
  for (const entry of effective(log)) {
    const { body, doneAt, id } = entry.record;
    if (!isAct(body)) {
      notes.push(entry);
      continue;
    }
    const after = applyAct(build, body, catalogue);
    const { touched, joints } = touchedBy(body, build, after, catalogue);
    acts.push({ id, placeSeq: entry.placeSeq, madeSeq: entry.madeSeq, doneAt, touched, joints });
    build = after;
  }
  return { build, acts, notes };
}
