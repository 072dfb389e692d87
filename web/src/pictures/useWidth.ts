import { useLayoutEffect, useRef, useState } from 'react';

/** The width of an element, in px, kept up to date. */
export function useWidth() {
  const ref = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(800);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) {
      return;
    }
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.max(200, entry.contentRect.width)));
    observer.observe(element);
    setWidth(Math.max(200, element.clientWidth));
    return () => observer.disconnect();
  }, []);
  return [ref, width] as const;
}
