import { describe, expect, it } from 'vitest';
import { spread } from './spread';

describe('spread', () => {
  it('leaves labels alone that do not overlap', () => {
    expect(spread([10, 100, 200], [20, 20, 20], 0, 300)).toEqual([10, 100, 200]);
  });

  it('moves two on the same spot apart by the same way', () => {
    expect(spread([100, 100], [40, 40], 0, 300)).toEqual([80, 120]);
  });

  it('never overlaps, keeps the order and stays inside, for any input', () => {
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let n = 0; n < 200; n++) {
      const widths = Array.from({ length: 6 }, () => 20 + 40 * random());
      const centres = Array.from({ length: 6 }, () => 600 * random()).sort((a, b) => a - b);
      const placed = spread(centres, widths, 0, 600);
      for (let i = 0; i < 6; i++) {
        const half = (widths[i] as number) / 2;
        expect((placed[i] as number) - half).toBeGreaterThanOrEqual(-1e-6);
        expect((placed[i] as number) + half).toBeLessThanOrEqual(600 + 1e-6);
        if (i > 0) {
          const gap = (placed[i] as number) - half - (placed[i - 1] as number) - (widths[i - 1] as number) / 2;
          expect(gap).toBeGreaterThanOrEqual(-1e-6);
        }
      }
    }
  });
});
