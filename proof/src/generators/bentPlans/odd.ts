/** Plans that may be true, however odd: a fact is never refused, and all is computed with it. */
import type { Bent } from './bend';
import { inBuild, everyWire, oneWire, at, padsOf, withoutSlots, contact } from './bend';

export const oddPlans: readonly Bent[] = [
  {
    what: 'a plug that was mated a hundred positions off',

    bend: inBuild(({ mates }, pick) => {
      const id = pick(Object.keys(mates));
      return { mates: { ...mates, [id]: { ...mates[id]!, shift: 99 } } };
    }),
  },
  {
    what: 'a plug turned over',

    bend: inBuild(({ mates }, pick) => {
      const id = pick(Object.keys(mates));
      return { mates: { ...mates, [id]: { ...mates[id]!, mirrored: true } } };
    }),
  },
  {
    what: 'a wire from a pad to the same pad',

    bend: oneWire(({ ends }) => ({ ends: [ends[0], ends[0]] })),
  },
  {
    what: 'every wire from air to air',

    bend: inBuild((build) =>
      everyWire(build, () => ({
        ends: [
          { at: { on: 'air', end: 'bare' }, by: 'none' },
          { at: { on: 'air', end: 'bare' }, by: 'none' },
        ],
      })),
    ),
  },
  {
    what: 'wires without length',

    bend: inBuild((build) => everyWire(build, () => ({ lengthMm: 0 }))),
  },
  {
    what: 'wires of unknown length',

    bend: inBuild((build) => everyWire(build, () => ({ lengthMm: null }))),
  },
  { what: 'wires as thin as hair', bend: inBuild((build) => everyWire(build, () => ({ awg: 40 }))) },
  {
    what: 'two wires in one cavity',

    bend: inBuild(({ wires, housings }, pick) => {
      const cavities = Object.values(wires).flatMap(({ ends }) => ends.filter((end) => end.at.on === 'cavity'));
      if (Object.keys(housings).length === 0 || cavities.length === 0) return {};
      const wire = pick(Object.values(wires));
      return { wires: { ...wires, [wire.id]: { ...wire, ends: [pick(cavities), wire.ends[1]] } } };
    }),
  },
  {
    what: 'a contact of a pad with itself',

    bend: inBuild((build, pick) => {
      const pad = pick(padsOf(build));
      return { contacts: [contact(pad, pad)] };
    }),
  },
  {
    what: 'everything touches everything',

    bend: inBuild((build) => ({
      contacts: padsOf(build)
        .slice(1)
        .map((pad, index) => contact(padsOf(build)[index]!, pad)),
    })),
  },
  {
    what: 'every wire of a purpose taken out',

    bend: (draft, pick) => {
      const { wires: gone } = pick(draft.links.filter(({ wires }) => wires.length > 0));
      const left = Object.entries(draft.target.wires).filter(([id]) => !gone.includes(id));
      return { ...draft, target: { ...draft.target, wires: Object.fromEntries(left) } };
    },
  },
  {
    what: 'no battery lead',
    parts: true,

    bend: (draft) => ({
      ...draft,
      wishes: [],
      links: [],
      target: withoutSlots(draft.target, (slot) => slot.startsWith('BAT')),
    }),
  },
  {
    what: 'two battery leads',
    parts: true,

    bend: inBuild(({ slots }) => ({ slots: { ...slots, BAT2: slots.BAT! } })),
  },
  {
    what: 'motors alone',
    parts: true,

    bend: (draft) => ({
      ...draft,
      front: null,
      wishes: [],
      links: [],
      target: withoutSlots(draft.target, (slot) => !/^M\d/.test(slot)),
    }),
  },
  {
    what: 'nothing at all',
    parts: true,

    bend: (draft) => ({ ...draft, front: null, wishes: [], links: [], target: withoutSlots(draft.target, () => true) }),
  },
  {
    what: 'every part loose',
    parts: true,

    bend: inBuild(({ slots }) => ({
      slots: Object.fromEntries(Object.entries(slots).map(([slot, fitted]) => [slot, { ...fitted, pose: null }])),
    })),
  },
  {
    what: 'every part in one point',
    parts: true,

    bend: inBuild(({ slots }) => ({
      slots: Object.fromEntries(
        Object.entries(slots).map(([slot, fitted]) => [
          slot,
          { ...fitted, pose: { place: 'nowhere', atMm: [0, 0, 0] as const, yawDeg: 7200, face: 'down' as const } },
        ]),
      ),
    })),
  },
  {
    what: 'a board that feeds itself',

    bend: inBuild((build, pick) => {
      const pads = padsOf(build);
      const pad = pick(pads);
      const same = pads.filter((ref) => ref.split('.')[0] === pad.split('.')[0] && ref !== pad);
      const wire = Object.values(build.wires)[0]!;
      return same.length === 0
        ? {}
        : {
            wires: {
              ...build.wires,
              LOOP: { ...wire, id: 'LOOP', from: 'stock' as const, ends: [at(pad), at(pick(same))] },
            },
          };
    }),
  },
  { what: 'a pack of ninety-nine cells', parts: true, bend: (draft) => ({ ...draft, cells: [1, 99] }) },
];
