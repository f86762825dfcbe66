/** Plans that name what does not exist, or say what cannot be meant: refused, in words that name the place. */
import type { Bent } from './bend';
import { inBuild, oneWire, withMates, at, padsOf, aSocket, contact } from './bend';

export const refusedPlans: readonly Bent[] = [
  {
    what: 'a part that nobody knows',

    bend: inBuild(({ slots }, pick) => {
      const slot = pick(Object.keys(slots));
      return { slots: { ...slots, [slot]: { ...slots[slot]!, model: 'no-such-part' } } };
    }),
  },
  {
    what: 'a revision that nobody has seen',

    bend: inBuild(({ slots }, pick) => {
      const slot = pick(Object.keys(slots));
      return { slots: { ...slots, [slot]: { ...slots[slot]!, revision: 77 } } };
    }),
  },
  {
    what: 'a wire to a pad that is not there',

    bend: oneWire(({ ends }) => ({ ends: [at('FC.NOWHERE'), ends[1]] })),
  },
  {
    what: 'a wire to a part that is not there',

    bend: oneWire(({ ends }) => ({ ends: [at('NOBODY.5V'), ends[1]] })),
  },
  {
    what: 'a contact with a pad that is not there',

    bend: inBuild((build, pick) => ({ contacts: [contact(pick(padsOf(build)), 'FC.NOWHERE')] })),
  },
  {
    what: 'a tail of a pad that is not there',

    bend: oneWire(() => ({ from: 'tail', tailOf: 'NOBODY.PLUS' })),
  },
  {
    what: 'glue on a pad that is not there',

    bend: inBuild(() => ({ hidden: { 'NOBODY.5V': 'glue' } })),
  },
  { what: 'a pad heated that is not there', bend: inBuild(() => ({ heats: { 'NOBODY.5V': 3 } })) },
  {
    what: 'a link to a port that is not there',

    bend: (draft) => ({
      ...draft,
      links: [
        ...draft.links,
        {
          id: 'odd',
          purpose: 'control link',
          ends: [
            { slot: 'FC', port: 'NOWHERE' },
            { slot: 'NOBODY', port: 'X' },
          ],
          wires: [],
          set: {},
        },
      ],
    }),
  },
  {
    what: 'a wish of a part that is not there',

    bend: (draft) => ({
      ...draft,
      wishes: [{ id: 'odd', purpose: 'receiver', of: 'NOBODY', must: true, lossIfDropped: 1, ways: ['serial'] }],
    }),
  },
  {
    what: 'a choice for a pad that is not there',

    bend: (draft) => ({ ...draft, pinned: [{ what: 'terminal', of: 'NOBODY.5V', value: 'FC.NOWHERE' }] }),
  },
  { what: 'a front that is not there', bend: (draft) => ({ ...draft, front: 'NOBODY' }) },
  { what: 'fewest cells above most', bend: (draft) => ({ ...draft, cells: [6, 4] }) },
  { what: 'no cell', bend: (draft) => ({ ...draft, cells: [0, 0] }) },
  {
    what: 'a plug mated to itself',

    bend: withMates((build, pick) => {
      const side = aSocket(build, pick);
      return { odd: { a: side, b: side } };
    }),
  },
  {
    what: 'a housing mated to itself',

    bend: withMates(() => ({ odd: { a: { housing: 'RING1' }, b: { housing: 'RING1' } } })),
  },
  {
    what: 'a socket with two plugs',

    bend: withMates((build, pick) => ({ odd: { a: aSocket(build, pick), b: { housing: 'RING1' } } })),
  },
  {
    what: 'plugs in a ring',

    bend: withMates(() => ({
      odd1: { a: { housing: 'RING1' }, b: { housing: 'RING2' } },
      odd2: { a: { housing: 'RING2' }, b: { housing: 'RING3' } },
      odd3: { a: { housing: 'RING3' }, b: { housing: 'RING1' } },
    })),
  },
  {
    what: 'a choice for what is no pad',
    bend: (draft) => ({ ...draft, pinned: [{ what: 'colour', of: 'receiver RX', value: 'red' }] }),
  },
];
