import { useQuery, useQueryClient } from '@tanstack/react-query';
import { del, get, set } from 'idb-keyval';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiError, call, type Schemas } from '../../api/client';
import { newId } from '../../app/who';

export type BuildView = Schemas['BuildView'];
export type SheetStep = Schemas['SheetStep'];
export type StepState = Schemas['StepState'];
export type Entry = Schemas['EntryDocument'];

const RETRY_MS = 2000;

/** What is written about: everything of an entry but who, when and its identity. */
export type Writing = Pick<Entry, 'kind' | 'on' | 'value' | 'text'>;

export interface Sheet {
  readonly view: BuildView | undefined;
  readonly error: Error | null;
  /** What is written here and has not arrived yet. */
  readonly waiting: readonly Entry[];
  readonly offline: boolean;
  /** Why the last entry was not taken. */
  readonly refused: string | undefined;
  write(what: Writing): void;
  addPicture(picture: Blob): Promise<string>;
  forgetRefusal(): void;
  refresh(): void;
}

function kept(key: string): Entry[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as Entry[];
  } catch {
    return [];
  }
}

/**
 * A run sheet that is written on. Every entry has its identity from here and is kept in the browser until the server has it, so
 * that a closed lid or a lost connection loses nothing, and what is sent twice is written once.
 */
export function useSheet(id: string, who: string): Sheet {
  const client = useQueryClient();
  const key = `isotherm.entries:${id}`;
  const query = useQuery({
    queryKey: ['build', id],
    queryFn: () => call<BuildView>('GET', `/builds/${id}`),
    staleTime: Infinity,
    refetchOnWindowFocus: 'always',
  });
  const [waiting, setWaiting] = useState<readonly Entry[]>(() => kept(key));
  const [offline, setOffline] = useState(false);
  const [refused, setRefused] = useState<string>();
  const queue = useRef<readonly Entry[]>(waiting);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const again = useRef<() => Promise<void>>(undefined);

  const change = useCallback(
    (next: readonly Entry[]) => {
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
        if (entry.kind === 'PICTURE' && entry.text) {
          await sendPicture(id, entry.text);
        }
        const view = await call<BuildView>('POST', `/builds/${id}/entries`, entry);
        client.setQueryData(['build', id], view);
        if (entry.kind === 'PICTURE' && entry.text) {
          await del(entry.text);
        }
        setOffline(false);
      } catch (e) {
        if (!(e instanceof ApiError) || e.status >= 500) {
          setOffline(true);
          timer.current = setTimeout(() => void again.current?.(), RETRY_MS);
          break;
        }
        setRefused(e.problems[0]?.message ?? e.message);
        void client.invalidateQueries({ queryKey: ['build', id] });
      }
      change(queue.current.filter((q) => q.id !== entry.id));
    }
    busy.current = false;
  }, [change, client, id]);

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
    view: query.data,
    error: query.error,
    waiting,
    offline,
    refused,
    write: (what) => {
      setRefused(undefined);
      change([...queue.current, { id: newId(), at: new Date().toISOString(), who, ...what }]);
      void flush();
    },
    addPicture: async (picture) => {
      const at = newId();
      await set(at, picture);
      return at;
    },
    forgetRefusal: () => setRefused(undefined),
    refresh: () => void client.invalidateQueries({ queryKey: ['build', id] }),
  };
}

async function sendPicture(build: string, picture: string): Promise<void> {
  const blob = await get<Blob>(picture);
  if (!blob) {
    return;
  }
  const response = await fetch(`/api/builds/${build}/pictures/${picture}`, {
    method: 'PUT',
    headers: { 'content-type': blob.type || 'image/jpeg' },
    body: blob,
  });
  if (!response.ok) {
    const detail = (await response.json().catch(() => ({}))) as Record<string, unknown>;
    const problems = (detail['problems'] as { path: string; message: string }[] | undefined) ?? [];
    throw new ApiError(response.status, String(detail['detail'] ?? 'The picture was not taken'), problems, detail);
  }
}
