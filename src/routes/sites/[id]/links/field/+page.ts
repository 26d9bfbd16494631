import { openedRecord } from '$lib/client/openRecord';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params, fetch }) => openedRecord(params.id, fetch);
