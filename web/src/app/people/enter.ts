import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ApiError, read } from '../../api/client';
import { queries } from '../../api/queries';
import { keepMe, type Me } from '../../api/lastMe';

/** Somebody else's answers are not this person's. */
async function come(client: QueryClient, me: Me) {
  forget(client);
  client.setQueryData(queries.me().queryKey, me);
  keepMe(me);
  await forgetKept();
}

/** All but who it is, which the door looks at. */
function forget(client: QueryClient) {
  client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'me' });
}

/** What the browser keeps of answers for the time without a connection; what was written and waits stays. */
export async function forgetKept() {
  // Not there where a page is served without HTTPS from another machine.
  const kept = (globalThis as { caches?: CacheStorage }).caches;
  if (kept) {
    await Promise.all(['isotherm-answers', 'isotherm-pictures'].map((name) => kept.delete(name)));
  }
}

/** Sends a form once at a time, and says why it was refused. */
export function useForm() {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const run = (work: () => Promise<Me>, then: () => void) => {
    if (busy) {
      return;
    }
    setBusy(true);
    setRefused(undefined);
    work()
      .then((me) => come(client, me))
      .then(then)
      .catch((e: unknown) =>
        setRefused(
          e instanceof ApiError ? (e.problems[0]?.message ?? e.message) : 'The server cannot be reached. Try again.',
        ),
      )
      .finally(() => setBusy(false));
  };
  return { busy, refused, run };
}

/** Signs out: the next one to use this browser sees nothing of what was looked at here. */
export async function signOut(client: QueryClient): Promise<void> {
  await read(api.POST('/api/sign-out'));
  await forgetKept();
  forget(client);
  await client.invalidateQueries({ queryKey: queries.me().queryKey });
}
