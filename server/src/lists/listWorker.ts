/** Works out one list of touches, away from the thread that answers requests. */
import { parentPort, workerData } from 'node:worker_threads';
import type { Build, ListWanted, Meter, PartModel, ProbeList } from '@junctor/core';
import { assemble, makeCatalogue, probeList } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';

export interface ListRequest extends ListWanted {
  build: Build;
  models: readonly PartModel[];
  meter: Meter;
}

export interface ListProgress {
  share: number;
  says: string;
}

export type ListNews = ListProgress | { made: ProbeList };

const { build, models, ...asked } = workerData as ListRequest;
const say = (news: ListNews) => parentPort!.postMessage(news);
const made = probeList(assemble(build, makeCatalogue(models)), {
  ...asked,
  solve: await loadSolver(),
  onProgress: (share, says) => say({ share, says }),
});
say({ made });
