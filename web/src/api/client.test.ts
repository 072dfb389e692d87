// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, ApiError, basedOn, create, isPassing, mayAskAgain, read, send, watch, type JobView } from './client';

const answer = (status: number, body?: unknown) =>
  Promise.resolve(new Response(body === undefined ? null : JSON.stringify(body), { status }));

const fetched = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetched);

afterEach(() => {
  fetched.mockReset();
});

/** The nth request that was sent. */
const sent = (n: number) => fetched.mock.calls[n]?.[0] as Request;
const path = (n: number) => new URL(sent(n).url).pathname;

describe('a question', () => {
  const id = 'c0ffee00-0000-4000-8000-000000000001';

  it('sends JSON to its path, based on a version, and gives the answer', async () => {
    fetched.mockReturnValueOnce(answer(200, { version: 3 }));
    const body = { currency: 'EUR' };
    expect(await read(api.PUT('/api/settings', { params: { header: basedOn(2) }, body }))).toEqual({ version: 3 });
    expect(path(0)).toBe('/api/settings');
    expect(sent(0).method).toBe('PUT');
    expect(await sent(0).json()).toEqual(body);
    expect(sent(0).headers.get('If-Match')).toBe('"2"');
    expect(sent(0).headers.get('content-type')).toBe('application/json');
  });

  it('says nothing of JSON where it sends none, and takes an empty answer', async () => {
    fetched.mockReturnValueOnce(answer(204));
    const params = { path: { id }, header: basedOn(1) };
    expect(await read(api.DELETE('/api/cars/{id}', { params }))).toBeUndefined();
    expect(path(0)).toBe(`/api/cars/${id}`);
    expect(sent(0).headers.get('content-type')).toBeNull();
  });

  it('throws what the server says, with every problem', async () => {
    const problems = [{ path: '/car/oilVolumeL', message: '90 L is outside 1 to 40 L' }];
    fetched.mockReturnValueOnce(answer(422, { detail: 'The car cannot be taken', problems }));
    const error = await read(api.GET('/api/cars')).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject({ status: 422, message: 'The car cannot be taken', problems });
  });

  it('throws something readable when the answer is none', async () => {
    fetched.mockReturnValueOnce(Promise.resolve(new Response('<html>', { status: 502, statusText: 'Bad Gateway' })));
    await expect(read(api.GET('/api/cars'))).rejects.toMatchObject({
      status: 502,
      message: 'Bad Gateway',
      problems: [],
    });
  });
});

describe('a file', () => {
  it('goes as it is, with its type', async () => {
    fetched.mockReturnValueOnce(answer(201, { id: '7' }));
    expect(await send('/cars/1/uploads?name=a.csv', 'time,speed', 'application/octet-stream')).toEqual({ id: '7' });
    const [to, init] = fetched.mock.calls[0] ?? [];
    expect(to).toBe('/api/cars/1/uploads?name=a.csv');
    expect(init).toMatchObject({
      method: 'POST',
      body: 'time,speed',
      headers: { 'content-type': 'application/octet-stream' },
    });
  });

  it('is refused with the first reason, which is what a person can act on', async () => {
    const problems = [
      { path: 'cars/1/car.json/name', message: 'A text is expected here' },
      { path: '', message: 'another' },
    ];
    fetched.mockReturnValueOnce(answer(422, { title: 'Invalid document', problems }));
    await expect(send('/garage', 'x', 'application/zip')).rejects.toThrow('A text is expected here');
    fetched.mockReturnValueOnce(answer(413, { detail: 'This file is larger than 1000 MB' }));
    await expect(send('/garage', 'x', 'application/zip')).rejects.toThrow('larger than 1000 MB');
  });
});

describe('long work', () => {
  const job = (state: JobView['state'], more: Partial<JobView> = {}): JobView =>
    ({ id: 'j', state, done: 0, total: 10, problems: [], ...more }) as JobView;

  it('is watched to its end and tells how far it is', async () => {
    fetched.mockReturnValueOnce(answer(200, job('RUNNING', { done: 5 })));
    fetched.mockReturnValueOnce(answer(200, job('DONE', { answer: { rows: 3 } })));
    const seen: string[] = [];
    expect(await watch(job('WAITING' as JobView['state']), (j) => seen.push(j.state))).toEqual({ rows: 3 });
    expect(seen).toEqual(['WAITING', 'RUNNING', 'DONE']);
    expect([path(0), path(1)]).toEqual(['/api/jobs/j', '/api/jobs/j']);
  });

  it('that failed says why', async () => {
    const failed = job('FAILED', {
      problems: [{ path: '', message: 'No two rows can be kept' }] as JobView['problems'],
    });
    await expect(watch(failed, () => undefined)).rejects.toMatchObject({
      status: 422,
      message: 'No two rows can be kept',
    });
  });

  it('that was stopped is told apart from work that failed', async () => {
    await expect(watch(job('CANCELLED'), () => undefined)).rejects.toMatchObject({ status: 499 });
  });

  describe('over some time', () => {
    beforeEach(() => {
      vi.useFakeTimers();
    });
    afterEach(() => {
      vi.useRealTimers();
    });

    it('is looked at soon at first, then five times a second', async () => {
      const begun = Date.now();
      const looks: number[] = [];
      fetched.mockImplementation(() => {
        looks.push(Date.now() - begun);
        return answer(200, job(looks.length < 7 ? 'RUNNING' : 'DONE'));
      });
      const end = watch(job('RUNNING'), () => undefined);
      await vi.runAllTimersAsync();
      await end;
      expect(looks).toEqual([40, 100, 190, 325, 525, 725, 925]);
    });

    it('goes on while nothing is heard of it for a moment', async () => {
      fetched.mockRejectedValueOnce(new TypeError('Failed to fetch'));
      fetched.mockReturnValueOnce(answer(503, { detail: 'The database does not answer' }));
      fetched.mockReturnValueOnce(answer(200, job('DONE', { answer: { rows: 3 } })));
      const end = watch(job('RUNNING'), () => undefined);
      await vi.runAllTimersAsync();
      expect(await end).toEqual({ rows: 3 });
    });

    it('is given up where nothing is heard of it any more, or it is not known', async () => {
      fetched.mockRejectedValue(new TypeError('Failed to fetch'));
      const lost = expect(watch(job('RUNNING'), () => undefined)).rejects.toThrow('no connection to the garage');
      await vi.runAllTimersAsync();
      await lost;
      expect(fetched).toHaveBeenCalledTimes(30);
      fetched.mockReset();
      fetched.mockReturnValueOnce(answer(404));
      const unknown = expect(watch(job('RUNNING'), () => undefined)).rejects.toMatchObject({ status: 404 });
      await vi.runAllTimersAsync();
      await unknown;
    });
  });
});

describe('a connection that fails', () => {
  it('is told in words of our own, whatever the browser calls it', async () => {
    for (const theirs of ['Failed to fetch', 'Load failed', 'NetworkError when attempting to fetch resource.']) {
      fetched.mockRejectedValueOnce(new TypeError(theirs));
      await expect(read(api.GET('/api/cars'))).rejects.toThrow(
        /^There is no connection to the garage\. Try again when it is back\.$/,
      );
    }
    fetched.mockRejectedValueOnce(new TypeError('Failed to fetch'));
    await expect(send('/garage', new Blob(['x']), 'application/zip')).rejects.toThrow('no connection to the garage');
  });

  it('is not what one is that was called off here', async () => {
    fetched.mockRejectedValueOnce(new DOMException('gone', 'AbortError'));
    await expect(read(api.GET('/api/cars'))).rejects.toMatchObject({ name: 'AbortError' });
  });
});

describe('what is created', () => {
  const made = (header: { 'Idempotency-Key': string }) =>
    api.POST('/api/cars/from-class', { params: { header }, body: { classId: 'hatch', name: 'x' } });

  it('carries one name through every try', async () => {
    fetched.mockRejectedValueOnce(new TypeError('network'));
    fetched.mockReturnValueOnce(answer(503, { detail: 'The database does not answer' }));
    fetched.mockReturnValueOnce(answer(201, { id: '7' }));
    expect(await create(made)).toEqual({ id: '7' });
    const names = [0, 1, 2].map((n) => sent(n).headers.get('Idempotency-Key'));
    expect(fetched).toHaveBeenCalledTimes(3);
    expect(new Set(names).size).toBe(1);
    expect(names[0]).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('is not sent again when it was refused', async () => {
    fetched.mockReturnValueOnce(answer(422, { detail: 'no' }));
    await expect(create(made)).rejects.toMatchObject({ status: 422 });
    expect(fetched).toHaveBeenCalledTimes(1);
  });

  it('is refused for good or for now', () => {
    expect([409, 412, 422].map((s) => isPassing(new ApiError(s, '', [], {})))).toEqual([false, false, false]);
    expect([429, 500, 503].map((s) => isPassing(new ApiError(s, '', [], {})))).toEqual([true, true, true]);
    expect(isPassing(new TypeError('network'))).toBe(true);
    expect([409, 412, 422, 503].map((s) => mayAskAgain(new ApiError(s, '', [], {})))).toEqual([
      true,
      false,
      false,
      true,
    ]);
  });
});
