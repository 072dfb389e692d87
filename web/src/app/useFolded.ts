import { useEffect, useLayoutEffect, useRef, useState } from 'react';

/** So far down somebody reads and does not look at the rule. */
const DOWN = 90;
const TOP = 4;
/** What folding gains, and some more: a column that is hardly longer than its place would come back to its top by it. */
const ROOM = 150;

/** Whether the rule is a line: folded while a column of a station is read further down, open again at its top or by a press. */
export function useFolded() {
  const [folded, setFolded] = useState(false);
  const [held, setHeld] = useState(false);
  const rule = useRef<HTMLElement>(null);
  const read = useRef<HTMLElement>(undefined);
  const height = useRef(0);
  useEffect(() => {
    const scrolled = (e: Event) => {
      const column = e.target;
      if (!(column instanceof HTMLElement) || !column.closest('.station')) {
        return;
      }
      height.current = rule.current?.offsetHeight ?? 0;
      read.current = column;
      if (column.scrollTop <= TOP) {
        setFolded(false);
        setHeld(false);
      } else if (!held && column.scrollTop > DOWN && column.scrollHeight - column.clientHeight > DOWN + ROOM) {
        setFolded(true);
      }
    };
    document.addEventListener('scroll', scrolled, { capture: true, passive: true });
    return () => document.removeEventListener('scroll', scrolled, { capture: true });
  }, [held]);
  useLayoutEffect(() => {
    // What is read stays where it is: a finger on its way to a button would miss it otherwise.
    const column = read.current;
    if (column && column.scrollTop > TOP) {
      column.scrollTop -= height.current - (rule.current?.offsetHeight ?? 0);
    }
  }, [folded]);
  return {
    rule,
    folded,
    unfold: () => {
      height.current = rule.current?.offsetHeight ?? 0;
      setFolded(false);
      setHeld(true);
    },
  };
}
