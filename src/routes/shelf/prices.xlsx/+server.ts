import { priceDownload } from '$lib/server/sheetDownload';

export const GET = priceDownload('xlsx');
