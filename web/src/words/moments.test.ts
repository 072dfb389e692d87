import { describe, expect, it } from 'vitest';
import { dayOf, when } from './moments';

describe('a moment', () => {
  // Noon in UTC is the same day wherever this runs but at the date line.
  const at = '2026-11-07T12:05:00Z';

  it('is told with its day and minute', () => {
    expect(when(at)).toMatch(/^7 Nov, \d\d:05$/);
  });

  it('is told as a day', () => {
    expect(dayOf(at)).toBe('7 November 2026');
  });
});
