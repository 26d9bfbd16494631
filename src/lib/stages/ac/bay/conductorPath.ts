interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Way of a conductor from its lug down to its entry, as an SVG path in mm: straight, two arcs of one radius, straight. Null where the height
 * between the two does not take the bend.
 */
export function conductorPath(from: Point, to: Point, radius: number): string | null {
  const aside = Math.abs(to.x - from.x);
  const height = aside >= 2 * radius ? 2 * radius : Math.sqrt(aside * (4 * radius - aside));
  const begin = to.y - height;
  if (begin < from.y) return null;
  const side = to.x > from.x ? 1 : -1;
  const arc = (sweep: 0 | 1, x: number, y: number) => `A${radius} ${radius} 0 0 ${sweep} ${x} ${y}`;
  const [away, back] = side > 0 ? ([0, 1] as const) : ([1, 0] as const);
  const start = `M${from.x} ${from.y}V${begin}`;
  if (aside === 0) return `M${from.x} ${from.y}V${to.y}`;
  if (aside >= 2 * radius)
    return `${start}${arc(away, from.x + side * radius, begin + radius)}H${to.x - side * radius}${arc(back, to.x, to.y)}`;
  return `${start}${arc(away, (from.x + to.x) / 2, begin + height / 2)}${arc(back, to.x, to.y)}`;
}
