import type { Message } from '../../words/words';
import { leaksWith } from './leaks';
import { looseWith } from './loose';
import type { BuildView, Entry, GateState, SheetStep, StepState } from './useSheet';

/**
 * What may be done next, with what is written here and has not arrived yet. The rules are the server's: here they are only read
 * again from what it said, so that the work goes on without it. It has the last word when the entries arrive.
 */
export interface ProgressWith {
  readonly done: number;
  readonly gates: readonly GateState[];
  readonly isDone: (id: string) => boolean;
  readonly refusal: (step: SheetStep) => Message | undefined;
}

/** Whether a step is done, with what is written here and has not arrived yet. */
function isDone(state: StepState | undefined, waiting: readonly Entry[]): boolean {
  return waiting
    .filter((w) => w.on === state?.id)
    .reduce((is, w) => (w.kind === 'DONE' ? true : w.kind === 'NOT_DONE' ? false : is), state?.done !== undefined);
}

export function progressWith(view: BuildView, waiting: readonly Entry[]): ProgressWith {
  const { build, progress } = view;
  const states = new Map(progress.steps.map((s) => [s.id, s] as const));
  const steps = new Map(build.steps.map((s, i) => [s.id, { step: s, at: i }] as const));
  const leaks = leaksWith(view, waiting).filter((l) => l.open);
  const allBack = looseWith(view, waiting).every((l) => l.back);
  const done = (id: string) => isDone(states.get(id), waiting);
  const read = (step: SheetStep) => {
    const wanted = step.reading;
    if (!wanted) {
      return true;
    }
    const last = waiting.filter((w) => w.kind === 'READING' && w.on === step.id).at(-1) ?? states.get(step.id)?.reading;
    return last?.value === undefined
      ? !wanted.needed
      : last.value >= (wanted.least ?? -Infinity) && last.value <= (wanted.most ?? Infinity);
  };
  const settled = (id: string) => {
    const step = steps.get(id)?.step;
    return (
      step !== undefined &&
      done(id) &&
      read(step) &&
      (step.stage !== 'REFIT' || allBack) &&
      !leaks.some((l) => l.found.on === id)
    );
  };
  const gates = progress.gates.map((g): GateState => {
    const override = g.override ?? waiting.find((w) => w.kind === 'OVERRIDE' && w.on === g.gate);
    const missing = g.missing.filter((id) => !settled(id));
    return { ...g, missing, open: missing.length === 0 || override !== undefined, ...(override ? { override } : {}) };
  });
  return {
    done: build.steps.filter((s) => done(s.id)).length,
    gates,
    isDone: done,
    refusal: (step) => {
      const told = states.get(step.id)?.refusal;
      if (waiting.length === 0) {
        return told;
      }
      const at = steps.get(step.id)?.at ?? 0;
      const leak = leaks.find((l) => (steps.get(l.found.on ?? '')?.at ?? 0) <= at);
      if (leak) {
        return told ?? { key: 'sheetRefusal.LEAK_OPEN.text', values: { where: { text: leak.found.text ?? '' } } };
      }
      const open = gates.find((g) => g.gate === step.behind)?.open ?? true;
      const listed = told?.key !== 'sheetRefusal.STILL_OFF.text' || allBack;
      return open && read(step) && listed ? undefined : told;
    },
  };
}
