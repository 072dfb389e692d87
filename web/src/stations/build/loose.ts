import type { Schemas } from '../../api/client';
import type { BuildView, Entry } from './useSheet';

export type LooseState = Schemas['LooseDocument'];
export type Item = Schemas['ItemDocument'];

/**
 * What came off, with what is written here and has not arrived yet, in the order in which it goes back on. What waits has its
 * letter already: the server says which come next.
 */
export function looseWith(view: BuildView, waiting: readonly Entry[]): readonly LooseState[] {
  const known = view.progress.off;
  const gone = new Set(waiting.filter((w) => w.kind === 'NOT_OFF').map((w) => w.on));
  const back = new Map(waiting.filter((w) => w.kind === 'BACK_ON').map((w) => [w.on, w] as const));
  const fresh = waiting.filter((w) => w.kind === 'OFF' && !known.some((l) => l.off.id === w.id));
  const marks = [...view.progress.freeMarks];
  const marked = new Map(known.map((l) => [l.off.id, l.mark] as const));
  const own: LooseState[] = [];
  const holding: LooseState[] = [];
  for (const off of fresh) {
    const of = off.on ? marked.get(off.on) : undefined;
    const mark = of === undefined ? (marks.shift() ?? '') : `${of}…`;
    marked.set(off.id, mark);
    (of === undefined ? own : holding).unshift({ off, mark, notes: [] });
  }
  const tops = [...own, ...known.filter((l) => !l.off.on)];
  const held = [...holding, ...known.filter((l) => l.off.on)];
  return tops
    .flatMap((l) => [l, ...held.filter((h) => h.off.on === l.off.id)])
    .filter((l) => !gone.has(l.off.id) && !gone.has(l.off.on))
    .map((l) => {
      const on = l.back ?? back.get(l.off.id);
      return on ? { ...l, back: on } : l;
    });
}

/** A fastener in words, as it is written on its bag: 4 × bolt M6 × 20 mm, upper edge. */
export function described(item: Item | undefined, name: string, length: (mm: number) => string): string {
  if (!item) {
    return '';
  }
  const size = [item.size, item.lengthMm === undefined ? undefined : length(item.lengthMm)].filter(Boolean).join(' × ');
  const what = [item.count && item.count > 1 ? `${item.count} ×` : undefined, name.toLowerCase(), size]
    .filter(Boolean)
    .join(' ');
  return item.place ? `${what}, ${item.place}` : what;
}
