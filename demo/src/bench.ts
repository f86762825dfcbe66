/** What a virtual technician works with, and how far the work is. */
import type { Catalogue, JobState, Meter, Plan, QuadRecord, TouchList } from '@junctor/core';

export interface Bench {
  quadId: string;
  jobId: string;
  plan: Plan;
  /** The touches of what is planned. */
  list: TouchList;
  catalogue: Catalogue;
  meter: Meter;
  limiterId: string;
  personId: string;
  deviceId: string;
  packV: number;
  /** A new id for a record made at this time. */
  newId: (atMs: number) => string;
}

export interface Walk {
  records: QuadRecord[];
  /** The technician's clock, ms since 1970. */
  nowMs: number;
  state: JobState;
}
