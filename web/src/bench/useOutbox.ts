import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { outboxOf, type OutboxState, type Ways } from './outbox';

export interface Outbox<E> extends OutboxState<E> {
  add(entry: E): void;
  /** What was refused has been read. */
  forget(id: string): void;
}

/** What is written here on its way to the server, under the name by which the browser keeps it. */
export function useOutbox<E extends { readonly id: string }>(ways: Ways<E> & { readonly key: string }): Outbox<E> {
  const { key } = ways;
  // The first ways will do to begin with: the effect below always has the present ones.
  // oxlint-disable-next-line react/exhaustive-deps
  const box = useMemo(() => outboxOf<E>(key, ways), [key]);
  useEffect(() => {
    box.goBy(ways);
  });
  const state = useSyncExternalStore(box.subscribe, box.snapshot);
  return { ...state, add: box.add, forget: box.forget };
}
