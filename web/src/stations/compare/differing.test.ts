import { describe, expect, it } from 'vitest';
import { differing } from './differing';

describe('differing', () => {
  const a = { name: 'A', cooler: { rows: 10, widthMm: 210, thermostat: { opensC: 90 }, mesh: false } };
  const b = { name: 'B', cooler: { rows: 19, widthMm: 210, mesh: true } };

  it('holds only what is not the same in all', () => {
    expect(differing([a, b]).map((d) => d.path)).toEqual(['cooler/rows', 'cooler/thermostat/opensC', 'cooler/mesh']);
    expect(differing([a, { ...a, name: 'C' }])).toEqual([]);
  });

  it('has words and units from the names, and leaves open what is missing', () => {
    const opens = differing([a, b])[1];
    expect(opens?.label).toBe('Thermostat, opens');
    expect(opens?.quantity).toBe('temperature');
    expect(opens?.values).toEqual([90, undefined]);
  });

  it('compares a cooler with none', () => {
    expect(differing([a, { name: 'none' }]).length).toBe(4);
  });
});
