/** What a request is refused with: a stable code, a line for a person, and where in the data it was. */
export interface ApiErrorBody {
  code: string;
  message: string;
  path: string | null;
  context: unknown;
}

export class ApiError extends Error {
  override name = 'ApiError';

  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: { path?: string | null; context?: unknown } = {},
  ) {
    super(message);
  }

  body(): ApiErrorBody {
    return { code: this.code, message: this.message, path: this.details.path ?? null, context: this.details.context ?? null };
  }
}
