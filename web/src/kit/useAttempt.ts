import { useState } from 'react';
import { ApiError } from '../api/client';

/** Why something was refused: what is wrong with it, or what the server says of all of it. */
export function reason(e: unknown): string {
  return e instanceof ApiError ? (e.problems[0]?.message ?? e.message) : e instanceof Error ? e.message : String(e);
}

/** Asks something of the server, once at a time; what is refused is told until the next attempt. */
export function useAttempt() {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const run = (work: () => Promise<unknown>) => {
    if (busy) {
      return;
    }
    setBusy(true);
    setRefused(undefined);
    work()
      .catch((e: unknown) => setRefused(reason(e)))
      .finally(() => setBusy(false));
  };
  return { busy, refused, run };
}
