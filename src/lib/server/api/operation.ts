import type { ZodObject, ZodType } from 'zod';

/** One call of the API as a value: what its document says and what its route parses come from here. */
export interface Operation {
  readonly path: string;
  readonly method: 'get' | 'post';
  readonly summary: string;
  /** What may be asked behind the path. */
  readonly query?: ZodObject;
  readonly request?: ZodType;
  readonly response: ZodType;
  readonly status?: '200' | '201';
  /** A body that is a file, not JSON. */
  readonly file?: string;
}
