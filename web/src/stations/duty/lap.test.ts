import { describe, expect, it } from 'vitest';
import { lapNodes, moveLapNode, moveSlopeNode, removeLapNode, slopeNodes, splitStretch } from './lap';

const lap = [
  { lengthM: 300, entryKmh: 90, exitKmh: 180 },
  { lengthM: 100, entryKmh: 180, exitKmh: 80 },
  { lengthM: 200, entryKmh: 80, exitKmh: 90 },
];
const closed = (s: typeof lap) =>
  s.every((x, i) => Math.abs(x.exitKmh - (s[(i + 1) % s.length]?.entryKmh ?? 0)) < 1e-9);
const length = (s: typeof lap) => s.reduce((sum, x) => sum + x.lengthM, 0);

describe('a lap', () => {
  it('has a point at the start of each stretch and at its end', () => {
    expect(lapNodes(lap).map((n) => [n.x, n.y])).toEqual([
      [0, 90],
      [300, 180],
      [400, 80],
      [600, 90],
    ]);
  });

  it('stays closed and as long as it was when a point is dragged', () => {
    for (const node of [0, 1, 2, 3]) {
      const moved = moveLapNode(lap, node, 350, 120);
      expect(closed(moved)).toBe(true);
      expect(length(moved)).toBeCloseTo(600, 9);
    }
    expect(moveLapNode(lap, 1, 350, 120)[0]?.lengthM).toBe(350);
    expect(moveLapNode(lap, 1, -500, 120)[0]?.lengthM).toBe(5);
    expect(moveLapNode(lap, 3, 0, 77)[0]?.entryKmh).toBe(77);
  });

  it('is the same lap after a split, and after the split point is taken out', () => {
    const split = splitStretch(lap, 0);
    expect(split).toHaveLength(4);
    expect(closed(split)).toBe(true);
    expect(length(split)).toBe(600);
    expect(removeLapNode(split, 1)).toEqual(lap);
    expect(closed(removeLapNode(lap, 0))).toBe(true);
    expect(length(removeLapNode(lap, 0))).toBe(600);
  });
});

describe('a climb', () => {
  const slopes = [
    { lengthM: 1000, gradePercent: 4 },
    { lengthM: 2000, gradePercent: 7 },
  ];

  it('adds up its heights', () => {
    expect(slopeNodes(slopes).map((n) => n.y)).toEqual([0, 40, 180]);
  });

  it('keeps what lies above a dragged point at its height', () => {
    const moved = moveSlopeNode(slopes, 1, 1500, 90);
    const nodes = slopeNodes(moved);
    expect(nodes[1]?.x).toBe(1500);
    expect(nodes[2]?.x).toBe(3000);
    expect(nodes[2]?.y).toBeCloseTo(180, 0);
    expect(moveSlopeNode(slopes, 0, 5, 5)).toEqual(slopes);
  });
});
