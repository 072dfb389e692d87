import { describe, expect, it } from 'vitest';
import { metric, quantities, type Quantity, type UnitChoice } from '../units/units';
import { quantityOf, say, word, type Message } from './words';

const imperial = Object.fromEntries(Object.keys(quantities).map((q) => [q, 1])) as UnitChoice;

const hot: Message = {
  key: 'finding.TOO_HOT.what',
  values: {
    fails: { choice: 'yes' },
    peak: { measure: 'TEMPERATURE', value: 143 },
    over: { measure: 'TEMPERATURE_DIFFERENCE', value: 13 },
    bound: { measure: 'TEMPERATURE', value: 130 },
  },
};

describe('words', () => {
  it("puts the reader's units to what the rules say", () => {
    expect(say(hot, metric)).toBe('Oil peaks at 143 °C, 13 °C over its limit of 130 °C');
    expect(say(hot, imperial)).toBe('Oil peaks at 289 °F, 23 °F over its limit of 266 °F');
  });

  it('tells one from many', () => {
    const rows = (count: number) => say({ key: 'remedy.MORE_ROWS.label', values: { rows: { count } } }, metric);
    expect(rows(1)).toBe('Go up to 1 row');
    expect(rows(25)).toBe('Go up to 25 rows');
  });

  it('joins messages in a message', () => {
    const range: Message = {
      key: 'finding.STRETCHED.range',
      values: {
        quantity: { text: 'Reynolds number' },
        value: { measure: 'NUMBER', value: 40, digits: 0 },
        low: { measure: 'NUMBER', value: 100, digits: 0 },
        high: { measure: 'NUMBER', value: 3000, digits: 0 },
        source: { text: 'a book' },
      },
    };
    expect(say({ key: 'finding.STRETCHED.what', values: { ranges: { messages: [range, range] } } }, metric)).toContain(
      'Reynolds number 40, fitted for 100 to 3000 (a book); Reynolds number 40',
    );
  });

  it('says names of things', () => {
    expect(word('pressurePoint', 'HOT_IDLE')).toBe('hot, idle');
    expect(() => word('pressurePoint', 'NOWHERE')).toThrow('pressurePoint.NOWHERE.name');
  });

  it.each([
    ['TEMPERATURE', -10, '−10 °C', '14 °F'],
    ['PRESSURE', 3.5, '3.50 bar', '51 psi'],
    ['TIME', 570, '9 min 30 s', '9 min 30 s'],
    ['TIME', 7500, '2 h 5 min', '2 h 5 min'],
    ['ANGLE', 90, '90°', '0.250 turn'],
    ['SHARE', 33.5, '34 %', '34 %'],
    ['NUMBER', 0.5, '0.50', '0.50'],
  ])('writes %s %s as the papers do', (measure, value, first, second) => {
    const range = (units: UnitChoice) =>
      say({ key: 'remedy.THERMOSTAT.label', values: { opens: { measure, value } as never } }, units);
    expect(range(metric)).toBe(`Fit a thermostat that opens at ${first}`);
    expect(range(imperial)).toBe(`Fit a thermostat that opens at ${second}`);
  });

  it('knows the quantity of every measure', () => {
    const known: Quantity[] = [quantityOf('TEMPERATURE_DIFFERENCE'), quantityOf('AIR_SPEED'), quantityOf('TIME')];
    expect(known).toEqual(['temperatureDifference', 'airSpeed', 'time']);
  });
});
