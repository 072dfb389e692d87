import { describe, expect, it } from 'vitest';
import type { CarView } from '../api/client';
import { moved, ordered } from './ordered';

const view = (order?: string[]) =>
  ({
    car: { name: 'x', ...(order ? { designs: { order } } : {}) },
    designs: ['a', 'b', 'c'].map((id) => ({ id })),
  }) as unknown as CarView;

const ids = (v: CarView) => ordered(v).map((d) => d.id);

describe('the order of designs', () => {
  it('is that in which they were made, as long as nobody chose another', () => {
    expect(ids(view())).toEqual(['a', 'b', 'c']);
  });

  it('is the chosen one, with new designs at its end and without those that are gone', () => {
    expect(ids(view(['c', 'gone', 'a']))).toEqual(['c', 'a', 'b']);
  });

  it('changes by a place at a time and ends at its ends', () => {
    const designs = ordered(view());
    expect(moved(designs, 'b', -1)).toEqual(['b', 'a', 'c']);
    expect(moved(designs, 'b', 1)).toEqual(['a', 'c', 'b']);
    expect(moved(designs, 'a', -1)).toBeUndefined();
    expect(moved(designs, 'c', 1)).toBeUndefined();
    expect(moved(designs, 'gone', 1)).toBeUndefined();
  });
});
