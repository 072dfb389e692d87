import { describe, expect, it } from 'vitest';
import { at, bounds, edges, triangles, type Point } from './shapes';

const p = (xMm: number, yMm: number, zMm: number): Point => ({ xMm, yMm, zMm });
const SQUARE = [p(0, 0, 0), p(100, 0, 0), p(100, 100, 0), p(0, 100, 0)];

describe('shapes in space', () => {
  it('are in metres', () => {
    expect(at(p(100, 200, -300))).toEqual([0.1, 0.2, -0.3]);
  });
  it('fill a face of four corners with two triangles of its area', () => {
    const t = triangles([SQUARE]);
    expect(t).toHaveLength(18);
    let area = 0;
    for (let i = 0; i < t.length; i += 9) {
      const [x0 = 0, y0 = 0, , x1 = 0, y1 = 0, , x2 = 0, y2 = 0] = t.slice(i, i + 9);
      area += Math.abs((x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0)) / 2;
    }
    expect(area).toBeCloseTo(0.01, 6);
  });
  it('have an edge for each side', () => {
    expect(edges([SQUARE])).toHaveLength(24);
  });
  it('are all within their bounds', () => {
    const { middle, reach } = bounds(SQUARE);
    middle.forEach((v, i) => expect(v).toBeCloseTo([0.05, 0.05, 0][i] ?? 0, 9));
    expect(reach).toBeCloseTo(Math.hypot(0.05, 0.05), 9);
    expect(bounds([]).reach).toBe(1);
  });
});
