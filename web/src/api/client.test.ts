import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiError, call, create, fields, isPassing, meaning, range, send, watch, type JobView } from './client';

const answer = (status: number, body?: unknown) =>
  Promise.resolve(new Response(body === undefined ? null : JSON.stringify(body), { status }));

const fetched = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetched);

afterEach(() => {
  fetched.mockReset();
});

describe('a call', () => {
  it('sends JSON to the API and gives its answer', async () => {
    fetched.mockReturnValueOnce(answer(200, { version: 3 }));
    expect(await call('PUT', '/cars/1', { name: 'x' }, { headers: { 'If-Match': '"2"' } })).toEqual({ version: 3 });
    const [path, init] = fetched.mock.calls[0] ?? [];
    expect(path).toBe('/api/cars/1');
    expect(init?.method).toBe('PUT');
    expect(init?.body).toBe('{"name":"x"}');
    expect(init?.headers).toEqual({ 'content-type': 'application/json', 'If-Match': '"2"' });
  });

  it('says nothing of JSON where it sends none, and takes an empty answer', async () => {
    fetched.mockReturnValueOnce(answer(204));
    expect(await call('DELETE', '/cars/1')).toBeUndefined();
    const [, init] = fetched.mock.calls[0] ?? [];
    expect(init?.headers).toEqual({});
    expect(init?.body).toBeUndefined();
  });

  it('throws what the server says, with every problem', async () => {
    const problems = [{ path: '/car/oilVolumeL', message: '90 L is outside 1 to 40 L' }];
    fetched.mockReturnValueOnce(answer(422, { detail: 'The car cannot be taken', problems }));
    const error = await call('POST', '/cars', {}).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject({ status: 422, message: 'The car cannot be taken', problems });
  });

  it('throws something readable when the answer is none', async () => {
    fetched.mockReturnValueOnce(Promise.resolve(new Response('<html>', { status: 502, statusText: 'Bad Gateway' })));
    await expect(call('GET', '/cars')).rejects.toMatchObject({ status: 502, message: 'Bad Gateway', problems: [] });
  });
});

describe('a file', () => {
  it('goes as it is, with its type', async () => {
    fetched.mockReturnValueOnce(answer(201, { id: '7' }));
    expect(await send('/cars/1/uploads?name=a.csv', 'time,speed', 'application/octet-stream')).toEqual({ id: '7' });
    const [path, init] = fetched.mock.calls[0] ?? [];
    expect(path).toBe('/api/cars/1/uploads?name=a.csv');
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
    fetched.mockReturnValueOnce(answer(422, { title: 'The document cannot be taken', problems }));
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
    expect(fetched.mock.calls.map(([path]) => path)).toEqual(['/api/jobs/j', '/api/jobs/j']);
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
});

describe('what is created', () => {
  it('carries one name through every try', async () => {
    fetched.mockRejectedValueOnce(new TypeError('network'));
    fetched.mockReturnValueOnce(answer(503, { detail: 'The database does not answer' }));
    fetched.mockReturnValueOnce(answer(201, { id: '7' }));
    expect(await create('/cars', { name: 'x' })).toEqual({ id: '7' });
    const names = fetched.mock.calls.map(([, init]) => (init?.headers as Record<string, string>)['Idempotency-Key']);
    expect(names).toHaveLength(3);
    expect(new Set(names).size).toBe(1);
    expect(names[0]).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('is not sent again when it was refused', async () => {
    fetched.mockReturnValueOnce(answer(422, { detail: 'no' }));
    await expect(create('/cars', {})).rejects.toMatchObject({ status: 422 });
    expect(fetched).toHaveBeenCalledTimes(1);
  });

  it('is refused for good or for now', () => {
    expect([409, 412, 422].map((s) => isPassing(new ApiError(s, '', [], {})))).toEqual([false, false, false]);
    expect([429, 500, 503].map((s) => isPassing(new ApiError(s, '', [], {})))).toEqual([true, true, true]);
    expect(isPassing(new TypeError('network'))).toBe(true);
  });
});

describe('the description of the API', () => {
  it('says what a field means', () => {
    expect(meaning('DutyDocument', '/ambientC')).toBe('Air temperature, °C');
    expect(meaning('DutyDocument', '/track/stretches/3/lengthM')).toBe('Length, m');
    expect(meaning('DutyDocument', '/nobody')).toBeUndefined();
  });

  it('gives the range of a field with what it means', () => {
    expect(range('CoolerDocument', 'rows')).toEqual({ min: 2, max: 60, description: expect.stringContaining('rows') });
    expect(range('DutyDocument', 'ambientC').min).toBeLessThan(-10);
  });

  it('gives no range where there is none', () => {
    const name = range('DesignDocument', 'name');
    expect(name.min).toBe(-Infinity);
    expect(name.max).toBe(Infinity);
  });

  it('tells what kind of field each is, by which a form is made', () => {
    const kinds = new Map(fields('HosePartDocument').map((f) => [f.name, f]));
    expect(kinds.get('maker')).toMatchObject({ kind: 'text', label: 'Maker' });
    expect(kinds.get('family')).toMatchObject({ kind: 'choice' });
    const numbers = [...kinds.values()].filter((f) => f.kind === 'number');
    expect(numbers.length).toBeGreaterThan(3);
    for (const f of numbers) {
      expect(f.kind === 'number' && f.min < f.max).toBe(true);
    }
  });

  it('puts the words of a name apart', () => {
    expect(fields('CoolerDocument').find((f) => f.name === 'sealingPercent')?.label).toBe('Sealing percent');
  });
});
