import { describe, expect, it } from 'vitest';
import { differing } from './differing';

describe('differing', () => {
  const a = { name: 'A', cooler: { rows: 10, widthMm: 210, thermostat: { opensC: 90 }, mesh: false } };
  const b = { name: 'B', cooler: { rows: 19, widthMm: 210, mesh: true } };

  it('holds only what is not the same in all', () => {
    expect(differing([a, b]).map((d) => d.path)).toEqual(['cooler/thermostat', 'cooler/rows', 'cooler/mesh']);
    expect(differing([a, { ...a, name: 'C' }])).toEqual([]);
  });

  it('has words and units from the names, and leaves open what is missing', () => {
    const later = { ...a, cooler: { ...a.cooler, thermostat: { opensC: 95, fullC: 104 } } };
    const [opens, full] = differing([a, later]);
    expect(opens?.label).toBe('Thermostat, opens');
    expect(opens?.quantity).toBe('temperature');
    expect(opens?.values).toEqual([90, 95]);
    expect(full?.values).toEqual([undefined, 104]);
  });

  it('compares a cooler with none', () => {
    expect(differing([a, { name: 'none' }]).map((d) => d.values)).toEqual([['fitted', 'none']]);
    expect(differing([a, b, { name: 'none' }]).map((d) => d.path)).toEqual(['cooler', 'cooler/rows', 'cooler/mesh']);
  });
});
