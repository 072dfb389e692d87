/** Odds as one says them: of so many sessions about so many. Never none and never all, however many were tried. */
export function odds(share: number): string {
  if (share < 0.01) {
    return 'fewer than 1 in 100';
  }
  if (share > 0.99) {
    return 'more than 99 in 100';
  }
  let best = { of: 2, n: 1, off: Infinity };
  for (let of = 2; of <= 10; of++) {
    const n = Math.min(of - 1, Math.max(1, Math.round(share * of)));
    const off = Math.abs(n / of - share);
    // A larger number has to be worth it: 1 in 2 is heard before 5 in 9.
    if (off < best.off - 0.01) {
      best = { of, n, off };
    }
  }
  if (best.off > 0.05) {
    return `about ${Math.round(share * 100)} in 100`;
  }
  return `about ${best.n} in ${best.of}`;
}

/** The same beside it in percent, with what is never said. */
export function percent(share: number): string {
  return share < 0.01 ? 'under 1 %' : share > 0.99 ? 'over 99 %' : `${Math.round(share * 100)} %`;
}
