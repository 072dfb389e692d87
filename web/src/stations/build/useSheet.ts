import { useQuery, useQueryClient } from '@tanstack/react-query';
import { del, get, set } from 'idb-keyval';
import { api, read, newId, type Schemas } from '../../api/client';
import { sendPicture } from '../../api/pictures';
import { queries } from '../../api/queries';
import { useOutbox, type Outbox } from '../../bench/useOutbox';
import { signed } from '../../bench/who';

export type BuildView = Schemas['BuildView'];
export type SheetStep = Schemas['SheetStep'];
export type StepState = Schemas['StepState'];
export type GateState = Schemas['GateState'];
export type Entry = Schemas['EntryDocument'];

/** What is written about: everything of an entry but who, when and its identity. */
export type Writing = Pick<Entry, 'kind' | 'on' | 'value' | 'text'>;

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
  const { add, ...outbox } = useOutbox<Entry>({
    key: `isotherm.entries:${id}`,
    send: async (entry) => {
      const picture = entry.kind === 'PICTURE' ? entry.text : undefined;
      const blob = picture ? await get<Blob>(picture) : undefined;
      if (blob) {
        await sendPicture(`/api/builds/${id}/pictures`, blob, picture);
      }
      const written = await read(api.POST('/api/builds/{id}/entries', { params: { path: { id } }, body: entry }));
      client.setQueryData(queries.build(id).queryKey, written);
      if (picture) {
        await del(picture);
      }
    },
    onRefused: refresh,
  });
  return {
    view: query.data,
    error: query.error,
    ...outbox,
    write: (what) => add({ ...signed(who), ...what }),
    addPicture: async (picture) => {
      const at = newId();
      await set(at, picture);
      return at;
    },
    refresh,
  };
}
