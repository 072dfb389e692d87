import type { QueryKey } from '@tanstack/react-query';

const known = new WeakMap<object, string>();

/**
 * What a question is remembered by: its JSON with the fields of each object in the order of their names, as the query library
 * writes it. A document is never changed in place, so that each object is written once, however often it is asked about, and
 * another document writes only what differs.
 */
export function questionHash(key: QueryKey): string {
  return written(key) ?? '';
}

function written(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null) {
    return JSON.stringify(value);
  }
  let text = known.get(value);
  if (text === undefined) {
    text = Array.isArray(value)
      ? `[${value.map((v) => written(v) ?? 'null').join()}]`
      : `{${Object.keys(value)
          .sort()
          .flatMap((k) => {
            const v = written((value as Record<string, unknown>)[k]);
            return v === undefined ? [] : [`${JSON.stringify(k)}:${v}`];
          })
          .join()}}`;
    known.set(value, text);
  }
  return text;
}
