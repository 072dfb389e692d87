import { describe, expect, it } from 'vitest';
import { sameDocument } from './sameDocument';

describe('sameDocument', () => {
  it('does not mind the order of fields or what is missing', () => {
    expect(sameDocument({ a: 1, b: [1, { c: 'x' }] }, { b: [1, { c: 'x', d: undefined }], a: 1.0 })).toBe(true);
    expect(sameDocument({ a: null }, {})).toBe(true);
  });

  it('minds every value, order in lists and kind', () => {
    expect(sameDocument({ a: 1 }, { a: 2 })).toBe(false);
    expect(sameDocument([1, 2], [2, 1])).toBe(false);
    expect(sameDocument([1], { 0: 1 })).toBe(false);
    expect(sameDocument({ a: { b: 1 } }, { a: 1 })).toBe(false);
    expect(sameDocument(false, null)).toBe(false);
  });
});
