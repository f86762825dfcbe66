/** What Compose says of a heap, in a sentence and a line under it. */
import type { Flying, Lack, WayOut } from '@junctor/core';
import { capital, packWords } from '@junctor/core';
import type { Composing } from './useComposer';

interface Said {
  composing: Composing;
  lacks: readonly Lack[];
  isEmpty: boolean;
  isChanged: boolean;
}

export function sentenceFor({ composing, lacks, isEmpty, isChanged }: Said): string {
  if (isEmpty) return 'What lies on the bench for this aircraft?';
  if (lacks[0]) return capital(lacks[0].says);
  if (!isChanged) return 'Which part comes on, goes, or gives way to another?';
  if (composing.is === 'running') return 'Putting it together';
  if (composing.is === 'failed') return 'It could not be worked out';
  if (composing.is === 'idle') return 'By count it is all here. Put it together?';
  switch (composing.made.is) {
    case 'clash':
      return `It cannot be: ${composing.made.conflict.why}`;
    case 'gave up':
      return 'No wiring was found that every rule lets pass';
    case 'lacking':
      return capital(composing.made.lacks[0]!.says);
    case 'composed':
      return composing.made.misfit
        ? `No room: ${composing.made.misfit.conflict.why}`
        : 'It can be wired, and all of it has room. Take this plan?';
  }
}

export function underFor({ composing, lacks, isEmpty }: Said, flying: Flying | null): string {
  if (isEmpty) return 'Type what it is called; “4 x” before a name takes four. Enter puts it on.';
  if (lacks.length > 1) return `${lacks.length} things are open; the rest stands between the hands.`;
  if (composing.is === 'failed') return composing.why;
  if (composing.is !== 'answered')
    return 'Arrows walk the heap. A puts a part on, 8 takes another in its place, 0 leaves it out.';
  const { made } = composing;
  if (made.is === 'gave up') return made.why;
  if (made.is === 'clash') {
    const { parts, wishes } = made.conflict;
    const members = [...parts, ...wishes];
    const which =
      members.length > 1
        ? `${members.join(', ')} cannot all be, and can without any one of them.`
        : `${members[0]} cannot be among these.`;
    return `${which} ${keysFor(made.waysOut)}`;
  }
  if (made.is !== 'composed') return '';
  if (made.misfit) return `${keysFor(made.misfit.waysOut)} Or take it as it is, and try it dry at the layout.`;
  const [first] = made.planned.findings;
  const pack = flying?.packAt ? `The pack: ${packWords(flying.packAt)}. ` : '';
  return first ? `${pack}To know: ${first.message}` : `${pack}No rule objects.`;
}

function keysFor(ways: readonly WayOut[]): string {
  if (ways.length === 0) return 'No way out is known with what the catalogue has.';
  return ways.length === 1 ? 'Key 1 takes a way out.' : `Keys 1 to ${ways.length} take a way out.`;
}
