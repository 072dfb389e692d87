import { type Schemas } from '../../api/client';

export type Candidate = Schemas['CandidateDocument'];

/** What a search varies: by it a design is known, wherever it stands among others that come and go above it. */
export function designOf(c: Candidate): string {
  const { place, sealingPercent, thermostat, feed } = c.design.cooler ?? {};
  return JSON.stringify([c.maker, c.number, place, sealingPercent, thermostat?.opensC, feed?.boreMm]);
}

export function sameDesign(a: Candidate, b: Candidate | undefined): boolean {
  return b !== undefined && designOf(a) === designOf(b);
}

export const MOST = 14;

/** The marked ones first, then the front from cheap to dear, thinned to what a person reads. */
export function trade(found: Schemas['SearchAnswer']): Candidate[] {
  const { smallestThatHolds: smallest, largestThatFits: largest } = found;
  const marked = [smallest, largest && sameDesign(largest, smallest) ? undefined : largest].filter(
    (c) => c !== undefined,
  );
  const front = [...found.front].sort((a, b) => (a.price ?? 0) - (b.price ?? 0));
  const every = Math.max(1, Math.ceil(front.length / MOST));
  return [...marked, ...front.filter((c, i) => i % every === 0 && !marked.some((m) => sameDesign(c, m)))];
}
