import type { CoolerDocument, Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Button, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';

export type Placement = NonNullable<CoolerDocument['placement']>;

type Mount = Placement['mounts'][number];

const METHODS = [
  { id: 'CLAMP', name: 'Bracket that clamps' },
  { id: 'BOLT', name: 'Bolt through a hole' },
  { id: 'RIVET_NUT', name: 'Rivet nut' },
] as const;

/** Where the core is held: by its own holes, at its corners, or point by point. */
export function Mounts(props: {
  placement: Placement;
  /** The core's outside; unknown until the server has answered. */
  layout: Schemas['CoreSheetDocument'] | undefined;
  move: (p: Placement) => void;
}) {
  const { placement, layout, move } = props;
  const { mounts } = placement;
  const set = (next: Mount[]) => move({ ...placement, mounts: next });
  const corners = (outside: Schemas['CoreSheetDocument']) => {
    const x = Math.round(outside.outsideWidthMm / 2) + 15;
    const y = Math.max(10, Math.round(outside.outsideHeightMm / 2) - 15);
    set(
      [
        [-x, y],
        [x, y],
        [-x, -y],
        [x, -y],
      ].map(([xMm, yMm]) => ({ xMm: xMm as number, yMm: yMm as number, holeMm: 6.5, method: 'CLAMP', rubber: true })),
    );
  };
  return (
    <>
      {mounts.map((m, i) => {
        const change = (part: Partial<Mount>) => set(mounts.map((x, k) => (k === i ? { ...x, ...part } : x)));
        return (
          <section key={i} aria-label={`Mount ${i + 1}`}>
            <Fields>
              <DocumentNumber
                label={`Mount ${i + 1} across`}
                schema="MountDocument"
                field="xMm"
                quantity="length"
                value={m.xMm}
                step={5}
                onChange={(xMm) => change({ xMm })}
              />
              <DocumentNumber
                label={`Mount ${i + 1} up`}
                schema="MountDocument"
                field="yMm"
                quantity="length"
                value={m.yMm}
                step={5}
                onChange={(yMm) => change({ yMm })}
              />
              <DocumentNumber
                label={`Mount ${i + 1} hole`}
                schema="MountDocument"
                field="holeMm"
                quantity="length"
                digits={1}
                value={m.holeMm}
                step={0.5}
                onChange={(holeMm) => change({ holeMm })}
              />
              <Pick
                label={`Mount ${i + 1} holds by`}
                value={m.method}
                options={METHODS}
                onChange={(method) => change({ method })}
              />
              <Toggle label="On rubber" value={m.rubber} onChange={(rubber) => change({ rubber })} />
              <Button aria-label={`Remove mount ${i + 1}`} onPress={() => set(mounts.filter((_, k) => k !== i))}>
                Remove
              </Button>
            </Fields>
          </section>
        );
      })}
      <Row>
        <Button
          isDisabled={mounts.length >= 12}
          onPress={() => set([...mounts, { xMm: 0, yMm: 0, holeMm: 6.5, method: 'CLAMP', rubber: true }])}
        >
          One mount more
        </Button>
        <Button isDisabled={!layout} onPress={() => layout && corners(layout)}>
          Four at the corners
        </Button>
        {layout && layout.holes.length > 0 && (
          <Button onPress={() => set(layout.holes.map((h) => ({ ...h, method: 'BOLT', rubber: true })))}>
            At the core's own holes
          </Button>
        )}
      </Row>
      <Muted>
        Three or four points on rubber, with play for expansion. Bare holes get paint. Cable ties are not a mount.
      </Muted>
    </>
  );
}
