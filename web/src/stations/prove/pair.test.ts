import { describe, expect, it } from 'vitest';
import type { CarView } from '../../api/client';
import { pair } from './pair';

type Told = [id: string, design?: string, day?: string];

function view(logs: Told[], built?: string): CarView {
  return {
    car: { name: 'x', ...(built ? { designs: { built } } : {}) },
    designs: [
      { id: 'bare', design: { name: 'As it is' } },
      { id: 'small', design: { name: 'Small', cooler: {} } },
      { id: 'large', design: { name: 'Large', cooler: {} } },
    ],
    logs: logs.map(([id, design, day]) => ({ id, log: { name: id, design, day } })),
  } as unknown as CarView;
}

const ids = (v: CarView) => pair(v).map((l) => l?.id);

describe('the pair that Prove opens with', () => {
  it('is the first two where nobody said what was driven', () => {
    expect(ids(view([['one'], ['two'], ['three']]))).toEqual(['one', 'two']);
  });

  it('is without a cooler against with one, whichever was brought in first', () => {
    expect(
      ids(
        view([
          ['after', 'small', '2026-05-02'],
          ['before', 'bare', '2026-04-11'],
        ]),
      ),
    ).toEqual(['before', 'after']);
  });

  it('is the last of each, and that of the design as built first of all', () => {
    const logs: Told[] = [
      ['b1', 'bare', '2026-03-01'],
      ['b2', 'bare', '2026-04-01'],
      ['s', 'small', '2026-05-01'],
      ['l', 'large', '2026-06-01'],
    ];
    expect(ids(view(logs))).toEqual(['b2', 'l']);
    expect(ids(view(logs, 'small'))).toEqual(['b2', 's']);
  });

  it('has nothing where there is nothing, and no second where there is one', () => {
    expect(ids(view([]))).toEqual([undefined, undefined]);
    expect(ids(view([['only', 'bare']]))).toEqual(['only', undefined]);
  });
});
