/** What a batch of records is held against as it arrives: the jobs they are of, the meters of the shop. */
import type { Judged, JobSheet, LogState, Meter } from '@junctor/core';
import { judgeArrival } from '@junctor/core';
import type { Queries } from '../database/Database';
import { findJob } from '../jobs/repository';
import type { SentRecord } from '../log/repository';
import { toolsIn } from '../tools/repository';

export interface Arrivals {
  /** The job of a record, read once. @throws {ApiError} 404 when there is no such job. */
  jobOf(id: string): Promise<JobSheet>;
  /** What the server finds of a record on this log. */
  judge(record: SentRecord, log: LogState): Promise<Judged | null>;
}

export function makeArrivals(queries: Queries, quadId: string, arrivedAt: string): Arrivals {
  const jobs = new Map<string, Promise<JobSheet>>();
  let meters: Promise<ReadonlyMap<string, Meter>> | null = null;
  const jobOf = (id: string) => {
    if (!jobs.has(id)) jobs.set(id, findJob(queries, id));
    return jobs.get(id)!;
  };
  return {
    jobOf,
    judge: async (record, log) => {
      const { plan } = await jobOf(record.jobId);
      const known = await (meters ??= metersOf(queries));
      return judgeArrival({ ...record, quadId, seq: null, arrivedAt }, { log, plan, meters: known, arrivedAt });
    },
  };
}

async function metersOf(queries: Queries): Promise<ReadonlyMap<string, Meter>> {
  const meters = (await toolsIn(queries)).filter(({ kind }) => kind === 'meter');
  return new Map(meters.map(({ id, name, doc }) => [id, { ...(doc as Omit<Meter, 'id' | 'name'>), id, name }]));
}
