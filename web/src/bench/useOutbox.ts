import { useCallback, useEffect, useRef, useState } from 'react';
import { isPassing, ApiError } from '../api/client';

const RETRY_MS = 2000;

export interface Outbox<E> {
  /** What is written here and has not arrived yet, oldest first. */
  readonly waiting: readonly E[];
  readonly offline: boolean;
  /** Why the last entry was not taken. */
  readonly refused: string | undefined;
  add(entry: E): void;
  forgetRefusal(): void;
}

interface Ways<E> {
  /** Name under which the browser keeps what waits. */
  readonly key: string;
  /** Sends an entry; one that was sent already changes nothing. */
  send(entry: E): Promise<void>;
  /** An entry was not taken: what is shown here may be older than what is there. */
  onRefused(): void;
}

function kept<E>(key: string): E[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as E[];
  } catch {
    return [];
  }
}

/**
 * Entries on their way to the server. Each is kept in the browser until the server has it, so that a closed lid or a lost
 * connection loses nothing, and they arrive in the order in which they were written.
 */
export function useOutbox<E extends { readonly id: string }>(ways: Ways<E>): Outbox<E> {
  const { key } = ways;
  const [waiting, setWaiting] = useState<readonly E[]>(() => kept<E>(key));
  const [offline, setOffline] = useState(false);
  const [refused, setRefused] = useState<string>();
  const queue = useRef<readonly E[]>(waiting);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const again = useRef<() => Promise<void>>(undefined);
  const how = useRef(ways);
  useEffect(() => {
    how.current = ways;
  });

  const change = useCallback(
    (next: readonly E[]) => {
      queue.current = next;
      localStorage.setItem(key, JSON.stringify(next));
      setWaiting(next);
    },
    [key],
  );

  const flush = useCallback(async () => {
    if (busy.current) {
      return;
    }
    busy.current = true;
    clearTimeout(timer.current);
    for (let first = queue.current[0]; first; first = queue.current[0]) {
      const entry = first;
      try {
        await how.current.send(entry);
        setOffline(false);
      } catch (e) {
        if (!(e instanceof ApiError) || isPassing(e)) {
          setOffline(true);
          timer.current = setTimeout(() => void again.current?.(), RETRY_MS);
          break;
        }
        setRefused(e.problems[0]?.message ?? e.message);
        how.current.onRefused();
      }
      change(queue.current.filter((q) => q.id !== entry.id));
    }
    busy.current = false;
  }, [change]);

  useEffect(() => {
    again.current = flush;
    timer.current = setTimeout(() => void flush(), 0);
    const online = () => void flush();
    window.addEventListener('online', online);
    return () => {
      window.removeEventListener('online', online);
      clearTimeout(timer.current);
    };
  }, [flush]);

  return {
    waiting,
    offline,
    refused,
    add: (entry) => {
      setRefused(undefined);
      change([...queue.current, entry]);
      void flush();
    },
    forgetRefusal: () => setRefused(undefined),
  };
}
