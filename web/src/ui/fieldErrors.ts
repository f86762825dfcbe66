/** What the server refused, told beside the field it is about. */
import { ApiError } from '../api/client';

interface FieldErrors {
  /** The mistake of a field, or null. */
  of(path: string): string | null;
  /** What belongs to no field shown; of a file, with its place in it. */
  rest(shown: readonly string[]): string | null;
}

export function fieldErrors(error: unknown): FieldErrors {
  const message = error instanceof Error ? error.message : null;
  const mistakes = error instanceof ApiError ? mistakesOf(error) : [];
  return {
    of: (path) => mistakes.find((mistake) => mistake.path === path)?.message ?? null,
    rest: (shown) => {
      if (!message || mistakes.some(({ path }) => shown.includes(path))) return null;
      const [first] = mistakes;
      return first?.path.includes('.') ? `${first.path}: ${message}` : message;
    },
  };
}

function mistakesOf({ refusal }: ApiError): { path: string; message: string }[] {
  const { mistakes } = (refusal.context ?? {}) as { mistakes?: { path: string; message: string }[] };
  return mistakes ?? (refusal.path ? [{ path: refusal.path, message: refusal.message }] : []);
}
