import { describe, expect, it } from 'vitest';
import { fields, meaning, range } from './descriptions';

describe('the description of the API', () => {
  it('says what a field means', () => {
    expect(meaning('DutyDocument', '/ambientC')).toBe('Air temperature, °C');
    expect(meaning('DutyDocument', '/track/stretches/3/lengthM')).toBe('Length, m');
    expect(meaning('DutyDocument', '/nobody')).toBeUndefined();
  });

  it('gives the range of a field with what it means', () => {
    expect(range('CoolerDocument', 'rows')).toEqual({ min: 2, max: 60, description: expect.stringContaining('rows') });
    expect(range('DutyDocument', 'ambientC').min).toBeLessThan(-10);
  });

  it('gives no range where there is none', () => {
    const name = range('DesignDocument', 'name');
    expect(name.min).toBe(-Infinity);
    expect(name.max).toBe(Infinity);
  });

  it('tells what kind of field each is, by which a form is made', () => {
    const kinds = new Map(fields('HosePartDocument').map((f) => [f.name, f]));
    expect(kinds.get('maker')).toMatchObject({ kind: 'text', label: 'Maker' });
    expect(kinds.get('family')).toMatchObject({ kind: 'choice' });
    const numbers = [...kinds.values()].filter((f) => f.kind === 'number');
    expect(numbers.length).toBeGreaterThan(3);
    for (const f of numbers) {
      expect(f.kind === 'number' && f.min < f.max).toBe(true);
    }
  });

  it('puts the words of a name apart', () => {
    expect(fields('CoolerDocument').find((f) => f.name === 'sealingPercent')?.label).toBe('Sealing percent');
  });
});
