/** Builds of the demo jobs, read from their JSON files. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PlanDraft, StoredDraft } from '@junctor/core';
import { wholeDraft } from '@junctor/core';

const folder = join(import.meta.dirname, '..', 'jobs');

/** A build of one demo job: as it came in, or where it shall end. */
export function demoPlan(id: string): PlanDraft {
  const { plan } = JSON.parse(readFileSync(join(folder, `${id}.json`), 'utf8')) as { plan: StoredDraft };
  return wholeDraft(plan);
}
