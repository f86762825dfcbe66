/**
 * A build as it was made: without what was found touching. What a good one reads follows from this; a short that was
 * recorded is never what is expected.
 */
import type { Assembly } from '../assembly/assembly';
import { assemble, remembered } from '../assembly/assembly';

export const sound: (assembly: Assembly) => Assembly = remembered((assembly) =>
  assembly.build.contacts.length === 0 ? assembly : assemble({ ...assembly.build, contacts: [] }, assembly.catalogue),
);
