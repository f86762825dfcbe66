/**
 * What can be seen only while a plug is apart and everything else mated: ways beside a fault are gone then, and pins
 * can be touched. The fewest plugs are taken apart that show all of it that any shows.
 */
import type { Assembly } from '../../../facts/assembly/assembly';
import { assemble } from '../../../facts/assembly/assembly';
import type { Touch } from '../../../facts/log/reading';
import type { TerminalRef } from '../../../facts/terms/names';
import type { Meter } from '../../../facts/terms/meter';
import type { Solve } from '../../../facts/terms/solver';
import { mainLeads } from '../../../facts/wiring/mainLeads';
import type { Branch } from '../../../physics/circuit/compile';
import { fewest } from '../fewest';
import type { ApartTouches, ListedTouch } from '../touchList';
import type { Candidate } from './candidates';
import { candidatesFor } from './candidates';
import { coverOf } from './cover';
import { evidenceOf } from './evidence';
import { goodCopper } from './goodCopper';
import { inOrder, secondsOf } from './inOrder';
import type { Unseen } from './looseParts';
import { simulator } from './simulate';

interface With {
  meter: Meter;
  solve: Solve;
  /** What is asked with everything mated: it is not asked in the same words once more. */
  asked: readonly Touch[];
}

export function plugsApart(
  assembly: Assembly,
  unseen: readonly Unseen[],
  given: With,
): Readonly<Record<string, ApartTouches>> {
  if (unseen.length === 0) return {};
  const stages = Object.keys(assembly.build.mates).map((mate) => stageWithout(assembly, mate, { unseen, given }));
  const rows = unseen.map(({ place }) =>
    stages.flatMap(({ seenBy }, index) => (seenBy.get(place)?.length ? [index] : [])),
  );
  const chosen = fewest({ rows: rows.filter((row) => row.length > 0), always: [], standsOn: () => [] });
  const left = new Set(unseen.map(({ place }) => place));
  return Object.fromEntries(
    [...chosen].flatMap((index) => {
      const { mate, seenBy, list } = stages[index]!;
      const own = [...left].filter((place) => seenBy.get(place)?.length);
      for (const place of own) left.delete(place);
      const touches = list(own);
      return touches ? [[mate, touches]] : [];
    }),
  );
}

interface Stage {
  mate: string;
  /** For each fault, by its place in the list of all, the candidates that show it. */
  seenBy: ReadonlyMap<number, readonly number[]>;
  list: (places: readonly number[]) => ApartTouches | null;
}

function stageWithout(
  whole: Assembly,
  mate: string,
  { unseen, given: { meter, solve, asked } }: { unseen: readonly Unseen[]; given: With },
): Stage {
  const { [mate]: _apart, ...mates } = whole.build.mates;
  const assembly = assemble({ ...whole.build, mates }, whole.catalogue);
  const { circuit, copper, pieceOf } = goodCopper(assembly);
  const branches = new Map(circuit.branches.map((branch) => [branch.id, branch]));
  const nodes = new Set(circuit.nodes);
  // A fault of the plug itself is not there while it is apart.
  const own = unseen.filter(({ defect: { edits } }) =>
    edits.every((edit) => ('cut' in edit ? branches.has(edit.cut) : edit.bridge.every((node) => nodes.has(node)))),
  );
  const defects = own.map(({ defect }) => defect);
  const all = candidatesFor(assembly, defects);
  const touchable = new Set(all.all.flatMap(({ touch }) => [touch.black, touch.red].map(pieceOf)));
  const isLead = new Set(leadsOf(assembly).map(pieceOf));
  /** The copper at its ends that can be touched; where that is one piece alone, also what is one element away. */
  const nearEach = defects.map(({ edits }) => {
    const ends = edits.flatMap((edit) => ('bridge' in edit ? edit.bridge : endsOf(branches.get(edit.cut)!)));
    const own = new Set(ends.map((node) => copper.pieceOf(node)));
    if ([...own].filter((piece) => touchable.has(piece)).length > 1) return own;
    const isFrom = (piece: number) => own.has(piece) && !isLead.has(piece);
    return new Set([...own, ...copper.inners.flatMap(({ a, b }) => (isFrom(a) || isFrom(b) ? [a, b] : []))]);
  });
  const words = new Set(
    asked.flatMap(({ black, red, mode }) => [`${black} ${red} ${mode}`, `${red} ${black} ${mode}`]),
  );
  const isAsked = ({ black, red, mode }: Touch) => words.has(`${black} ${red} ${mode}`);
  const isNeeded = ({ touch }: Candidate) => {
    const [black, red] = [pieceOf(touch.black), pieceOf(touch.red)];
    return !isAsked(touch) && nearEach.some((pieces) => pieces.has(black) && pieces.has(red));
  };
  const candidates = { ...all, all: all.all.filter(isNeeded) };
  const { good, shownBy } = simulator(circuit, { defects, meter })(candidates.all);
  const evidence = evidenceOf(assembly, { defects, candidates, good, shownBy });
  const { seenBy, anchors, isAnchored } = evidence;
  const placeOf = (index: number) => own[index]!.place;
  const shows = new Map(seenBy.map((touches, index) => [placeOf(index), touches.filter(isAnchored)]));
  return {
    mate,
    seenBy: shows,
    list: (places) => {
      const cover = coverOf(
        { candidates: evidence.candidates, wanted: places.map((place) => shows.get(place)!), anchors },
        solve,
      );
      if (cover.is === 'gave up') return null;
      const order = inOrder(cover.touches, { candidates: evidence.candidates, good, anchors, contacts: [], mains: [] });
      const touches = order.map(({ place, way: { black, red } }): ListedTouch => ({
        touch: { ...candidates.all[place]!.touch, black, red },
        good: good(place),
        anchored: true,
        across: null,
        shows: places.filter((fault) => shows.get(fault)!.includes(place)),
      }));
      return { touches, seconds: secondsOf(order, evidence.candidates) };
    },
  };
}

const endsOf = ({ a, b }: Branch) => [a, b];

function leadsOf(assembly: Assembly): TerminalRef[] {
  const leads = mainLeads(assembly);
  return leads ? [leads.plus, leads.minus] : [];
}
