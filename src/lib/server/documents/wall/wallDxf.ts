import { Colors, DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import { obstructionsOf } from '$core/mounting/clearances';
import { LEVEL_MM } from '$core/mounting/setOut/setOutSheet';
import type { WallOnPaper } from './wallOnPaper';

/** Layers of a wall's drawing, by what stands on them. */
export const DXF_LAYERS = {
  wall: 'WALL',
  obstructions: 'OBSTRUCTIONS',
  units: 'UNITS',
  bracketHoles: 'HOLES_BRACKET',
  safetyHoles: 'HOLES_SAFETY',
  lines: 'PLUMB_AND_LEVEL',
} as const;

/** Height of letters, and the circle of a hole of which no diameter is known, mm. */
const LETTER_MM = 60;
const HOLE_MM = 10;

/** The wall seen from the front as DXF, in millimetres from its lower left corner, on named layers. */
export function wallDxf({ wall, hung, sheet }: WallOnPaper): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const name of Object.values(DXF_LAYERS)) dxf.addLayer(name, Colors.White);
  const box = (layer: string, x: number, y: number, width: number, height: number, label = '') => {
    dxf.setCurrentLayerName(layer);
    const corners = [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ] as const;
    dxf.addLWPolyline(
      corners.map(([cx, cy]) => ({ point: point2d(cx, cy) })),
      { flags: LWPolylineFlags.Closed },
    );
    if (label) dxf.addText(point3d(x + LETTER_MM / 2, y + LETTER_MM / 2), LETTER_MM, label);
  };
  box(DXF_LAYERS.wall, 0, 0, wall.widthMm, wall.heightMm);
  for (const o of obstructionsOf(wall)) box(DXF_LAYERS.obstructions, o.xMm, o.yMm, o.widthMm, o.heightMm, o.label);
  for (const { at, size, unit } of hung)
    if (size.value) box(DXF_LAYERS.units, at.xMm, at.yMm, size.value.widthMm, size.value.heightMm, unit.tag);
  for (const h of sheet.holes) {
    const bracket = h.kind === 'bracket';
    dxf.setCurrentLayerName(bracket ? DXF_LAYERS.bracketHoles : DXF_LAYERS.safetyHoles);
    const at = point3d(h.xMm, h.yMm + LEVEL_MM);
    dxf.addCircle(at, ((bracket ? wall.anchorHoleMm : null) ?? HOLE_MM) / 2);
    dxf.addText(point3d(h.xMm + LETTER_MM / 3, h.yMm + LEVEL_MM + LETTER_MM / 3), LETTER_MM / 2, h.name);
  }
  dxf.setCurrentLayerName(DXF_LAYERS.lines);
  dxf.addLine(point3d(0, 0), point3d(0, wall.heightMm));
  dxf.addLine(point3d(0, LEVEL_MM), point3d(wall.widthMm, LEVEL_MM));
  return dxf.stringify();
}
