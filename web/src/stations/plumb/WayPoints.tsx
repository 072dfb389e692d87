import { DocumentNumbers } from '../../kit/fields';
import { Button, Row } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { type Which } from '../../pictures/BayPicture';
import { type Point } from './usePlumbing';

export const POINTS = { feed: 'feedPoints', return: 'backPoints' } as const;

export function middleOf(points: readonly Point[] | undefined): Point | undefined {
  return points?.[Math.floor(points.length / 2)];
}

export function WayPoints(props: {
  which: Which;
  points: readonly Point[];
  middle: Point | undefined;
  onChange: (points: readonly Point[]) => void;
}) {
  const { which, points, middle, onChange } = props;
  return (
    <section aria-label={`Way-points of the ${which}`}>
      {points.map((p, i) => (
        <Fields key={i} style={{ marginBottom: 10 }}>
          <DocumentNumbers
            schema="PointDocument"
            value={p}
            fields={[
              [`${which} ${i + 1} across`, 'xMm'],
              ['up', 'yMm'],
              ['back', 'zMm'],
            ]}
            onChange={(next) => onChange(points.map((q, k) => (k === i ? { ...q, ...next } : q)))}
          />
        </Fields>
      ))}
      <Row>
        <Button isDisabled={points.length >= 8 || !middle} onPress={() => middle && onChange([...points, middle])}>
          {which === 'feed' ? 'Point for the feed' : 'Point for the return'}
        </Button>
        {points.length > 0 && <Button onPress={() => onChange(points.slice(0, -1))}>Take the last out</Button>}
      </Row>
    </section>
  );
}
