/** A refusal on its way to the client. */
import type { Refusal } from '@junctor/core';

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

  body(): Refusal {
    return {
      code: this.code,
      message: this.message,
      path: this.details.path ?? null,
      context: this.details.context ?? null,
    };
  }
}
