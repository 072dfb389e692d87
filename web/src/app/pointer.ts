/**
 * A JSON text with another value at a JSON pointer (RFC 6901). What looks like a number, a word of JSON or a list goes in as that;
 * an empty value takes the field away; a text that is no JSON is replaced whole.
 */
export function withValue(text: string, pointer: string, typed: string): string {
  const value = parsed(typed);
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch {
    return typed;
  }
  const keys = pointer
    .split('/')
    .slice(1)
    .map((k) => k.replaceAll('~1', '/').replaceAll('~0', '~'));
  const last = keys.pop();
  if (last === undefined) {
    return typed;
  }
  let at = root;
  for (const key of keys) {
    at = isHolder(at) ? at[key] : undefined;
  }
  if (isHolder(at)) {
    if (typed.trim() === '') {
      Reflect.deleteProperty(at, last);
    } else {
      at[last] = value;
    }
  }
  return JSON.stringify(root);
}

function isHolder(node: unknown): node is Record<string, unknown> {
  return typeof node === 'object' && node !== null;
}

function parsed(typed: string): unknown {
  try {
    return JSON.parse(typed) as unknown;
  } catch {
    return typed;
  }
}
