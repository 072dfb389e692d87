import { describe, expect, it } from 'vitest';
import { withValue } from './pointer';

describe('a repaired document', () => {
  const text = JSON.stringify({ name: 'x', log: { timeSeconds: [0, 1], rpm: [-1, 2] }, 'a/b': 1 });

  it('has another value at the place that was wrong, and everything else as it was', () => {
    expect(JSON.parse(withValue(text, '/log/rpm/0', '900'))).toEqual({
      name: 'x',
      log: { timeSeconds: [0, 1], rpm: [900, 2] },
      'a/b': 1,
    });
    expect(JSON.parse(withValue(text, '/name', 'New name'))).toMatchObject({ name: 'New name' });
    expect(JSON.parse(withValue(text, '/a~1b', 'true'))).toMatchObject({ 'a/b': true });
  });

  it('loses a field that is not known', () => {
    expect(JSON.parse(withValue(text, '/name', ''))).not.toHaveProperty('name');
  });

  it('keeps what it cannot find', () => {
    expect(withValue(text, '/nobody/home', '1')).toBe(text);
  });

  it('is written anew where it was no document', () => {
    expect(withValue('{', '', '{"name":"y"}')).toBe('{"name":"y"}');
  });
});
