/** The label reader on the practice lists, as printed and worn: wrong and sure, and how often it asks. */
import { readLabels } from '@junctor/core';
import type { PracticeBoard } from '../cases/practiceLabels';
import { practiceBoards, worn } from '../cases/practiceLabels';
import type { Measurement } from './measurement';
import { none } from './measurement';

const wearings = 12;

export async function labels(): Promise<Measurement[]> {
  return [
    ...measured('plain', practiceBoards('practice.csv'), 12),
    ...measured('difficult', practiceBoards('practiceCompany.csv'), 25),
  ];
}

function measured(which: string, boards: readonly PracticeBoard[], mostAsked: number): Measurement[] {
  const asPrinted = ({ labels: all }: PracticeBoard) => all.map(({ printed }) => printed);
  const clean = boards.flatMap((board) => outcomes(board, asPrinted(board)));
  const known = clean.filter(({ knowable }) => knowable);
  const random = seeded(7);
  const noisy = boards.flatMap((board) =>
    Array.from({ length: wearings }).flatMap(() =>
      outcomes(
        board,
        asPrinted(board).map((printed) => worn(printed, random)),
      ),
    ),
  );
  if (process.env.JUNCTOR_SHOW_WRONG)
    for (const one of new Set(
      [...clean, ...noisy].filter(({ is }) => is !== 'right').map(({ is, message }) => `${is}: ${message}`),
    ))
      console.error(one);
  const share = (list: typeof clean, is: string) =>
    (100 * list.filter((outcome) => outcome.is === is).length) / list.length;
  const line = (what: string, value: number, bar: string, met: boolean): Measurement => ({
    what: `${which} labels ${what}`,
    value: value.toFixed(2),
    unit: '%',
    bar,
    met,
  });
  return [
    none(
      `${which} labels wrong and sure, of ${clean.length} as printed:`,
      clean.filter(({ is }) => is === 'wrong').length,
    ),
    line(`wrong and sure, of ${noisy.length} worn:`, share(noisy, 'wrong'), '<0.5', share(noisy, 'wrong') < 0.5),
    line(
      'asked about without the truth among the offers, as printed:',
      share(clean, 'lost'),
      '<=2',
      share(clean, 'lost') <= 2,
    ),
    line(
      `asked about, of ${known.length} that can be known:`,
      share(known, 'asked'),
      `<=${mostAsked}`,
      share(known, 'asked') <= mostAsked,
    ),
  ];
}

/** wrong: taken without asking for something else; lost: asked, but the truth is not among what it offers. */
function outcomes({ board, kind, labels }: PracticeBoard, printed: readonly string[]) {
  const truths = labels.map(({ means }) => means);
  const prints = printed.map((text, index) => ({ printed: text, row: labels[index]!.row ?? '' }));
  return readLabels(kind, prints).map(({ sure, meanings }, index) => {
    const truth = truths[index]!;
    const name = ({ is, index: number, volts, toV }: NonNullable<typeof sure>) =>
      [
        is,
        ...(number === null ? [] : [number]),
        ...(volts === null ? [] : [toV === undefined ? volts : `${volts}-${toV}`]),
      ].join(' ');
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
    return {
      is,
      knowable: truth !== '',
      message: `${board}: ${printed[index]} is ${truth || 'unknown'}, read ${offered.join(' / ')}`,
    };
  });
}

function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}
