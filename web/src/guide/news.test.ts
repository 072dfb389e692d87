import { describe, expect, it } from 'vitest';
import { NEWS, newsRead, upgraded } from './news';

function storage(seen?: string) {
  const kept = new Map<string, string>(seen === undefined ? [] : [['isotherm.version', seen]]);
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  };
}

const forbidden = {
  getItem: () => {
    throw new Error('forbidden');
  },
  setItem: () => {
    throw new Error('full');
  },
};

describe('what is new', () => {
  it('is the first section of the changelog, without the ones before it', () => {
    expect(NEWS.version).toMatch(/^\d+\.\d+\.\d+$/);
    expect(NEWS.text).toMatch(/^### /);
    expect(NEWS.text).not.toMatch(/^## /m);
  });

  it('is shown once after an upgrade', () => {
    const kept = storage('0.0.9');
    expect(upgraded(() => kept)).toBe(true);
    newsRead(() => kept);
    expect(upgraded(() => kept)).toBe(false);
  });

  it('is not shown at a first visit, nor later without an upgrade', () => {
    const kept = storage();
    expect(upgraded(() => kept)).toBe(false);
    expect(upgraded(() => kept)).toBe(false);
  });

  it('does without a storage', () => {
    expect(upgraded(() => forbidden)).toBe(false);
    expect(() => newsRead(() => forbidden)).not.toThrow();
    const none = () => {
      throw new Error('not to be asked for');
    };
    expect(upgraded(none)).toBe(false);
    expect(() => newsRead(none)).not.toThrow();
  });
});
