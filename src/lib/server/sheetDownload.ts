import { download, fileName } from './download';
import { inThread } from './heavy/pool';

const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

/** A list of a site as a file to keep. */
export const sheetDownload =
  (of: 'strings' | 'runs', as: keyof typeof TYPES) =>
  ({ params, request }: { params: { id: string }; request: Request }) =>
    download(async () => {
      const { site, body } = await inThread('writeSheet', { siteId: params.id, of, as }, request.signal);
      return { name: `${fileName(site)}-${of}.${as}`, type: TYPES[as], body };
    });
