import { z } from 'zod';

export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    detail: z.string(),
    errors: z
      .array(
        z.object({
          pointer: z.string(),
          detail: z.string(),
          in: z.enum(['path', 'query', 'method', 'header']).optional(),
        }),
      )
      .optional(),
  })
  .meta({
    id: 'Problem',
    description:
      'RFC 9457 problem details; pointer is an RFC 6901 JSON Pointer into the body of the request, or into what `in` names',
  });
export type ProblemDocument = z.infer<typeof problemSchema>;
