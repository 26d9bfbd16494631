import type { ZodType } from 'zod';

/** One call of the API as a value: what its document says and what its route parses come from here. */
export interface Operation {
  readonly path: string;
  readonly method: 'get' | 'post';
  readonly summary: string;
  readonly request?: ZodType;
  readonly response: ZodType;
  readonly status?: '200' | '201';
  /** A body that is a file, not JSON. */
  readonly file?: string;
}
