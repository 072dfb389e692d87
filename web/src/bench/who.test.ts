import { describe, expect, it } from 'vitest';
import { newId } from '../api/client';
import { signed } from './who';

describe('an identity', () => {
  it('is a random UUID as the server takes it', () => {
    const ids = Array.from({ length: 500 }, newId);
    expect(new Set(ids).size).toBe(500);
    for (const id of ids) {
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    }
  });
});

describe('what is written', () => {
  it('carries who and when, in UTC', () => {
    const before = Date.now();
    const entry = signed('Ada');
    expect(entry.who).toBe('Ada');
    expect(entry.at).toMatch(/Z$/);
    expect(Date.parse(entry.at)).toBeGreaterThanOrEqual(before - 1);
    expect(signed('Ada').id).not.toBe(entry.id);
  });
});
