// @vitest-environment happy-dom
import { createElement, type ReactNode } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Live } from '../../api/live';
import { useLive, useLogger, useShown, useTurning } from './useLive';

const ID = 'c0ffee00-0000-4000-8000-000000000001';

/** The stream that a page has open; the test says what comes. */
class Stream extends EventTarget {
  static open: Stream | undefined;
  closed = false;

  constructor(readonly url: string) {
    super();
    Stream.open = this;
  }

  close() {
    this.closed = true;
  }

  async says(event: string, data: unknown) {
    await act(async () => {
      this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
      await new Promise((done) => setTimeout(done));
    });
  }
}

const row = (rpm: number, time: number): Live => ({
  listening: true,
  simulated: true,
  turning: rpm > 50,
  time,
  values: { RPM: rpm },
  spoiled: [],
  silentSeconds: 0,
});

function opened() {
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => createElement(QueryClientProvider, { client }, children);
  const written = vi.fn();
  const drawn = { sheet: 0, panel: 0, buttons: 0 };
  const listens = renderHook(() => useLive(ID, written), { wrapper });
  const sheet = renderHook(() => (drawn.sheet++, useTurning(ID)), { wrapper });
  const panel = renderHook(() => (drawn.panel++, useShown(ID)), { wrapper });
  const buttons = renderHook(() => (drawn.buttons++, useLogger(ID)), { wrapper });
  return { listens, sheet, panel, buttons, written, drawn };
}

beforeEach(() => vi.stubGlobal('EventSource', Stream));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('what the gauges show', () => {
  it('draws the sheet anew only when the engine begins or ceases to turn', async () => {
    const { sheet, panel, drawn } = opened();
    expect(sheet.result.current).toBe(false);
    const before = drawn.sheet;
    await Stream.open?.says('sample', row(900, 1));
    expect(sheet.result.current).toBe(true);
    const once = drawn.sheet;
    expect(once).toBeGreaterThan(before);
    for (const time of [2, 3, 4, 5]) {
      await Stream.open?.says('sample', row(900 + time, time));
    }
    expect(panel.result.current?.values.RPM).toBe(905);
    expect(drawn.sheet).toBe(once);
    expect(drawn.panel).toBeGreaterThan(5);
    await Stream.open?.says('sample', row(0, 6));
    expect(sheet.result.current).toBe(false);
  });

  it('draws what is pressed anew only with another logger', async () => {
    const { buttons, panel, drawn } = opened();
    expect(buttons.result.current.listening).toBe(false);
    await Stream.open?.says('sample', row(900, 1));
    expect(buttons.result.current).toEqual({ listening: true, simulated: true });
    const once = drawn.buttons;
    for (const time of [2, 3, 4, 5]) {
      await Stream.open?.says('sample', row(900 + time, time));
    }
    expect(panel.result.current?.time).toBe(5);
    expect(drawn.buttons).toBe(once);
    await Stream.open?.says('sample', { ...row(900, 6), simulated: false });
    expect(buttons.result.current.simulated).toBe(false);
  });

  it('says when something was written, and forgets what it showed when nobody listens any more', async () => {
    const { listens, panel, written } = opened();
    await Stream.open?.says('sample', row(900, 1));
    await Stream.open?.says('written', { at: '2026-11-28T10:00:00Z' });
    expect(written).toHaveBeenCalledTimes(1);
    listens.unmount();
    expect(Stream.open?.closed).toBe(true);
    panel.rerender();
    expect(panel.result.current).toBeUndefined();
  });
});
