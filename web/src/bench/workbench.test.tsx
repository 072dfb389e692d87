// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { CarView } from '../api/client';
import { useBench, Workbench } from './workbench';

const VIEW = {
  id: 'car',
  version: 1,
  car: { name: 'Invented' },
  duties: [{ id: 'duty', version: 1, duty: { name: 'A day', ambientC: 20 } }],
  designs: [{ id: 'design', version: 1, design: { name: 'Small', keepFactoryExchanger: true } }],
} as unknown as CarView;

function opened() {
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <Workbench view={VIEW} dutyId="duty" designId="design" ghostId={undefined}>
        {children}
      </Workbench>
    </QueryClientProvider>
  );
  return renderHook(() => useBench(), { wrapper }).result;
}

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  // Nobody answers: what is looked at here is there before any answer.
  vi.stubGlobal(
    'fetch',
    vi.fn(() => new Promise(() => undefined)),
  );
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the bench', () => {
  it('has the same ways to change it whatever is changed, so that nothing is drawn anew for them', () => {
    const bench = opened();
    const { now, changeCar, changeDuty, changeDesign, followDesign } = bench.current;
    act(() => changeDesign({ ...now().design, name: 'Large' }));
    expect(bench.current.design.name).toBe('Large');
    expect(bench.current).toMatchObject({ design: { name: 'Large' }, car: { name: 'Invented' } });
    expect(bench.current.now).toBe(now);
    expect(bench.current.changeCar).toBe(changeCar);
    expect(bench.current.changeDuty).toBe(changeDuty);
    expect(bench.current.changeDesign).toBe(changeDesign);
    expect(bench.current.followDesign).toBe(followDesign);
  });

  it('loses neither of two changes that are made before it is drawn', () => {
    const bench = opened();
    const { now, changeDesign } = bench.current;
    act(() => {
      changeDesign({ ...now().design, name: 'Large' });
      changeDesign({ ...now().design, keepFactoryExchanger: false });
    });
    expect(bench.current.design).toEqual({ name: 'Large', keepFactoryExchanger: false });
  });

  it('takes changes of each document back and makes them again', () => {
    const bench = opened();
    const { now, changeDuty, changeDesign } = bench.current;
    expect(bench.current.undo).toBeUndefined();
    act(() => changeDuty({ ...now().duty, ambientC: 30 }));
    act(() => changeDesign({ ...now().design, name: 'Large' }));
    act(() => bench.current.undo?.());
    expect(bench.current).toMatchObject({ duty: { ambientC: 30 }, design: { name: 'Small' } });
    act(() => bench.current.undo?.());
    expect(bench.current).toMatchObject({ duty: { ambientC: 20 }, design: { name: 'Small' } });
    expect(bench.current.undo).toBeUndefined();
    act(() => bench.current.redo?.());
    act(() => bench.current.redo?.());
    expect(bench.current).toMatchObject({ duty: { ambientC: 30 }, design: { name: 'Large' } });
    expect(bench.current.redo).toBeUndefined();
  });

  it('takes back what followed from a change together with it', () => {
    const bench = opened();
    const { now, changeDesign, followDesign } = bench.current;
    act(() => changeDesign({ ...now().design, name: 'Large' }));
    // Long after the gesture, as an answer comes: else the two would be one anyway.
    vi.setSystemTime(Date.now() + 1000);
    act(() => followDesign({ ...now().design, keepFactoryExchanger: false }));
    act(() => bench.current.undo?.());
    expect(bench.current.design).toEqual({ name: 'Small', keepFactoryExchanger: true });
  });
});
