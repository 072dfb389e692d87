import { describe, expect, it } from 'vitest';
import { odds, percent } from './odds';

describe('odds', () => {
  it.each([
    [0, 'fewer than 1 in 100', 'under 1 %'],
    [0.009, 'fewer than 1 in 100', 'under 1 %'],
    [0.02, 'about 2 in 100', '2 %'],
    [0.17, 'about 1 in 6', '17 %'],
    [0.5, 'about 1 in 2', '50 %'],
    [0.51, 'about 1 in 2', '51 %'],
    [0.75, 'about 3 in 4', '75 %'],
    [0.86, 'about 6 in 7', '86 %'],
    [0.97, 'about 97 in 100', '97 %'],
    [0.995, 'more than 99 in 100', 'over 99 %'],
    [1, 'more than 99 in 100', 'over 99 %'],
  ])('of %s are said as %s', (share, words, figure) => {
    expect(odds(share)).toBe(words);
    expect(percent(share)).toBe(figure);
  });

  it('are never far from what they say', () => {
    for (let share = 0.01; share <= 0.99; share += 0.005) {
      const [n = NaN, of = NaN] = odds(share).match(/\d+/g)?.map(Number) ?? [];
      expect(Math.abs(n / of - share), String(share)).toBeLessThanOrEqual(0.05);
    }
  });
});
