import { describe, expect, it } from 'vitest';
import { formatNumber, fromUnit, parseQuantity, quantities, toUnit, type Quantity } from './units';

describe('units', () => {
  it('every unit comes back to what it was', () => {
    for (const units of Object.values(quantities)) {
      for (const u of units) {
        for (const value of [-40, 0, 0.7, 130, 12345]) {
          expect(fromUnit(toUnit(value, u), u)).toBeCloseTo(value, 9);
        }
      }
    }
  });

  it.each<[string, Quantity, number]>([
    ['185F', 'temperature', 85],
    ['85', 'temperature', 85],
    ['85 °C', 'temperature', 85],
    ['1/2in', 'length', 12.7],
    ['1 1/2 in', 'length', 38.1],
    ['11"', 'length', 279.4],
    ['30 psi', 'pressure', 2.0684],
    ['100 mph', 'speed', 160.934],
    ['3,5 L', 'volume', 3.5],
    ['-4F', 'temperature', -20],
  ])('%s of %s is read', (text, quantity, base) => {
    expect(parseQuantity(text, quantity, 0)).toBeCloseTo(base, 3);
  });

  it('a number without a unit is in the unit that is shown', () => {
    expect(parseQuantity('212', 'temperature', 1)).toBeCloseTo(100, 9);
  });

  it.each(['', 'hot', '12 parsec', '1//2', '--3', '1/0'])('%s is refused', (text) => {
    expect(parseQuantity(text, 'length', 0)).toBeUndefined();
  });

  it('is shown with the digits of its unit and a true minus', () => {
    expect(formatNumber(-17.8, 'temperature', 0)).toBe('−18');
    expect(formatNumber(280, 'length', 1)).toBe('11.02');
  });
});
