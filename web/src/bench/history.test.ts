import { describe, expect, it } from 'vitest';
import { amended, moved, recorded, type History, type Step } from './history';

const empty: History = { past: [], future: [] };
const step = (after: number, at: number, id = 'd1'): Step => ({
  what: 'design',
  id,
  before: { rows: after - 1 },
  after: { rows: after },
  at,
});
const open = { car: 'c', duty: 'u', design: 'd1' };

describe('history', () => {
  it('takes changes in one gesture together and later ones apart', () => {
    const h = [step(11, 0), step(12, 300), step(13, 5000)].reduce(recorded, empty);
    expect(h.past).toHaveLength(2);
    expect(h.past[0]?.before).toEqual({ rows: 10 });
    expect(h.past[0]?.after).toEqual({ rows: 12 });
  });

  it('undoes what follows from a change together with it', () => {
    const h = amended([step(11, 0), step(12, 5000)].reduce(recorded, empty), step(13, 9000));
    expect(h.past).toHaveLength(2);
    expect(h.past[1]?.before).toEqual({ rows: 11 });
    expect(h.past[1]?.after).toEqual({ rows: 13 });
    // What does not follow from the last change stands by itself.
    expect(amended(h, step(21, 9900)).past).toHaveLength(3);
  });

  it('goes back and forth', () => {
    const h = [step(11, 0), step(12, 5000)].reduce(recorded, empty);
    const back = moved(h, true, open);
    expect(back?.step.before).toEqual({ rows: 11 });
    const again = moved(back?.history ?? empty, false, open);
    expect(again?.step.after).toEqual({ rows: 12 });
    expect(again?.history.past).toHaveLength(2);
  });

  it('leaves steps of documents alone that are not open', () => {
    const h = [step(11, 0), step(30, 5000, 'd2')].reduce(recorded, empty);
    expect(moved(h, true, open)?.step.id).toBe('d1');
    expect(moved(h, true, { ...open, design: 'd3' })).toBeUndefined();
  });

  it('forgets what was undone when something new is done', () => {
    const back = moved(recorded(empty, step(11, 0)), true, open);
    expect(recorded(back?.history ?? empty, step(20, 9000)).future).toEqual([]);
  });

  it('keeps nothing of a gesture that ends where it began', () => {
    const there: Step = { ...step(11, 0) };
    const home: Step = { ...there, before: there.after, after: there.before, at: 100 };
    expect([there, home].reduce(recorded, empty).past).toEqual([]);
  });
});
