import type { HandOver } from '../services/handOver';
import { acSchedulePage, torquePage } from './pack/ac';
import { oneLinePage } from './pack/oneLine';
import { signaturesPage, unitTestsPage } from './pack/proving';
import { limitsPage, openPointsPage, sitePage } from './pack/site';
import { stringDrawingPage } from './pack/stringDrawing';
import { stringMapPage, stringTestsPage } from './pack/strings';
import { Sheets } from './pdf';

/** The pages in their order: one file a discipline beside this. */
const PAGES: readonly ((sheets: Sheets, h: HandOver) => void)[] = [
  sitePage,
  openPointsPage,
  limitsPage,
  oneLinePage,
  stringDrawingPage,
  stringMapPage,
  acSchedulePage,
  torquePage,
  stringTestsPage,
  unitTestsPage,
  signaturesPage,
];

/** The hand-over as one PDF: real text, numbered pages, built from the released design and the live record. */
export async function handOverPack(h: HandOver, madeAt = new Date()): Promise<Buffer> {
  const { summary: s } = h;
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const released = h.release ? `release ${h.release.letter}` : 'NOT RELEASED';
  const sheets = new Sheets({
    title: `Hand-over ${s.name}`,
    subject: 'Hand-over of a PV site',
    footer: `${s.name} · ${released} · made ${made} UTC · Bolt Yard`,
  });
  sheets.title(s.name, `Hand-over · ${s.place || 'place not known'} · ${released}`);
  for (const page of PAGES) page(sheets, h);
  return sheets.bytes();
}
