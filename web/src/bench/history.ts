import { useCallback, useRef, useState } from 'react';
import { sameDocument } from './sameDocument';

export type What = 'car' | 'duty' | 'design';

/** One change of one document. */
export interface Step {
  readonly what: What;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly at: number;
}

export interface History {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

const MOST = 80;
const LONGEST = 400_000;
/** Changes of one document that follow each other this closely are one: a drag, a held key. */
const ONE_GESTURE_MS = 700;
const WRITE_PAUSE_MS = 200;

/** A change put on top of what was done; what had been undone before it is gone. */
export function recorded(history: History, step: Step): History {
  const last = history.past[history.past.length - 1];
  const goesOn = last && last.what === step.what && last.id === step.id && step.at - last.at < ONE_GESTURE_MS;
  const made = goesOn ? { ...step, before: last.before } : step;
  const before = goesOn ? history.past.slice(0, -1) : history.past;
  // A gesture that ends where it began is none.
  return { past: sameDocument(made.before, made.after) ? before : [...before, made].slice(-MOST), future: [] };
}

/** What follows from a change of itself belongs to it: undone with it, not before it. */
export function amended(history: History, step: Step): History {
  const last = history.past[history.past.length - 1];
  return last && last.what === step.what && last.id === step.id && sameDocument(last.after, step.before)
    ? { ...history, past: [...history.past.slice(0, -1), { ...last, after: step.after }] }
    : recorded(history, step);
}

/** A change made now. */
export function stepNow(step: Omit<Step, 'at'>): Step {
  return { ...step, at: Date.now() };
}

/** The last step of the documents that are open, taken from one side and put on the other. */
export function moved(
  history: History,
  back: boolean,
  open: Record<What, string>,
): { history: History; step: Step } | undefined {
  const from = back ? history.past : history.future;
  for (let i = from.length - 1; i >= 0; i--) {
    const step = from[i] as Step;
    if (open[step.what] === step.id) {
      const rest = from.filter((_, j) => j !== i);
      // A later change must not flow into one that was undone.
      const settled = { ...step, at: 0 };
      return {
        step,
        history: back
          ? { past: rest, future: [...history.future, settled] }
          : { past: [...history.past, settled], future: rest },
      };
    }
  }
  return undefined;
}

function write(key: string, history: History): void {
  let kept = history;
  while (JSON.stringify(kept).length > LONGEST && kept.past.length > 1) {
    kept = { ...kept, past: kept.past.slice(Math.ceil(kept.past.length / 2)) };
  }
  try {
    localStorage.setItem(key, JSON.stringify(kept));
  } catch {
    // A full store only shortens how far back one can go.
    localStorage.removeItem(key);
  }
}

/** What was done to a car and its duties and designs, kept across reloads. */
export function useHistory(carId: string) {
  const key = `isotherm.history:${carId}`;
  const [history, setHistory] = useState<History>(() => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? '') as History;
    } catch {
      return { past: [], future: [] };
    }
  });
  const latest = useRef(history);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** Works on what was kept last, drawn or not, so that it stays one and the same function. */
  const keep = useCallback(
    (next: (now: History) => History) => {
      latest.current = next(latest.current);
      setHistory(latest.current);
      // Written when a gesture is over: a long history takes its time.
      clearTimeout(timer.current);
      timer.current = setTimeout(() => write(key, latest.current), WRITE_PAUSE_MS);
    },
    [key],
  );
  return { history, keep };
}
