/** Whether two JSON documents say the same: order of fields, and fields that are missing or null, make no difference. */
export function sameDocument(a: unknown, b: unknown): boolean {
  if (a === b || ((a === undefined || a === null) && (b === undefined || b === null))) {
    return true;
  }
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((item, i) => sameDocument(item, b[i]));
  }
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b || Array.isArray(a) || Array.isArray(b)) {
    return false;
  }
  const left = a as Record<string, unknown>;
  const right = b as Record<string, unknown>;
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].every((key) =>
    sameDocument(left[key], right[key]),
  );
}
