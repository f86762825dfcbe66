/** A part that was drawn up on the way goes onto the heap when the way leads back here. */
import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { useModelIndex } from '../../../api/stores';

export function usePutFromAddress(put: (id: string, revision: number) => Promise<void>): void {
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('put');
  const index = useModelIndex().data;
  const line = index?.find(({ id }) => id === wanted);
  useEffect(() => {
    if (!line) return;
    setSearch({}, { replace: true });
    void put(line.id, line.revision);
    // Once for each model: what it is put on changes with everything that is put on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [line?.id]);
}
