/** What a list of touches proves, in words: never a bare hundred per cent. */
import type { LeftKind, ProvedLine } from '../../judgement/checks/whatListProves';
import { modeWords } from '../../facts/log/reading';
import type { Assembly } from '../../facts/assembly/assembly';
import { probeWords } from '../../judgement/checks/reach';
import type { ListedTouch, TouchList } from '../../judgement/checks/touchList';
import { ruledOutBy } from '../../judgement/checks/touchList';
import { leftByKind, ruledOut, whatListProves } from '../../judgement/checks/whatListProves';

/** After "faults". */
export const harmWords = { kill: 'that kill', stop: 'that stop it', warn: 'that only annoy' } as const;

/** "of 65 faults that kill, 40 by these touches (31 by two); 24 only on the loose part; 1 by no touch". */
export function provedWords({ harm, all, by, twice }: ProvedLine): string {
  const rest = [
    by['plug apart'] > 0 && `${by['plug apart']} with a plug apart`,
    by['loose part'] > 0 && `${by['loose part']} only on a loose part`,
    by['longer list'] > 0 && `${by['longer list']} by more touches than are asked`,
    by['better meter'] > 0 && `${by['better meter']} by a meter with a stronger diode source`,
    by['no touch'] > 0 && `${by['no touch']} by no touch`,
  ].filter(Boolean);
  const again = harm === 'kill' && by.list > 0 ? ` (${twice} by two)` : '';
  const own = `of ${all} faults ${harmWords[harm]}, ${by.list} by these touches${again}`;
  return rest.length > 0 ? `${own}; ${rest.join('; ')}` : own;
}

/** "open inside, 24 places". */
export function leftWords({ kind, faults }: LeftKind): string {
  return faults.length === 1 ? kind : `${kind}, ${faults.length} places`;
}

/** Once all touches have been answered: what is known to be absent, and what is not known. */
export function provedSentence(list: TouchList, earlier: ReadonlySet<number>): string {
  const shown = whatListProves(list).filter(({ harm }) => harm !== 'warn');
  const out = ruledOut(list, list.touches, earlier);
  const ruled = shown.map(
    ({ harm, all }, at) => `${out[harm]} of ${all}${at === 0 ? ' faults' : ''} ${harmWords[harm]}`,
  );
  const left = leftByKind(list, earlier).filter(({ harm }) => harm !== 'warn').length;
  if (ruled.length === 0) return 'nothing that stops or kills was found to be possible';
  return `ruled out ${ruled.join(' and ')}${left > 0 ? `; ${left} kinds are left to eye and function` : ''}`;
}

/** What a good build shows, before the meter is taken up. */
export function goodWords({ good, anchored }: Pick<ListedTouch, 'good' | 'anchored'>): string {
  if (good === 'sounds') return 'a tone';
  if (good === 'reads') return 'a number';
  const shown = good === 'either' ? 'a number or nothing' : 'nothing';
  return anchored ? shown : `${shown}, contact not proven`;
}

/** One line a touch, as it stands in a table to tick off. */
export function touchRows(list: TouchList, target: Assembly) {
  return list.touches.map((listed, index) => ({
    no: index + 1,
    mode: modeWords[listed.touch.mode],
    black: probeWords(listed.touch.black, target),
    red: probeWords(listed.touch.red, target),
    good: goodWords(listed),
    'would show': ruledOutBy(list, listed).join('; '),
  }));
}
