import { useQuery, useQueryClient } from '@tanstack/react-query';
import { set } from 'idb-keyval';
import { useCallback } from 'react';
import { newId, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { buildKey, buildWays } from '../../bench/senders';
import { useOutbox, type Outbox } from '../../bench/useOutbox';
import { signed } from '../../bench/who';

export type BuildView = Schemas['BuildView'];
export type SheetStep = Schemas['SheetStep'];
export type StepState = Schemas['StepState'];
export type GateState = Schemas['GateState'];
export type Entry = Schemas['EntryDocument'];
export type LeakKind = NonNullable<Entry['leak']>;

/** What is written about: everything of an entry but who, when and its identity. */
export type Writing = Pick<Entry, 'kind' | 'on' | 'value' | 'text' | 'item' | 'leak'>;

export interface Sheet extends Omit<Outbox<Entry>, 'add'> {
  readonly view: BuildView | undefined;
  readonly error: Error | null;
  write(what: Writing): void;
  addPicture(picture: Blob): Promise<string>;
  refresh(): void;
}

/**
 * A run sheet that is written on. Every entry has its identity from here, so that what is sent twice is written once.
 */
export function useSheet(id: string, who: string): Sheet {
  const client = useQueryClient();
  const query = useQuery(queries.build(id));
  const refresh = () => void client.invalidateQueries(queries.build(id));
  const { add, ...outbox } = useOutbox<Entry>({ key: buildKey(id), ...buildWays(client, id) });
  // The same as long as the same person writes: what is given it is not drawn anew for what is written.
  const write = useCallback((what: Writing) => add({ ...signed(who), ...what }), [add, who]);
  return {
    view: query.data,
    error: query.error,
    ...outbox,
    write,
    addPicture: async (picture) => {
      const at = newId();
      await set(at, picture);
      return at;
    },
    refresh,
  };
}
