import { answer } from '$lib/server/api/answer';
import { bodyBytes } from '$lib/server/body';
import { Problem } from '$lib/server/problem';
import { loadDesign } from '$lib/server/services/designs';
import { LIST_MAX_BYTES, readList } from '$lib/server/services/stringList';
import type { RequestHandler } from './$types';

/** Reads a list against the design and answers with the strings it describes, or with every row that is wrong. Writes nothing. */
export const POST: RequestHandler = ({ params, request, locals }) =>
  answer(async () => {
    const { design } = await loadDesign(locals.context, params.id);
    const { strings, errors } = await readList(design, await bodyBytes(request, LIST_MAX_BYTES));
    if (strings) return { strings };
    throw new Problem(
      422,
      'Rows with errors',
      `${errors.length} ${errors.length === 1 ? 'row is' : 'rows are'} wrong; nothing was taken.`,
      errors.map((e) => ({
        pointer: `/rows/${e.row}${e.column ? `/${e.column}` : ''}`,
        detail: `Row ${e.row}${e.column ? `, ${e.column}` : ''}: ${e.text}`,
      })),
    );
  });
