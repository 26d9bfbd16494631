import { DxfWriter, Units, point3d } from '@tarikjabiri/dxf';
import { describe, expect, it } from 'vitest';
import { DXF_UNITS, readDxf, scaledDrawing } from './dxfLines';

/** A drawing as another library writes it: a hall of 30 by 12 with a round tank of radius 2 and a door block twice. */
function drawing(units: number | null): string {
  const dxf = new DxfWriter();
  dxf.setUnits((units ?? Units.Unitless) as never);
  dxf.addLine(point3d(100, 50), point3d(130, 50));
  dxf.addLWPolyline([{ point: { x: 130, y: 50 } }, { point: { x: 130, y: 62 } }, { point: { x: 100, y: 62 } }]);
  dxf.addCircle(point3d(110, 56), 2);
  const door = dxf.addBlock('DOOR');
  door.addLine(point3d(0, 0), point3d(1, 0));
  dxf.addInsert('DOOR', point3d(104, 50), { rotationAngle: 90 });
  return dxf.stringify();
}

describe('a DXF drawing to trace over', () => {
  it('is read in its unit, from its own lower left corner, millimetres kept', () => {
    const read = readDxf(drawing(Units.Meters));
    expect(read.unit?.name).toBe('m');
    const { widthM, heightM, xM, yM, lines } = scaledDrawing(read, read.unit!);
    expect([widthM, heightM, xM, yM]).toEqual([30, 12, 100, 50]);
    expect(lines[0]).toEqual([0, 0, 30, 0]);
    expect(lines[1]).toEqual([30, 0, 30, 12, 0, 12]);
    const tank = lines[2] ?? [];
    for (let i = 0; i < tank.length; i += 2)
      expect(Math.hypot((tank[i] ?? 0) - 10, (tank[i + 1] ?? 0) - 6)).toBeCloseTo(2, 9);
    const leaf = lines[3] ?? [];
    expect(leaf[0]).toBeCloseTo(4, 9);
    expect(leaf[2]).toBeCloseTo(4, 9);
    expect(leaf[3]).toBeCloseTo(1, 9);
  });

  it('that says no unit is asked for one, and is a thousandth in millimetres of what it is in metres', () => {
    const read = readDxf(drawing(null));
    expect(read.unit).toBeNull();
    const unit = (name: string) => DXF_UNITS.find((u) => u.name === name)!;
    expect(scaledDrawing(read, unit('ft')).widthM).toBeCloseTo(30 * 0.3048, 9);
    expect(() => scaledDrawing(read, unit('mm'))).toThrow('It would be 0.03 × 0.012 m in mm: 1 to 20 000 m is taken.');
    expect(() => scaledDrawing(read, unit('km'))).toThrow('Look at the scale');
  });

  it.each([
    ['nothing', ''],
    ['a picture', '\u0089PNG\r\n\u001a\n'],
    ['a page', '<html></html>'],
  ])('that is %s is refused in plain words', (_, text) => {
    expect(() => readDxf(text)).toThrow(/no DXF drawing that can be read|No lines stand/);
  });

  it('of text alone has nothing to trace over', () => {
    const dxf = new DxfWriter();
    dxf.addText(point3d(0, 0), 1, 'no lines');
    expect(() => readDxf(dxf.stringify())).toThrow('No lines stand in this drawing');
  });
});
