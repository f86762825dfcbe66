/** What the server answers with. */
import type { JobSheet, QuadRecord } from '@junctor/core';

export interface Person {
  personId: string;
  deviceId: string;
  name: string;
  role: 'technician' | 'lead';
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
  jobs: readonly Pick<JobSheet, 'id' | 'kind' | 'title' | 'openedAt' | 'dueOn' | 'bench' | 'closedAt'>[];
}

export interface Tool {
  id: string;
  kind: 'meter' | 'limiter';
  name: string;
  doc: Record<string, unknown>;
}

/** A record with the name of whoever made it; kept ones carry the name of the person at the tablet. */
export type NamedRecord = QuadRecord & { person: string };
