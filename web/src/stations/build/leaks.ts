import type { Schemas } from '../../api/client';
import { choices } from '../../api/descriptions';
import type { BuildView, Entry } from './useSheet';

export type LeakState = Schemas['LeakDocument'];
type Step = Schemas['LeakStepDocument'];

/** Leaks as the server knows them, with what is written here and has not arrived yet. */
export function leaksWith(view: BuildView, waiting: readonly Entry[]): readonly LeakState[] {
  const found: LeakState[] = waiting
    .filter((w) => w.kind === 'LEAK' && !view.progress.leaks.some((l) => l.found.id === w.id))
    .map((w) => ({ found: w, kind: w.leak ?? 'OTHER', steps: steps(w.leak ?? 'OTHER'), open: true }));
  return [...view.progress.leaks, ...found].map((l) => {
    const about = waiting.filter((w) => w.on === l.found.id);
    const mistaken = l.mistaken ?? about.find((w) => w.kind === 'NO_LEAK');
    const done: Step[] = l.steps.map((s) => {
      const here = s.done ?? about.find((w) => w.kind === 'LEAK_STEP' && w.text === s.step);
      return here ? { ...s, done: here } : s;
    });
    return { ...l, steps: done, open: !mistaken && !done.at(-1)?.done, ...(mistaken ? { mistaken } : {}) };
  });
}

/** What is done about a leak that the server has not heard of: the same words, in the server's order. */
function steps(kind: string): Step[] {
  return choices('LeakStepDocument', 'step').map((step) => ({
    step,
    what: { key: `leakStep.${step}.what`, values: { kind: { choice: kind } } },
    caution: { key: `leakStep.${step}.caution`, values: {} },
  }));
}
