/** A build file from the person's disk: JSON, or the line and column where it is not. */
export type ReadResult = { ok: true; file: unknown } | { ok: false; problem: string };

export async function readBuildFile(file: File | null): Promise<ReadResult> {
  if (!file || file.size === 0) return { ok: false, problem: 'Choose a build file first' };
  const text = await file.text();
  return parseJson(text);
}

/** Parsed, or a problem with line and column. */
export function parseJson(text: string): ReadResult {
  try {
    return { ok: true, file: JSON.parse(text) as unknown };
  } catch (error) {
    const message = (error as Error).message;
    const position = Number(/position (\d+)/.exec(message)?.[1] ?? text.length);
    const before = text.slice(0, position).split('\n');
    return { ok: false, problem: `Not JSON at line ${before.length}, column ${before.at(-1)!.length + 1}: ${message}` };
  }
}
