import type { KeyboardEvent, PointerEvent } from 'react';
import styled from 'styled-components';
import { Picture } from '../kit/layout';

/** A drawing to scale in which something can be taken hold of: by pointer, touch, or keys when it has the focus. */
export const Drawing = styled(Picture)`
  & svg {
    touch-action: none;
  }
  & text {
    user-select: none;
  }
  & g[role='slider'] {
    outline: 0;
    cursor: grab;
  }
  & g[role='slider']:focus-visible .edge {
    stroke-width: 4;
  }
`;

/** What the arrow keys move by: to the right and up. */
const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/**
 * What a key moves something by, mm: a step, or one with the shift key.
 *
 * @returns to the right and up; undefined for any other key
 */
export function stepOf(e: KeyboardEvent, step: number): readonly [number, number] | undefined {
  const arrow = ARROWS[e.key];
  const by = e.shiftKey ? 1 : step;
  return arrow && [arrow[0] * by, arrow[1] * by];
}

/** Where a pointer is in its drawing, pixels from the upper left corner. */
export function pointerIn(e: PointerEvent<SVGElement>): readonly [number, number] {
  const svg = e.currentTarget.ownerSVGElement ?? e.currentTarget;
  const box = svg.getBoundingClientRect();
  return [e.clientX - box.left, e.clientY - box.top];
}

/** Takes hold of something: the pointer is the drawing's until it is let go. */
export function hold(e: PointerEvent<SVGGElement>) {
  e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId);
  e.currentTarget.focus();
}
