/** Whether a layout keeps the rules of a wall, asked of the rules alone: it knows nothing of how layouts are found. */

export interface HungUnit {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  readonly besideMm: number;
  readonly stackedMm: number;
}
export interface WallAround {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftOpen: boolean;
  readonly rightOpen: boolean;
  readonly floorMinMm: number;
  readonly topMostMm: number | null;
  readonly obstructions: readonly {
    readonly label: string;
    readonly xMm: number;
    readonly yMm: number;
    readonly widthMm: number;
    readonly heightMm: number;
    readonly marginMm: number;
    readonly blocksAir: boolean;
  }[];
  readonly gaps: 'larger' | 'sum';
}

/** Every rule that is broken, in words, with the numbers of the units from 1. Empty: the layout is legal. */
export function verifyWall(wall: WallAround, units: readonly HungUnit[]): string[] {
  const broken: string[] = [];
  units.forEach((u, i) => {
    const name = `unit ${i + 1}`;
    const top = u.yMm + u.heightMm;
    const end = u.xMm + u.widthMm;
    if (u.xMm < 0 || (!wall.leftOpen && u.xMm < u.leftMm)) broken.push(`${name} is too near the left end`);
    if (end > wall.widthMm || (!wall.rightOpen && wall.widthMm - end < u.rightMm))
      broken.push(`${name} is too near the right end`);
    if (u.yMm < u.bottomMm) broken.push(`${name} is too near the floor`);
    if (u.yMm < wall.floorMinMm) broken.push(`${name} hangs under the floor mark`);
    if (wall.heightMm - top < u.topMm) broken.push(`${name} is too near the upper end`);
    if (wall.topMostMm !== null && top > wall.topMostMm) broken.push(`${name} stands over the highest top`);
    for (const o of wall.obstructions) {
      const free = (own: number) => (o.blocksAir && own > o.marginMm ? own : o.marginMm);
      const beside = u.xMm - (o.xMm + o.widthMm) >= free(u.leftMm) || o.xMm - end >= free(u.rightMm);
      const above = u.yMm - (o.yMm + o.heightMm) >= free(u.bottomMm) || o.yMm - top >= free(u.topMm);
      if (!beside && !above) broken.push(`${name} is too near ${o.label}`);
    }
    units.slice(i + 1).forEach((v, j) => {
      const want = (a: number, b: number) => (wall.gaps === 'sum' ? a + b : a > b ? a : b);
      const dx = Math.max(v.xMm - end, u.xMm - (v.xMm + v.widthMm));
      const dy = Math.max(v.yMm - top, u.yMm - (v.yMm + v.heightMm));
      if (dx < want(u.besideMm, v.besideMm) && dy < want(u.stackedMm, v.stackedMm))
        broken.push(`${name} and unit ${i + j + 2} are too near each other`);
    });
  });
  return broken;
}
