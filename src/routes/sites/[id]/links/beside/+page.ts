import { openedRecord } from '$lib/client/open';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params, fetch }) => openedRecord(params.id, fetch);
