/** The board being entered, kept in the browser until it is stored or thrown away. */
import type { BoardDraft, Measured } from '@junctor/core';
import { useKeptDraft } from '../../ui/useKeptDraft';

const emptyDraft: BoardDraft = {
  name: '',
  maker: '',
  kind: 'controller',
  massG: 8,
  widthMm: 36,
  heightMm: 36,
  thickMm: 3.4,
  holesMm: { patternMm: 30.5, drillMm: 4 },
  batteryV: [10, 26.1],
  rows: [],
  placed: [],
  answers: {},
};

/** The board as entered, and what a meter has said to it so far. */
interface Entered {
  draft: BoardDraft;
  measured: readonly Measured[];
}

interface DraftKeeper extends Entered {
  setDraft: (draft: BoardDraft) => void;
  setMeasured: (measured: readonly Measured[]) => void;
  /** It is stored: the next board begins. */
  forget: () => void;
}

const nothing: Entered = { draft: emptyDraft, measured: [] };

export function useDraft(): DraftKeeper {
  const { draft: entered, keep, forget } = useKeptDraft('junctor.draft.board', nothing);
  return {
    ...entered,
    setDraft: (draft) => keep({ ...entered, draft }),
    setMeasured: (measured) => keep({ ...entered, measured }),
    forget,
  };
}
