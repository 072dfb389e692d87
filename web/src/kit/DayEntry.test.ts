import { describe, expect, it } from 'vitest';
import { isDay } from './DayEntry';

describe('a day', () => {
  it.each(['2026-01-31', '2024-02-29', '1999-12-01'])('%s is one', (text) => expect(isDay(text)).toBe(true));

  it.each(['', '31 May', '2026-02-31', '2025-02-29', '2026-13-01', '2026-1-3', '2026-01-31T10:00', '20260131'])(
    '“%s” is none',
    (text) => expect(isDay(text)).toBe(false),
  );
});
