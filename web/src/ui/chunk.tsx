/** A part of the program that is fetched when it is first wanted, and from then on is there at once. */
import type { ComponentType } from 'react';
import { use } from 'react';

interface Chunk<Name extends string> {
  load: () => Promise<Pages<Name>>;
  /** A page of it, by its name. */
  page: (name: Name) => ComponentType;
}

type Pages<Name extends string> = Readonly<Record<Name, ComponentType>>;

export function chunk<Name extends string>(fetch: () => Promise<Pages<Name>>): Chunk<Name> {
  let there: Pages<Name> | null = null;
  let coming: Promise<Pages<Name>> | null = null;
  const load = () =>
    (coming ??= fetch().then(
      (pages) => (there = pages),
      (error: unknown) => {
        // The network may be back by the next time.
        coming = null;
        throw error;
      },
    ));
  return {
    load,
    page: (name) =>
      function Page() {
        // What is there is drawn with the key that asked for it; only the first time is waited for.
        const Shown: ComponentType = (there ?? use(load()))[name];
        return <Shown />;
      },
  };
}
