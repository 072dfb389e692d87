// @vitest-environment happy-dom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiError } from '../api/client';
import { useOutbox } from './useOutbox';

interface Entry {
  readonly id: string;
  readonly text: string;
}

const KEY = 'isotherm.entries:test';

/** A server that can be out of reach, and that refuses what it does not like. */
function server() {
  const arrived: Entry[] = [];
  const state = { reachable: true, refuses: '' };
  const send = vi.fn((entry: Entry): Promise<void> => {
    if (!state.reachable) {
      return Promise.reject(new TypeError('Failed to fetch'));
    }
    if (entry.text === state.refuses) {
      return Promise.reject(new ApiError(422, 'Invalid document', [{ path: '/on', message: 'No start yet' }], {}));
    }
    arrived.push(entry);
    return Promise.resolve();
  });
  return { arrived, state, send };
}

function outbox(there: ReturnType<typeof server>, onRefused: () => void = () => undefined) {
  return renderHook(() => useOutbox<Entry>({ key: KEY, send: there.send, onRefused }));
}

const kept = () => JSON.parse(localStorage.getItem(KEY) ?? '[]') as Entry[];

/** Lets timers and what waits for them run. */
const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('what is written', () => {
  it('arrives at once and is forgotten here', async () => {
    const there = server();
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'drained' }));
    await pass(0);
    expect(there.arrived).toEqual([{ id: '1', text: 'drained' }]);
    expect(result.current.waiting).toEqual([]);
    expect(result.current.offline).toBe(false);
    expect(kept()).toEqual([]);
  });

  it('is added by the same function whatever is on its way', async () => {
    const there = server();
    const { result } = outbox(there);
    const { add, forget } = result.current;
    act(() => add({ id: '1', text: 'drained' }));
    await pass(0);
    expect(there.arrived).toHaveLength(1);
    expect(result.current.add).toBe(add);
    expect(result.current.forget).toBe(forget);
  });

  it('is kept in the browser before it is sent', () => {
    const there = server();
    there.send.mockReturnValue(new Promise(() => undefined));
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'drained' }));
    expect(kept()).toEqual([{ id: '1', text: 'drained' }]);
    expect(result.current.waiting).toHaveLength(1);
  });

  it('waits while there is no connection and arrives in its order when there is one again', async () => {
    const there = server();
    there.state.reachable = false;
    const { result } = outbox(there);
    for (const id of ['1', '2', '3']) {
      act(() => result.current.add({ id, text: `step ${id}` }));
      await pass(0);
    }
    expect(result.current.offline).toBe(true);
    expect(result.current.waiting.map((e) => e.id)).toEqual(['1', '2', '3']);
    expect(kept().map((e) => e.id)).toEqual(['1', '2', '3']);
    await pass(5000);
    expect(there.arrived).toEqual([]);
    there.state.reachable = true;
    await pass(2500);
    expect(there.arrived.map((e) => e.id)).toEqual(['1', '2', '3']);
    expect(result.current.offline).toBe(false);
    expect(result.current.waiting).toEqual([]);
    expect(kept()).toEqual([]);
  });

  it('goes as soon as the browser says that it is online', async () => {
    const there = server();
    there.state.reachable = false;
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'drained' }));
    await pass(0);
    there.state.reachable = true;
    act(() => {
      window.dispatchEvent(new Event('online'));
    });
    await pass(0);
    expect(there.arrived).toHaveLength(1);
  });

  it('outlives its page', async () => {
    const there = server();
    there.state.reachable = false;
    const first = outbox(there);
    act(() => first.result.current.add({ id: '1', text: 'drained' }));
    await pass(0);
    first.unmount();
    there.state.reachable = true;
    const second = outbox(there);
    expect(second.result.current.waiting).toHaveLength(1);
    await pass(0);
    expect(there.arrived).toEqual([{ id: '1', text: 'drained' }]);
    expect(second.result.current.waiting).toEqual([]);
  });

  it('is sent once, however often it is asked for meanwhile', async () => {
    const there = server();
    let answer: () => void = () => undefined;
    there.send.mockImplementationOnce(
      (entry) =>
        new Promise((resolve) => {
          answer = () => {
            there.arrived.push(entry);
            resolve();
          };
        }),
    );
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'a' }));
    await pass(0);
    act(() => result.current.add({ id: '2', text: 'b' }));
    act(() => {
      window.dispatchEvent(new Event('online'));
    });
    await pass(0);
    expect(there.send).toHaveBeenCalledTimes(1);
    act(() => answer());
    await pass(0);
    expect(there.arrived.map((e) => e.id)).toEqual(['1', '2']);
  });
});

describe('what the server does not take', () => {
  it('says why, is not sent again, and holds nothing up', async () => {
    const there = server();
    there.state.refuses = 'start';
    const refused = vi.fn();
    const { result } = outbox(there, refused);
    act(() => result.current.add({ id: '1', text: 'start' }));
    act(() => result.current.add({ id: '2', text: 'note' }));
    await pass(0);
    expect(there.arrived.map((e) => e.id)).toEqual(['2']);
    expect(refused).toHaveBeenCalledTimes(1);
    expect(result.current.refused).toEqual([{ entry: { id: '1', text: 'start' }, why: 'No start yet' }]);
    expect(kept()).toEqual([]);
    act(() => result.current.forget('1'));
    expect(result.current.refused).toEqual([]);
  });

  it('is kept when it is the server that failed', async () => {
    const there = server();
    there.send.mockRejectedValueOnce(new ApiError(503, 'Service Unavailable', [], {}));
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'drained' }));
    await pass(0);
    expect(result.current.offline).toBe(true);
    expect(kept()).toHaveLength(1);
    await pass(2500);
    expect(there.arrived).toHaveLength(1);
  });
});

describe('two pages of one browser', () => {
  it('lose nothing of each other and send everything once', async () => {
    const there = server();
    there.state.reachable = false;
    const { result } = outbox(there);
    act(() => result.current.add({ id: '1', text: 'here' }));
    await pass(0);
    // Another page writes into the same memory.
    localStorage.setItem(KEY, JSON.stringify([...kept(), { id: '2', text: 'there' }]));
    act(() => {
      window.dispatchEvent(new StorageEvent('storage', { key: KEY }));
    });
    expect(result.current.waiting.map((e) => e.id)).toEqual(['1', '2']);
    act(() => result.current.add({ id: '3', text: 'here again' }));
    there.state.reachable = true;
    await pass(2500);
    expect(there.arrived.map((e) => e.id)).toEqual(['1', '2', '3']);
    expect(kept()).toEqual([]);
  });

  it('share one outbox in one page', async () => {
    const there = server();
    const first = outbox(there);
    const second = outbox(there);
    act(() => first.result.current.add({ id: '1', text: 'once' }));
    await pass(0);
    expect(there.send).toHaveBeenCalledTimes(1);
    expect(second.result.current.waiting).toEqual([]);
  });

  it('keep what was refused until it is read', async () => {
    const there = server();
    there.state.refuses = 'start';
    const first = outbox(there);
    act(() => first.result.current.add({ id: '1', text: 'start' }));
    await pass(0);
    first.unmount();
    expect(outbox(there).result.current.refused).toHaveLength(1);
  });
});

describe('a browser whose memory was spoiled', () => {
  it('begins with nothing rather than not at all', () => {
    localStorage.setItem(KEY, '{not json');
    const { result } = outbox(server());
    expect(result.current.waiting).toEqual([]);
  });
});
