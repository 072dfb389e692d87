import { hashKey } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import { questionHash } from './questionHash';

const cooler = { rows: 16, widthMm: 330, thermostat: { opensC: 82, leakPercent: undefined } };
const design = { name: 'A “name”, with\nlines', cooler, hoses: [{ id: null, bends: [90, 45] }, {}], keeps: true };

describe('what a question is remembered by', () => {
  it('is what the library would write', () => {
    for (const key of [
      ['cars'],
      ['car', 'c0ffee00', 3, true, null],
      ['quick', { design, duty: { ambientC: 30.25 }, car: { cooler } }],
      ['list', [], {}, [undefined, 1], { a: undefined }],
    ]) {
      expect(questionHash(key)).toBe(hashKey(key));
      expect(questionHash(key)).toBe(hashKey(key));
    }
  });

  it('does not depend on the order of fields', () => {
    expect(questionHash(['q', { b: { d: 1, c: 2 }, a: 3 }])).toBe(questionHash(['q', { a: 3, b: { c: 2, d: 1 } }]));
  });

  it('reads each document once, however often and beside whatever it is asked about', () => {
    const rows = vi.fn(() => 16);
    const core = Object.defineProperty({}, 'rows', { get: rows, enumerable: true });
    for (const other of [1, 2, 3]) {
      expect(questionHash(['q', { core, other }])).toBe(`["q",{"core":{"rows":16},"other":${other}}]`);
    }
    expect(rows).toHaveBeenCalledTimes(1);
  });

  it('tells another document from one that shares most with it', () => {
    const other = { ...design, cooler: { ...cooler, rows: 17 } };
    expect(questionHash(['q', other])).not.toBe(questionHash(['q', design]));
    expect(questionHash(['q', { ...other, cooler: { ...other.cooler, rows: 16 } }])).toBe(questionHash(['q', design]));
  });
});
