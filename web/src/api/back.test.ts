// @vitest-environment happy-dom
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asksAgainWhenBack } from './back';
import { ApiError } from './client';

const fetched = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetched);

/** A question that a page shows, which is answered in turn by these. */
function shown(client: QueryClient, key: string, ...answers: (() => Promise<string>)[]) {
  const asked = vi.fn(() => (answers.shift() ?? (() => Promise.resolve('late')))());
  const observer = new QueryObserver(client, { queryKey: [key], queryFn: asked, retry: false, staleTime: Infinity });
  const leave = observer.subscribe(() => {});
  return { asked, leave, now: () => observer.getCurrentResult() };
}

const nobody = () => Promise.reject(new Error('There is no connection to the garage.'));
const gone = () => Promise.reject(new TypeError('Failed to fetch'));
const there = () => Promise.resolve(new Response('{}', { status: 200 }));

let client: QueryClient;

beforeEach(() => {
  vi.useFakeTimers();
  client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always' } } });
  asksAgainWhenBack(client);
});

afterEach(() => {
  client.clear();
  fetched.mockReset();
  vi.useRealTimers();
});

describe('what could not be asked for', () => {
  it('is asked for again when the garage answers, and stays as it is until then', async () => {
    fetched.mockImplementationOnce(gone).mockImplementationOnce(gone).mockImplementation(there);
    const { asked, now } = shown(client, 'outcome', nobody, () => Promise.resolve('an outcome'));
    await vi.advanceTimersByTimeAsync(0);
    expect(now().status).toBe('error');
    await vi.advanceTimersByTimeAsync(8900);
    expect(asked).toHaveBeenCalledTimes(1);
    expect(fetched).toHaveBeenCalledTimes(2);
    expect(now().status).toBe('error');
    await vi.advanceTimersByTimeAsync(200);
    expect(now().data).toBe('an outcome');
    await vi.advanceTimersByTimeAsync(20_000);
    expect(fetched).toHaveBeenCalledTimes(3);
  });

  it('is looked for a second time when the connection goes again', async () => {
    fetched.mockImplementation(there);
    const { asked, now } = shown(client, 'outcome', nobody, nobody, () => Promise.resolve('an outcome'));
    await vi.advanceTimersByTimeAsync(3100);
    expect(asked).toHaveBeenCalledTimes(2);
    await vi.advanceTimersByTimeAsync(3100);
    expect(now().data).toBe('an outcome');
  });

  it('is asked for by whoever is signed out, too: the answer tells that', async () => {
    fetched.mockResolvedValue(new Response('{}', { status: 401 }));
    const { asked } = shown(client, 'outcome', nobody);
    await vi.advanceTimersByTimeAsync(3100);
    expect(asked).toHaveBeenCalledTimes(2);
  });

  it('is left alone where the garage refused it, or nobody looks', async () => {
    fetched.mockImplementation(there);
    const refused = shown(client, 'refused', () => Promise.reject(new ApiError(422, 'No', [], {})));
    await vi.advanceTimersByTimeAsync(20_000);
    expect(refused.asked).toHaveBeenCalledTimes(1);
    expect(fetched).not.toHaveBeenCalled();
    const left = shown(client, 'left', nobody);
    await vi.advanceTimersByTimeAsync(100);
    left.leave();
    await vi.advanceTimersByTimeAsync(20_000);
    expect(left.asked).toHaveBeenCalledTimes(1);
  });
});
