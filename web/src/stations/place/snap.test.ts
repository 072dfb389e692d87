import { describe, expect, it } from 'vitest';
import { snapLines, snapped } from './snap';

describe('snapping', () => {
  it('falls on the grid away from everything', () => {
    expect(snapped(123.4, 5, [0, 200], 8)).toBe(125);
  });

  it('is drawn to the nearest line within reach', () => {
    expect(snapped(193, 5, [0, 200, 196.5], 8)).toBe(196.5);
    expect(snapped(-6, 5, [0], 8)).toBe(0);
  });

  it('knows edges, middles and the centre line', () => {
    const { x, y } = snapLines([{ leftMm: -300, bottomMm: 200, widthMm: 600, heightMm: 160 }], 250, 100);
    expect(x).toEqual([0, 0, -175, 175]);
    expect(y).toEqual([280, 250, 310, 150, 410]);
  });
});
