// @vitest-environment happy-dom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, read, SIGNED_OUT } from '../api/client';
import { useSaved, type Put } from './useSaved';

interface Doc {
  readonly rows: number;
}

const ID = 'c0ffee00-0000-4000-8000-000000000001';
const PATH = `/duties/${ID}`;
const KEY = `isotherm.unsaved:${PATH}`;
const fetched = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetched);

/** A server with one document under a version, which can be out of reach. */
function server(rows: number, version: number) {
  const there = { document: { rows } as Doc, version, reachable: true, refuses: false, knows: true };
  fetched.mockImplementation(async (asked) => {
    const request = asked as Request;
    if (!there.reachable) {
      return Promise.reject(new TypeError('Failed to fetch'));
    }
    if (!there.knows) {
      return Promise.resolve(new Response('{"detail":"Sign in first."}', { status: 401 }));
    }
    if (there.refuses) {
      return Promise.resolve(new Response('{"detail":"900 is outside 2 to 60"}', { status: 422 }));
    }
    const basedOn = Number(request.headers.get('If-Match')?.replaceAll('"', ''));
    if (basedOn !== there.version) {
      return Promise.resolve(
        new Response(JSON.stringify({ current: there.document, currentVersion: there.version }), { status: 412 }),
      );
    }
    there.document = (await request.json()) as Doc;
    there.version++;
    return Promise.resolve(new Response(JSON.stringify({ version: there.version }), { status: 200 }));
  });
  return there;
}

/** As the bench sends it. */
const put: Put<Doc> = (body, header, keepalive) =>
  read(api.PUT('/api/duties/{id}', { params: { path: { id: ID }, header }, body: body as never, keepalive }));

const open = (rows: number, version: number, told = vi.fn()) =>
  renderHook(({ stored, at }: { stored: Doc; at: number }) => useSaved<Doc>(PATH, put, stored, at, told), {
    initialProps: { stored: { rows }, at: version },
  });

const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
const draft = () => localStorage.getItem(KEY);

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  fetched.mockReset();
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('a document', () => {
  it('is told as it is at once, before it is drawn, by one and the same function', () => {
    server(10, 1);
    const { result } = open(10, 1);
    const { now } = result.current;
    act(() => {
      result.current.change({ rows: 11 });
      expect(now()).toEqual({ rows: 11 });
      expect(result.current.document).toEqual({ rows: 10 });
    });
    expect(result.current.document).toEqual({ rows: 11 });
    expect(result.current.now).toBe(now);
  });

  it('is saved a moment after the last change, once', async () => {
    const there = server(10, 1);
    const told = vi.fn();
    const { result } = open(10, 1, told);
    for (const rows of [11, 12, 13]) {
      act(() => result.current.change({ rows }));
      await pass(100);
    }
    expect(result.current.state.kind).toBe('saving');
    expect(fetched).not.toHaveBeenCalled();
    await pass(400);
    expect(fetched).toHaveBeenCalledTimes(1);
    expect(there.document).toEqual({ rows: 13 });
    expect(result.current.state.kind).toBe('saved');
    expect(told).toHaveBeenLastCalledWith({ rows: 13 }, 2);
    expect(draft()).toBeNull();
  });

  it('is kept in the browser from the first keystroke to the answer', async () => {
    server(10, 1);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 11 }));
    expect(JSON.parse(draft() ?? '{}')).toMatchObject({ document: { rows: 11 }, version: 1 });
    await pass(500);
    expect(draft()).toBeNull();
  });

  it('that is changed while it is being saved is saved again', async () => {
    const there = server(10, 1);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 11 }));
    await act(async () => {
      await vi.advanceTimersByTimeAsync(300);
      result.current.change({ rows: 12 });
    });
    await pass(1000);
    expect(there.document).toEqual({ rows: 12 });
    expect(result.current.state.kind).toBe('saved');
  });
});

describe('without a connection', () => {
  it('nothing is lost, and all is saved when it is back', async () => {
    const there = server(10, 1);
    there.reachable = false;
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 14 }));
    await pass(500);
    expect(result.current.state.kind).toBe('offline');
    expect(result.current.document).toEqual({ rows: 14 });
    there.reachable = true;
    await pass(2500);
    expect(there.document).toEqual({ rows: 14 });
    expect(result.current.state.kind).toBe('saved');
  });

  it('a page that was closed goes on from its draft', async () => {
    const there = server(10, 1);
    there.reachable = false;
    const first = open(10, 1);
    act(() => first.result.current.change({ rows: 14 }));
    await pass(500);
    first.unmount();
    there.reachable = true;
    const second = open(10, 1);
    expect(second.result.current.document).toEqual({ rows: 14 });
    await pass(500);
    expect(there.document).toEqual({ rows: 14 });
    expect(draft()).toBeNull();
  });
});

describe('what was changed elsewhere', () => {
  it('is taken over while nothing is unsaved here', async () => {
    server(20, 2);
    const { result, rerender } = open(10, 1);
    rerender({ stored: { rows: 20 }, at: 2 });
    await pass(0);
    expect(result.current.document).toEqual({ rows: 20 });
    expect(result.current.state.kind).toBe('updated');
  });

  it('is told and not overwritten when something is unsaved here', async () => {
    const there = server(20, 2);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 12 }));
    await pass(500);
    expect(result.current.state).toMatchObject({ kind: 'conflict', theirs: { rows: 20 }, theirVersion: 2 });
    expect(there.document).toEqual({ rows: 20 });
    expect(result.current.document, 'what is here stays here').toEqual({ rows: 12 });
  });

  it('gives way when a person keeps what is here', async () => {
    const there = server(20, 2);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 12 }));
    await pass(500);
    act(() => result.current.settle(true));
    await pass(500);
    expect(there.document).toEqual({ rows: 12 });
    expect(result.current.state.kind).toBe('saved');
  });

  it('is taken when a person says so', async () => {
    const there = server(20, 2);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 12 }));
    await pass(500);
    act(() => result.current.settle(false));
    await pass(500);
    expect(result.current.document).toEqual({ rows: 20 });
    expect(there.document).toEqual({ rows: 20 });
    expect(draft()).toBeNull();
  });

  it('is no conflict when it is what was sent from here and never answered', async () => {
    const there = server(10, 1);
    const { result } = open(10, 1);
    fetched.mockImplementationOnce(async (asked) => {
      // It arrives, and its answer is lost.
      there.document = (await (asked as Request).json()) as Doc;
      there.version++;
      throw new TypeError('Failed to fetch');
    });
    act(() => result.current.change({ rows: 15 }));
    await pass(500);
    expect(result.current.state.kind).toBe('offline');
    await pass(2500);
    expect(result.current.state.kind).toBe('saved');
    expect(there).toMatchObject({ document: { rows: 15 }, version: 2 });
  });
});

describe('what the server refuses', () => {
  it('stays here with the reason, and goes when it is mended', async () => {
    const there = server(10, 1);
    there.refuses = true;
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 900 }));
    await pass(500);
    expect(result.current.state).toEqual({ kind: 'refused', message: '900 is outside 2 to 60' });
    expect(result.current.document).toEqual({ rows: 900 });
    there.refuses = false;
    act(() => result.current.change({ rows: 9 }));
    await pass(500);
    expect(there.document).toEqual({ rows: 9 });
    expect(result.current.state.kind).toBe('saved');
  });
});

describe('a document of somebody whose session has ended', () => {
  it('waits here until they have signed in again', async () => {
    const there = server(10, 1);
    there.knows = false;
    const out = vi.fn();
    window.addEventListener(SIGNED_OUT, out);
    const { result } = open(10, 1);
    act(() => result.current.change({ rows: 14 }));
    await pass(400);
    expect(result.current.state.kind).toBe('offline');
    expect(out).toHaveBeenCalled();
    expect(draft()).toContain('14');
    there.knows = true;
    await pass(2500);
    expect(there.document.rows).toBe(14);
    expect(draft()).toBeNull();
    window.removeEventListener(SIGNED_OUT, out);
  });
});

describe('a document of a viewer', () => {
  it('is tried here and sent nowhere', async () => {
    const there = server(10, 1);
    const { result } = renderHook(() => useSaved<Doc>(PATH, put, { rows: 10 }, 1, vi.fn(), false));
    act(() => result.current.change({ rows: 15 }));
    await pass(5000);
    expect(result.current.document.rows).toBe(15);
    expect(result.current.state.kind).toBe('tried');
    expect(there.document.rows).toBe(10);
    expect(fetched).not.toHaveBeenCalled();
    expect(draft()).toBeNull();
  });
});
