import { describe, expect, it } from 'vitest';
import { leaksWith } from './leaks';
import { described, looseWith } from './loose';
import { progressWith } from './progressWith';
import type { BuildView, Entry, SheetStep } from './useSheet';

const step = (id: string, more: Partial<SheetStep> = {}): SheetStep => ({
  id,
  stage: 'LEAK_CHECK',
  what: id,
  why: '',
  figures: [],
  ...more,
});

const STEPS = [
  step('crank', { reading: { name: 'pressure', measure: 'PRESSURE', least: 1.4, needed: true } }),
  step('look'),
  step('idle', { behind: 'START' }),
  step('refit', { stage: 'REFIT' }),
  step('drive', { stage: 'FIRST_DRIVE', behind: 'DRIVE' }),
];

const SHUT = { key: 'sheetRefusal.GATE_SHUT.text', values: {} };

/** A sheet on which nothing is done, as the server tells it. */
function view(change: (v: BuildView) => void = () => undefined): BuildView {
  const v: BuildView = {
    id: 'b',
    version: 1,
    build: {
      name: 'B',
      startedAt: '2026-01-01',
      leastCrankBar: 1.4,
      steps: STEPS,
    } as unknown as BuildView['build'],
    progress: {
      done: 0,
      next: 'crank',
      steps: STEPS.map((s) => ({
        id: s.id,
        notes: [],
        ...(s.behind || s.id === 'crank' ? { refusal: SHUT } : {}),
      })),
      gates: [
        { gate: 'START', words: SHUT, open: false, missing: ['crank', 'look'] },
        { gate: 'DRIVE', words: SHUT, open: false, missing: ['refit'] },
      ],
      off: [],
      alarms: [],
      leaks: [],
      freeMarks: ['A', 'B', 'C'],
    },
  };
  change(v);
  return v;
}

let number = 0;
const entry = (kind: Entry['kind'], on: string, more: Partial<Entry> = {}): Entry => ({
  id: `e${number++}`,
  at: '2026-01-01T10:00:00Z',
  who: 'Ada',
  kind,
  on,
  ...more,
});

const refused = (v: BuildView, waiting: Entry[], id: string) =>
  progressWith(v, waiting).refusal(STEPS.find((s) => s.id === id) ?? step(id)) !== undefined;

describe('without a connection', () => {
  it('the server has the only word as long as nothing waits', () => {
    expect(refused(view(), [], 'crank')).toBe(true);
    expect(refused(view(), [], 'look')).toBe(false);
  });

  it('a reading that is allowed lets its step be done, another does not', () => {
    expect(refused(view(), [entry('READING', 'crank', { value: 2 })], 'crank')).toBe(false);
    expect(refused(view(), [entry('READING', 'crank', { value: 1 })], 'crank')).toBe(true);
  });

  it('a gate opens when what it waits for is done here', () => {
    const read = entry('READING', 'crank', { value: 2 });
    const waiting = [read, entry('DONE', 'crank')];
    expect(refused(view(), waiting, 'idle')).toBe(true);
    waiting.push(entry('DONE', 'look'));
    expect(refused(view(), waiting, 'idle')).toBe(false);
    expect(progressWith(view(), waiting).gates[0]?.open).toBe(true);
    expect(progressWith(view(), waiting).done).toBe(2);
    waiting.push(entry('NOT_DONE', 'look'));
    expect(refused(view(), waiting, 'idle')).toBe(true);
  });

  it('an override that waits opens its gate', () => {
    expect(refused(view(), [entry('OVERRIDE', 'START', { text: 'seen' })], 'idle')).toBe(false);
  });

  it('a leak that waits holds its step and all after it', () => {
    const leak = entry('LEAK', 'look', { text: 'filter', leak: 'GASKET' });
    expect(refused(view(), [leak], 'look')).toBe(true);
    const mended = [
      leak,
      ...(leaksWith(view(), [leak])[0]?.steps ?? []).map((s) => entry('LEAK_STEP', leak.id, { text: s.step })),
    ];
    expect(leaksWith(view(), mended)[0]?.open).toBe(false);
    expect(refused(view(), mended, 'look')).toBe(false);
    expect(leaksWith(view(), [leak, entry('NO_LEAK', leak.id, { text: 'a drop' })])[0]?.open).toBe(false);
  });

  it('nothing is driven while something is off', () => {
    const off = entry('OFF', '', { text: 'bumper' });
    const waiting = [off, entry('DONE', 'refit')];
    expect(refused(view(), waiting, 'drive')).toBe(true);
    expect(refused(view(), [...waiting, entry('BACK_ON', off.id)], 'drive')).toBe(false);
  });
});

describe('what came off and waits', () => {
  it('has the letters that come next, and fasteners those of what they hold', () => {
    const bumper = entry('OFF', '', { text: 'bumper' });
    const tray = entry('OFF', '', { text: 'tray' });
    const bolts = entry('OFF', bumper.id, { text: 'bolts' });
    const off = looseWith(view(), [bumper, tray, bolts]);
    expect(off.map((l) => [l.mark, l.off.text])).toEqual([
      ['B', 'tray'],
      ['A', 'bumper'],
      ['A…', 'bolts'],
    ]);
    expect(looseWith(view(), [bumper, bolts, entry('NOT_OFF', bumper.id)])).toEqual([]);
  });

  it('is written as on its bag', () => {
    const mm = (v: number) => `${v} mm`;
    expect(described({ kind: 'BOLT', size: 'M6', lengthMm: 20, count: 4, place: 'upper edge' }, 'Bolt', mm)).toBe(
      '4 × bolt M6 × 20 mm, upper edge',
    );
    expect(described({ kind: 'PLUG' }, 'Electric plug', mm)).toBe('electric plug');
  });
});
