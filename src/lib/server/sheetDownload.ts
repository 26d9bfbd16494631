import { PRICE_COLUMNS, priceRows } from '$core/ac/candidates/priceList';
import { download, fileName } from './download';
import { inThread } from './heavy/pool';
import { readShelf } from './services/shelf';
import { sheetAsCsv, sheetAsXlsx } from './services/sheetFile';

const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

/** The company's prices as a file to keep; an empty table where there are none. */
export const priceDownload =
  (as: keyof typeof TYPES) =>
  ({ locals }: { locals: App.Locals }) =>
    download(async () => {
      const { prices } = await readShelf(locals.context);
      const sheet = { title: 'Prices', columns: PRICE_COLUMNS, rows: prices ? priceRows(prices) : [] };
      const body = as === 'csv' ? sheetAsCsv(sheet) : await sheetAsXlsx(sheet);
      return { name: `prices.${as}`, type: TYPES[as], body };
    });

/** A list of a site as a file to keep. */
export const sheetDownload =
  (of: 'strings' | 'runs', as: keyof typeof TYPES) =>
  ({ params, request }: { params: { id: string }; request: Request }) =>
    download(async () => {
      const { site, body } = await inThread('writeSheet', { siteId: params.id, of, as }, request.signal);
      return { name: `${fileName(site)}-${of}.${as}`, type: TYPES[as], body };
    });
