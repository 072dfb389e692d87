// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { queries } from '../../api/queries';
import { PreferencesProvider } from '../../preferences/preferences';
import type { BuildView, Entry, Sheet, SheetStep } from './useSheet';
import { Worked } from './Worked';

/** How often each step was drawn: what it says is read by its own card alone. */
const drawn = new Map<string, number>();

function step(id: string): SheetStep {
  return {
    id,
    stage: 'MOUNT',
    why: '',
    figures: [],
    get what() {
      drawn.set(id, (drawn.get(id) ?? 0) + 1);
      return id;
    },
  };
}

const STEPS = ['first', 'second', 'third', 'fourth'].map(step);

const VIEW = {
  id: 'build',
  version: 1,
  build: { name: 'B', steps: STEPS },
  progress: {
    done: 0,
    steps: STEPS.map(({ id }) => ({ id, notes: [] })),
    gates: [],
    off: [],
    alarms: [],
    leaks: [],
    freeMarks: [],
  },
} as unknown as BuildView;

const written: Pick<Entry, 'kind' | 'on'>[] = [];

const SHEET: Sheet = {
  view: VIEW,
  error: null,
  waiting: [],
  offline: false,
  refused: [],
  write: (what) => written.push(what),
  addPicture: () => Promise.resolve(''),
  refresh: () => undefined,
  forget: () => undefined,
};

const client = new QueryClient();
client.setQueryData(queries.me().queryKey, { may: ['BUILDER'] } as never);

const page = (sheet: Sheet) => (
  <QueryClientProvider client={client}>
    <PreferencesProvider>
      <Worked view={VIEW} sheet={sheet} mayWrite turning={false} />
    </PreferencesProvider>
  </QueryClientProvider>
);

afterEach(cleanup);

describe('a run sheet', () => {
  it('draws the step that is done and the one whose turn it then is, and no other', () => {
    const { rerender, getByRole } = render(page(SHEET));
    getByRole('button', { name: 'Done: first' }).click();
    expect(written).toEqual([{ kind: 'DONE', on: 'first' }]);
    drawn.clear();
    rerender(page({ ...SHEET, waiting: [{ id: '1', at: '', who: 'Ada', kind: 'DONE', on: 'first' }] }));
    expect(getByRole('button', { name: 'Not done: first' })).toBeTruthy();
    expect(getByRole('listitem', { current: 'step' }).getAttribute('aria-label')).toBe('second');
    expect([...drawn.keys()].sort()).toEqual(['first', 'second']);
  });
});
