/** What the server answers with. */
import type { Plan, QuadRecord } from '@junctor/core';

export interface Person {
  personId: string;
  deviceId: string;
  name: string;
  role: 'technician' | 'lead';
}

export interface Job {
  id: string;
  quadId: string;
  quad: string;
  customer: string;
  kind: string;
  title: string;
  openedAt: string;
  dueOn: string | null;
  bench: number;
  closedAt: string | null;
  plan: Plan;
}

export interface FloorLine {
  jobId: string;
  quadId: string;
  quad: string;
  customer: string;
  title: string;
  bench: number;
  dueOn: string | null;
  motors: readonly { slot: string; fitted: boolean }[];
  bodyFitted: boolean;
  next: string | null;
  nextMinutes: number;
  leftMinutes: number;
  done: number;
  all: number;
  against: readonly string[];
}

export interface Customer {
  id: string;
  name: string;
  contact: string;
}

export interface QuadLine {
  id: string;
  name: string;
  customerId: string;
  customer: string;
  openJobId: string | null;
}

export interface Quad {
  id: string;
  name: string;
  customer: string;
  logSeq: number;
  jobs: readonly Pick<Job, 'id' | 'kind' | 'title' | 'openedAt' | 'dueOn' | 'bench' | 'closedAt'>[];
}

export interface Tool {
  id: string;
  kind: 'meter' | 'limiter';
  name: string;
  doc: Record<string, unknown>;
}

/** A record with the name of whoever made it; kept ones carry the name of the person at the tablet. */
export type NamedRecord = QuadRecord & { person: string };
