import type { components } from './schema';

export type Me = components['schemas']['Me'];

const KEY = 'isotherm.me';

/** Who it was when the server was last heard: without a connection nobody has to sign in again. */
export function lastMe(): Me | undefined {
  try {
    return (JSON.parse(localStorage.getItem(KEY) ?? 'null') as Me | null) ?? undefined;
  } catch {
    return undefined;
  }
}

export function keepMe(me: Me): void {
  localStorage.setItem(KEY, JSON.stringify(me));
}

export function forgetMe(): void {
  localStorage.removeItem(KEY);
}
