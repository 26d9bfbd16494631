import { sheetDownload } from '$lib/server/sheetDownload';

export const GET = sheetDownload('runs', 'xlsx');
