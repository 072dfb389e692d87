import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

const TOP = 4;
/** What folding gains, and some more: a column that is less far down, or hardly longer, would come back to its top by it. */
const ROOM = 150;
/**
 * A column is at rest when it has not moved for so long, ms. Only then the rule folds or opens: it moves what stands below, which
 * would end a scroll that is still under way, and must not come between a scroll and the press that follows it.
 */
const REST = 300;

/** Whether the rule is a line: folded while a column of a station is read further down, open again at its top or by a press. */
export function useFolded() {
  const [folded, setFolded] = useState(false);
  const [held, setHeld] = useState(false);
  const rule = useRef<HTMLElement>(null);
  const read = useRef<HTMLElement>(undefined);
  /**
   * What is read stays where it is: a finger on its way to a button would miss it otherwise. All at once, since a browser that
   * lays out in between moves a column that is near its end by itself.
   */
  const turn = (to: boolean) => {
    const column = read.current;
    const at = column?.scrollTop ?? 0;
    const height = rule.current?.offsetHeight ?? 0;
    flushSync(() => setFolded(to));
    if (column && at > TOP) {
      column.scrollTop = at - height + (rule.current?.offsetHeight ?? 0);
    }
  };
  useEffect(() => {
    let rest: number | undefined;
    const notYet = () => window.clearTimeout(rest);
    const settle = (column: HTMLElement) => {
      const long = column.scrollHeight - column.clientHeight > 2 * ROOM;
      if (folded && column.scrollTop <= TOP) {
        turn(false);
      } else if (!folded && !held && column.scrollTop > ROOM && long) {
        turn(true);
      }
    };
    const scrolled = (e: Event) => {
      const column = e.target;
      if (!(column instanceof HTMLElement) || !column.closest('.station')) {
        return;
      }
      read.current = column;
      if (column.scrollTop <= TOP) {
        setHeld(false);
      }
      notYet();
      rest = window.setTimeout(() => settle(column), REST);
    };
    document.addEventListener('scroll', scrolled, { capture: true, passive: true });
    document.addEventListener('pointerdown', notYet, { capture: true, passive: true });
    return () => {
      notYet();
      document.removeEventListener('scroll', scrolled, { capture: true });
      document.removeEventListener('pointerdown', notYet, { capture: true });
    };
  }, [folded, held]);
  return {
    rule,
    folded,
    unfold: () => {
      turn(false);
      setHeld(true);
    },
  };
}
