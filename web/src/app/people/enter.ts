import { useQueryClient, type QueryKey } from '@tanstack/react-query';
import { api, read } from '../../api/client';
import { forgetMe, keepMe, type Me } from '../../api/lastMe';
import { queries } from '../../api/queries';

/** What the browser keeps of answers for the time without a connection; what was written and waits stays. */
export async function forgetKept() {
  // Not there where a page is served without HTTPS from another machine.
  const kept = (globalThis as { caches?: CacheStorage }).caches;
  if (kept) {
    await Promise.all(['isotherm-answers', 'isotherm-pictures'].map((name) => kept.delete(name)));
  }
}

/**
 * Comes in as somebody: another one's answers are not theirs.
 *
 * @param last whose pages are still open; to them their answers come again
 */
export function useEnter(last?: string): (asked: Promise<Me>) => Promise<void> {
  const client = useQueryClient();
  return async (asked) => {
    const me = await asked;
    const others = { predicate: ({ queryKey }: { queryKey: QueryKey }) => queryKey[0] !== 'me' };
    if (last !== undefined && me.person?.id === last) {
      void client.invalidateQueries(others);
    } else {
      client.removeQueries(others);
    }
    client.setQueryData(queries.me().queryKey, me);
    keepMe(me);
    await forgetKept();
  };
}

/** Signs out: the next one to use this browser sees nothing of what was looked at here. */
export async function signOut(): Promise<void> {
  await read(api.POST('/api/sign-out'));
  await forgetKept();
  forgetMe();
  // What the page itself remembers goes with the page.
  window.location.assign('/');
}
