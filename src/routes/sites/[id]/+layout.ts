import type { OpenedSite } from '$lib/schemas/site';
import { opened } from '$lib/client/open';
import type { LayoutLoad } from './$types';

/** A site is worked on in the browser, which knows its rules: the server sends what is stored, and draws nothing itself. */
export const ssr = false;

export const load: LayoutLoad = ({ params, fetch }) => opened<OpenedSite>(`/api/v1/sites/${params.id}`, fetch);
