import { describe, expect, it } from 'vitest';
import { beside, covered, inside, overlap, placed, type Label, type Rect, type Way } from './labels';

const FRAME: Rect = { x: 0, y: 0, width: 400, height: 300 };

/** A generator of our own seed, so that a failure comes again. */
function numbers(seed: number) {
  let s = seed;
  return () => {
    s = (s * 1664525 + 1013904223) % 4294967296;
    return s / 4294967296;
  };
}

/** Points of a way, close together. */
function points(way: Way): (readonly [number, number])[] {
  return way.slice(1).flatMap(([bx, by], k) => {
    const [ax, ay] = way[k] ?? [0, 0];
    return Array.from({ length: 60 }, (_, s) => [ax + ((bx - ax) * s) / 60, ay + ((by - ay) * s) / 60] as const);
  });
}

function within(r: Rect, x: number, y: number): boolean {
  return x > r.x && x < r.x + r.width && y > r.y && y < r.y + r.height;
}

describe('labels', () => {
  it('never lie over one another, over a way, or outside', () => {
    const next = numbers(7);
    let set = 0;
    const wrong: string[] = [];
    for (let n = 0; n < 60; n++) {
      const ways: Way[] = [0, 1].map(() => Array.from({ length: 12 }, () => [400 * next(), 300 * next()] as const));
      const labels: Label[] = [
        ...ways.map((way, i) => ({ text: `hose ${i}`, strong: true, spots: beside(`hose ${i}`, way, 4) })),
        ...Array.from({ length: 9 }, (_, i) => {
          const r = { x: 350 * next(), y: 250 * next(), width: 120 * next(), height: 90 * next() };
          return { text: `box ${i}`, strong: false, spots: inside(`box ${i}`, r) };
        }),
      ];
      const put = placed(labels, ways, 4, FRAME);
      set += put.length;
      const rects = put.map((p) => covered(p.text, [p.x, p.y]));
      rects.forEach((r, i) => {
        if (r.x < 0 || r.x + r.width > 400 || r.y < 0 || r.y + r.height > 300) {
          wrong.push(`${n}: outside`);
        }
        if (rects.slice(i + 1).some((other) => overlap(r, other))) {
          wrong.push(`${n}: over another`);
        }
        if (ways.some((way) => points(way).some(([x, y]) => within(r, x, y)))) {
          wrong.push(`${n}: over a way`);
        }
      });
    }
    expect(wrong).toEqual([]);
    expect(set).toBeGreaterThan(100);
  });

  it('stand in the middle where nothing is in the way, and beside it where a hose runs there', () => {
    const box = { x: 100, y: 100, width: 120, height: 60 };
    const label = { text: 'battery', strong: false, spots: inside('battery', box) };
    expect(placed([label], [], 4, FRAME)).toEqual([{ text: 'battery', strong: false, x: 160, y: 130 }]);
    const hose: Way = [
      [90, 130],
      [230, 130],
    ];
    const [moved] = placed([label], [hose], 4, FRAME);
    expect(moved && Math.abs(moved.y - 130)).toBeGreaterThan(10);
  });

  it('are left out where there is no room', () => {
    expect(inside('a very long name', { x: 0, y: 0, width: 30, height: 30 })).toEqual([]);
    const all: Way = [
      [0, 10],
      [400, 10],
    ];
    expect(placed([{ text: 'x', strong: false, spots: [[20, 10]] }], [all], 3, FRAME)).toEqual([]);
  });
});
