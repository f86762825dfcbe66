/** Any board entered from any printed labels is a model that can be stored, or says which pads are still open. */
import { checkLooseReadings, checkModel, draftModel, meaning, readLabels } from '@junctor/core';
import type { BoardDraft, PadRow } from '@junctor/core';
import { check, partModel } from '@junctor/core/schemas';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { practiceBoards, worn } from '../cases/practiceLabels';

const boards = [...practiceBoards('practice.csv'), ...practiceBoards('practiceCompany.csv')];
const edges = ['bottom', 'top', 'left', 'right'] as const;

/** The labels dealt out along the four edges, ten a row at most. */
function draftOf(kind: BoardDraft['kind'], labels: readonly string[]): BoardDraft {
  const rows = edges.map((edge, index): PadRow => ({
    edge,
    side: 'top',
    pitchMm: 2.3,
    firstMm: null,
    padMm: [1.2, 1.9],
    connector: null,
    labels: labels.filter((_, at) => at % 4 === index).slice(0, 10),
  }));
  return {
    name: 'Drafted',
    maker: 'Works',
    kind,
    massG: 5,
    widthMm: 40,
    heightMm: 40,
    thickMm: 3,
    holesMm: null,
    batteryV: [7, 26],
    placed: [],
    rows: rows.filter((row) => row.labels.length > 0),
    answers: {},
  };
}

it.each(boards.map((board) => [board.board, board] as const))('%s', (_name, { kind, labels }) => {
  const draft = draftOf(
    kind,
    labels.map(({ printed }) => printed),
  );
  const open = draftModel(draft).pads.filter((pad) => pad.open);
  // Whoever knows the board says the likeliest, or that nobody knows.
  const answers = Object.fromEntries(open.map((pad) => [pad.index, pad.reading.meanings[0]?.meaning ?? null]));
  const { model, pads } = draftModel({ ...draft, answers });
  const checked = check(partModel, model);
  expect(checked.ok ? [] : checked.mistakes).toEqual([]);
  // A supply without any ground pad is a fault of the entry, and found as one.
  const faults = [...checkModel(model), ...checkLooseReadings(model)].filter(
    ({ code }) => code !== 'model.ground' && code !== 'model.source',
  );
  expect(faults).toEqual([]);
  expect(pads.some((pad) => pad.open)).toBe(false);
});

it('reads any text without failing, with confidences that make sense', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 14 }), { minLength: 1, maxLength: 8 }), (labels) =>
      readLabels('controller', labels).every(({ meanings, sure }) => {
        const sum = meanings.reduce((total, { confidence }) => total + confidence, 0);
        return sum <= 1.0001 && (sure === null || meanings[0]!.confidence >= 0.9);
      }),
    ),
  );
});

it('wears labels without changing how many letters they have, spaces apart', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...boards.flatMap(({ labels }) => labels.map(({ printed }) => printed))),
      fc.infiniteStream(fc.double({ min: 0, max: 0.999, noNaN: true })),
      (printed, stream) => {
        const text = worn(printed, () => stream.next().value ?? 0);
        return text.replace(/ /g, '').length === printed.replace(/ /g, '').length;
      },
    ),
  );
});

it('an answer beats the label', () => {
  const draft = { ...draftOf('controller', ['5V', 'G', 'X']), answers: { 0: meaning('battery') } };
  expect(draftModel(draft).model.terminals[0]).toMatchObject({ node: 'VB', printed: '5V' });
});
