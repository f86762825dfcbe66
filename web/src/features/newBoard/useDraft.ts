/** The board being entered, kept in the browser until it is stored or thrown away. */
import type { BoardDraft } from '@junctor/core';
import { useState } from 'react';

const key = 'junctor.draft.board';

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

export function useDraft(): [BoardDraft, (next: BoardDraft | null) => void] {
  const [draft, setDraft] = useState<BoardDraft>(() => kept() ?? emptyDraft);
  return [
    draft,
    (next) => {
      if (next) localStorage.setItem(key, JSON.stringify(next));
      else localStorage.removeItem(key);
      setDraft(next ?? emptyDraft);
    },
  ];
}

function kept(): BoardDraft | null {
  const text = localStorage.getItem(key);
  return text ? (JSON.parse(text) as BoardDraft) : null;
}
