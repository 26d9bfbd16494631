import { sheetDownload } from '$lib/server/sheetDownload';

export const GET = sheetDownload('strings', 'xlsx');
