import { describe, expect, it } from 'vitest';
import { contourPaths, levelsBetween } from './contour';

const ramp = Array.from({ length: 5 }, () => Array.from({ length: 11 }, (_, i) => 10 * i));

describe('contours', () => {
  it('of a ramp along x are upright lines where the value is', () => {
    const [contour] = contourPaths({ values: ramp, width: 500, height: 200 }, [35]);
    expect(contour?.label?.[0]).toBeCloseTo(175, 6);
    expect(contour?.path).toContain('175');
  });

  it('follow rows upwards', () => {
    const up = Array.from({ length: 11 }, (_, j) => Array.from({ length: 5 }, () => 10 * j));
    const [contour] = contourPaths({ values: up, width: 100, height: 500 }, [20]);
    expect(contour?.label?.[1]).toBeCloseTo(400, 6);
  });

  it('levels lie between the extremes', () => {
    expect(levelsBetween([[101, 119]], 5)).toEqual([105, 110, 115]);
    expect(levelsBetween([[100, 100]], 5)).toEqual([]);
  });
});
