import type { QueryClient } from '@tanstack/react-query';
import { del, get } from 'idb-keyval';
import { amend } from '../api/amend';
import { api, read, type Schemas } from '../api/client';
import { sendPicture } from '../api/pictures';
import { queries } from '../api/queries';
import { remember } from './remember';
import type { Ways } from './outbox';

type Entry = Schemas['EntryDocument'];
type CareEntry = Schemas['CareEntryDocument'];

const BUILD = 'isotherm.entries:';
const CARE = 'isotherm.care:';

/** What is kept under these waits for the server. */
export const PREFIXES = [BUILD, CARE] as const;

export const buildKey = (id: string) => BUILD + id;
export const careKey = (carId: string) => CARE + carId;

/** How entries of a run sheet go: a picture before the entry that shows it. */
export function buildWays(client: QueryClient, id: string): Ways<Entry> {
  return {
    send: async (entry) => {
      const picture = entry.kind === 'PICTURE' ? entry.text : undefined;
      const blob = picture ? await get<Blob>(picture) : undefined;
      if (blob) {
        await sendPicture(`/api/builds/${id}/pictures`, blob, picture);
      }
      const written = await read(api.POST('/api/builds/{id}/entries', { params: { path: { id } }, body: entry }));
      await amend(client, queries.build(id).queryKey, () => written);
      await remember(`/api/builds/${id}`, written);
      if (picture) {
        await del(picture);
      }
    },
    onRefused: () => void client.invalidateQueries(queries.build(id)),
  };
}

/** How entries of a care book go. */
export function careWays(client: QueryClient, carId: string): Ways<CareEntry> {
  return {
    send: async (entry) => {
      const written = await read(
        api.POST('/api/cars/{carId}/care/entries', { params: { path: { carId } }, body: entry }),
      );
      await amend(client, queries.care(carId).queryKey, () => written);
      await remember(`/api/cars/${carId}/care`, written);
    },
    onRefused: () => void client.invalidateQueries(queries.care(carId)),
  };
}

/** The ways of whatever waits under a key. */
export function waysOf(client: QueryClient, key: string): Ways<{ readonly id: string }> {
  const ways = key.startsWith(BUILD)
    ? buildWays(client, key.slice(BUILD.length))
    : careWays(client, key.slice(CARE.length));
  return ways as unknown as Ways<{ readonly id: string }>;
}
