import type { Query, QueryClient } from '@tanstack/react-query';
import { api, ApiError, read } from './client';

/** Between two looks whether the garage is back, ms. */
const LOOK_EVERY_MS = 3000;

/** What a page shows and has no answer to, since nobody was there. */
const missed = (query: Query) =>
  query.isActive() && query.state.status === 'error' && !(query.state.error instanceof ApiError);

/**
 * Asks again for what could not be asked for while there was no connection, when there is one: that is found out by a question of its
 * own, so that what stands on the page until then stays. A browser tells of its network alone, not of a garage that was started anew.
 */
export function asksAgainWhenBack(queries: QueryClient): void {
  let looking = false;
  const look = async () => {
    try {
      await read(api.GET('/api/me'));
    } catch (e) {
      if (!(e instanceof ApiError)) {
        setTimeout(() => void look(), LOOK_EVERY_MS);
        return;
      }
    }
    looking = false;
    await queries.refetchQueries({ type: 'active', predicate: missed });
  };
  queries.getQueryCache().subscribe((event) => {
    if (!looking && event.type === 'updated' && missed(event.query)) {
      looking = true;
      setTimeout(() => void look(), LOOK_EVERY_MS);
    }
  });
}
