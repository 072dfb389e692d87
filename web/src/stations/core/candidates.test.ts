import { expect, it } from 'vitest';
import { rowOf, trade, type Candidate } from './candidates';

const candidate = (number: string, price: number, sealingPercent = 90) =>
  ({
    maker: 'Tarn & Fell',
    number,
    peakC: price / 10,
    loopLossBar: 1,
    price,
    design: { cooler: { place: 'FRONT_CORNER', sealingPercent, feed: { boreMm: 12 } } },
  }) as unknown as Candidate;

const found = (more: object) =>
  ({ tried: 9, holding: 3, front: [candidate('C', 300), candidate('A', 100), candidate('B', 200)], ...more }) as never;

it('lists the marked ones first, then the front from cheap to dear', () => {
  const all = trade(found({ smallestThatHolds: candidate('B', 200), largestThatFits: candidate('D', 400) }));
  expect(all.map((c) => c.number)).toEqual(['B', 'D', 'A', 'C']);
});

it('lists one that is smallest and largest once', () => {
  const all = trade(found({ smallestThatHolds: candidate('B', 200), largestThatFits: candidate('B', 200) }));
  expect(all.map((c) => c.number)).toEqual(['B', 'A', 'C']);
});

it('knows a row wherever it stands', () => {
  expect(rowOf(candidate('A', 100))).toBe(rowOf(candidate('A', 100)));
  expect(rowOf(candidate('A', 100))).not.toBe(rowOf(candidate('A', 100, 80)));
});
