import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { FieldLabel, Wrong } from './text';
import { Line } from './TextEntry';

/** Whether a text is a day of the calendar, as it is written in documents. */
export function isDay(text: string): boolean {
  const parsed = new Date(`${text}T00:00:00Z`);
  // A day that the month does not have would be read as one of the next.
  return !Number.isNaN(parsed.getTime()) && parsed.toISOString().slice(0, 10) === text;
}

/** Today, as it is written in documents. */
export const today = (): string => new Date().toISOString().slice(0, 10);

/** A day that may be left empty. Whoever holds it keeps what was typed, and saves nothing as long as it is no day. */
export function DayEntry(props: { label: string; value: string; onChange: (text: string) => void }) {
  const { label, value, onChange } = props;
  const [due, setDue] = useState(false);
  const wrong = due && value !== '' && !isDay(value);
  return (
    <TextField value={value} onChange={onChange} isInvalid={wrong} onBlur={() => setDue(true)}>
      <FieldLabel>{label}</FieldLabel>
      <Line autoComplete="off" />
      <Wrong>{wrong && `${label}: a day such as 2026-01-31 is expected, not “${value}”`}</Wrong>
    </TextField>
  );
}
