/** Places to which a value is drawn, within a reach; elsewhere it falls on a grid. */
export function snapped(value: number, grid: number, lines: readonly number[], reach: number): number {
  let best = Math.round(value / grid) * grid;
  let nearest = reach;
  for (const line of lines) {
    const distance = Math.abs(value - line);
    if (distance < nearest) {
      nearest = distance;
      best = line;
    }
  }
  return Math.round(best * 10) / 10;
}

interface Rect {
  readonly leftMm: number;
  readonly bottomMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Where the middle of a core of that size would sit edge to edge with, or centred on, what is there. */
export function snapLines(rects: readonly Rect[], widthMm: number, heightMm: number): { x: number[]; y: number[] } {
  const x = [0];
  const y: number[] = [];
  for (const r of rects) {
    x.push(r.leftMm + r.widthMm / 2, r.leftMm + widthMm / 2, r.leftMm + r.widthMm - widthMm / 2);
    y.push(
      r.bottomMm + r.heightMm / 2,
      r.bottomMm + heightMm / 2,
      r.bottomMm + r.heightMm - heightMm / 2,
      r.bottomMm - heightMm / 2,
      r.bottomMm + r.heightMm + heightMm / 2,
    );
  }
  return { x, y };
}
