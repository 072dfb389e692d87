import { describe, expect, it } from 'vitest';
import { LAYOUTS } from './layouts';

describe.each(LAYOUTS.map((l) => [l.name, l] as const))('%s', (_, { nose }) => {
  it('is as wide to the left as to the right', () => {
    for (const r of [...nose.openings, ...nose.parts]) {
      expect(r.leftMm + r.widthMm / 2, r.name).toBeCloseTo(0, 6);
    }
  });

  it('stands above the ground, its openings one over the other', () => {
    for (const r of [...nose.openings, ...nose.parts]) {
      expect(r.bottomMm, r.name).toBeGreaterThanOrEqual(nose.groundMm);
    }
    const [upper, lower] = nose.openings;
    if (upper && lower) {
      expect(upper.bottomMm).toBeGreaterThan(lower.bottomMm + lower.heightMm);
    }
  });

  it('has its radiator behind the beam, and the fan behind the radiator', () => {
    const part = (kind: string) => nose.parts.find((p) => p.kind === kind);
    const beam = part('BEAM');
    const radiator = part('RADIATOR');
    const fan = part('FAN');
    expect(beam && radiator && radiator.frontMm >= beam.frontMm + beam.depthMm).toBe(true);
    expect(radiator && fan && fan.frontMm >= radiator.frontMm + radiator.depthMm).toBe(true);
  });

  it('names each thing once', () => {
    const names = [...nose.openings, ...nose.parts].map((r) => r.name);
    expect(new Set(names).size).toBe(names.length);
  });
});
