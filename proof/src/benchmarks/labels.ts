/** The label reader on the practice list, as printed and worn: right or asked, wrongly sure, and how often it asks. */
import { readLabels } from '@junctor/core';
import type { PracticeBoard } from '../cases/practiceLabels';
import { practiceBoards, worn } from '../cases/practiceLabels';
import type { Measurement } from './measurement';

const wearings = 12;

export async function labels(): Promise<Measurement[]> {
  const boards = practiceBoards();
  const clean = boards.flatMap((board) =>
    outcomes(
      board,
      board.labels.map(({ printed }) => printed),
    ),
  );
  const random = seeded(7);
  const noisy = boards.flatMap((board) =>
    Array.from({ length: wearings }).flatMap(() =>
      outcomes(
        board,
        board.labels.map(({ printed }) => worn(printed, random)),
      ),
    ),
  );
  const all = [...clean, ...noisy];
  if (process.env.JUNCTOR_SHOW_WRONG)
    for (const one of new Set(all.filter(({ is }) => is === 'wrong').map(({ message }) => message))) console.error(one);
  const share = (list: typeof all, is: string) =>
    (100 * list.filter((outcome) => outcome.is === is).length) / list.length;
  const line = (what: string, value: number, bar: string, met: boolean): Measurement => ({
    what,
    value: value.toFixed(2),
    unit: '%',
    bar,
    met,
  });
  return [
    line(
      `labels right or asked, of ${all.length} (${clean.length} printed, ${noisy.length} worn):`,
      100 - share(all, 'wrong') - share(all, 'lost'),
      '>=99',
      share(all, 'wrong') + share(all, 'lost') <= 1,
    ),
    line('labels wrongly sure:', share(all, 'wrong'), '<0.5', share(all, 'wrong') < 0.5),
    line('labels asked about, as printed:', share(clean, 'asked'), '<=12', share(clean, 'asked') <= 12),
  ];
}

/** wrong: taken without asking for something else; lost: asked, but the truth is not among what it offers. */
function outcomes({ board, kind, labels }: PracticeBoard, printed: readonly string[]) {
  const truths = labels.map(({ means }) => means);
  return readLabels(kind, printed).map(({ sure, meanings }, index) => {
    const truth = truths[index]!;
    const name = ({ is, index: number, volts }: NonNullable<typeof sure>) =>
      [is, ...(number === null ? [] : [number]), ...(volts === null ? [] : [volts])].join(' ');
    const offered = meanings.map(({ meaning }) => name(meaning));
    const isOf = () => {
      if (sure) {
        if (name(sure) === truth) return 'right';
        return 'wrong';
      }
      if (truth === '' || offered.length === 0 || offered.includes(truth)) return 'asked';
      return 'lost';
    };
    const is = isOf();
    return { is, message: `${board}: ${printed[index]} is ${truth || 'unknown'}, read ${offered.join(' / ')}` };
  });
}

function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}
