import { expect, it } from 'vitest';
import { designOf, trade, type Candidate } from './candidates';

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

it('tells designs apart that come to the same figures', () => {
  const all = trade(found({ smallestThatHolds: candidate('B', 200), largestThatFits: candidate('B', 200, 80) }));
  expect(all).toHaveLength(4);
  expect(new Set(all.map(designOf)).size).toBe(4);
});

it('knows a design wherever it stands', () => {
  expect(designOf(candidate('A', 100))).toBe(designOf(candidate('A', 100)));
  expect(designOf(candidate('A', 100))).not.toBe(designOf(candidate('A', 100, 80)));
});
