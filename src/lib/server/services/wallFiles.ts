import Papa from 'papaparse';
import { mountingResults } from '$core/mounting/results';
import { setOutSheet } from '$core/mounting/setOut/setOutSheet';
import { liftCard } from '../documents/wall/liftCard';
import { wallDxf } from '../documents/wall/wallDxf';
import type { Paper } from '../documents/pdf';
import type { WallOnPaper } from '../documents/wall/wallOnPaper';
import { wallSheet } from '../documents/wall/wallSheet';
import { Problem } from '../problem';
import type { Context } from './context';
import { loadDesign } from './designs';

export type WallFileKind = 'pdf' | 'dxf' | 'csv';

/** A wall of a site as it goes to paper. Problem 404 where the site has no such wall. */
async function wallOnPaper(context: Context, siteId: string, wallId: string): Promise<WallOnPaper> {
  const { design, revision } = await loadDesign(context, siteId);
  const wall = design.walls.find((w) => w.id === wallId);
  if (!wall)
    throw new Problem(404, 'No such wall', `There are: ${design.walls.map((w) => w.id).join(', ') || 'none'}.`, [
      { in: 'path', pointer: '/wall', detail: 'must be the id of a wall of the site' },
    ]);
  const hung = mountingResults(design).hung.filter((h) => h.wall === wall);
  return { site: design.survey.name, state: `revision ${revision}`, wall, hung, sheet: setOutSheet(hung) };
}

/** The set-out of a wall as a file: PDF to scale on paper of a size, DXF in millimetres, or CSV. */
export async function wallFile(context: Context, siteId: string, wallId: string, as: WallFileKind, size: Paper = 'A4') {
  const paper = await wallOnPaper(context, siteId, wallId);
  const name = `${paper.site} ${paper.wall.label} set-out`;
  if (as === 'pdf') return { name, body: await wallSheet(paper, context.now(), size) };
  return { name, body: as === 'dxf' ? wallDxf(paper) : setOutCsv(paper) };
}

/** The lift of a unit as one page. Problem 404 where no such unit hangs on a wall. */
export async function liftFile(context: Context, siteId: string, inverterId: string) {
  const { design, revision } = await loadDesign(context, siteId);
  const unit = mountingResults(design).hung.find((h) => h.unit.id === inverterId);
  if (!unit)
    throw new Problem(404, 'No such unit on a wall', 'Hang it on a wall first: the way up is that of its wall.', [
      { in: 'path', pointer: '/unit', detail: 'must be the id of an inverter that hangs on a wall' },
    ]);
  const site = design.survey.name;
  const body = await liftCard({ site, state: `revision ${revision}`, unit }, context.now());
  return { name: `${site} lift of ${unit.unit.tag}`, body };
}

const setOutCsv = ({ sheet, wall }: WallOnPaper): string =>
  Papa.unparse(
    sheet.holes.map((h) => ({
      hole: h.name,
      unit: h.tag,
      kind: h.kind,
      x_from_plumb_line_mm: h.xMm,
      y_from_level_line_mm: h.yMm,
      diameter_mm: h.kind === 'bracket' ? wall.anchorHoleMm : null,
      depth_mm: h.kind === 'bracket' ? wall.anchorDepthMm : null,
    })),
  );
