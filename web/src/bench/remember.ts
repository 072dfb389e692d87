/** Where the service worker keeps answers for the time without a connection; its own configuration names it too. */
const CACHE = 'isotherm-answers';

/**
 * Puts what a change came to in the place of the answer that was kept before it, so that a page that is opened again without a
 * connection shows it.
 */
export async function remember(path: string, answer: unknown): Promise<void> {
  // Not there where a page is served without HTTPS from another machine: nothing is kept then either.
  const { caches: kept } = globalThis as { caches?: CacheStorage };
  if (!kept || !navigator.serviceWorker?.controller) {
    return;
  }
  try {
    const cache = await kept.open(CACHE);
    await cache.put(path, new Response(JSON.stringify(answer), { headers: { 'content-type': 'application/json' } }));
  } catch {
    // A full disk: the older answer stays, and what counts is on the server.
  }
}
