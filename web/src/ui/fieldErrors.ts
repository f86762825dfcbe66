/** What the server refused, told beside the field it is about. */
import { ApiError } from '../api/client';

export interface FieldErrors {
  /** The mistake of a field, or null. */
  of(path: string): string | null;
  /** What belongs to no field shown. */
  rest(shown: readonly string[]): string | null;
}

export function fieldErrors(error: unknown): FieldErrors {
  const message = error instanceof Error ? error.message : null;
  const mistakes = error instanceof ApiError ? mistakesOf(error) : [];
  return {
    of: (path) => mistakes.find((one) => one.path === path)?.message ?? null,
    rest: (shown) => (message && !mistakes.some(({ path }) => shown.includes(path)) ? message : null),
  };
}

function mistakesOf({ refusal }: ApiError): { path: string; message: string }[] {
  const { mistakes } = (refusal.context ?? {}) as { mistakes?: { path: string; message: string }[] };
  return mistakes ?? (refusal.path ? [{ path: refusal.path, message: refusal.message }] : []);
}
