/** How a page scrolls by itself: at once for those who do not want things to move. */
export function gently(): ScrollBehavior {
  return window.matchMedia('(prefers-reduced-motion: reduce)').matches ? 'auto' : 'smooth';
}
