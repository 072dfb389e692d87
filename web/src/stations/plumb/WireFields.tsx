import type { Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Muted, Pick } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import type { Plumbing } from './usePlumbing';

type Wire = Schemas['WireDocument'];

const ENDS = ['0', '45', '90', '120', '150', '180'] as const;
const HOSES = [
  ['feed', 'Feed', 'at the takeoff', 'at the core'],
  ['back', 'Return', 'at the core', 'at the takeoff'],
] as const;

/** What a wire says of each hose: its length, and if wanted the ends and the bends. */
export function WireFields(props: {
  wires: Plumbing['wires'];
  /** What the server found wrong with a length, by hose. */
  wrong: (hose: 'feed' | 'back') => string | undefined;
  onChange: (wires: Plumbing['wires']) => void;
}) {
  const { wires, wrong, onChange } = props;
  const set = (hose: 'feed' | 'back', change: Partial<Wire>) =>
    onChange({ ...wires, [hose]: { ...wires?.[hose], ...change } });
  return (
    <>
      <Muted>
        Bend a wire along the way of each hose, clear of what is hot and what moves, from port face to port face.
        Stretch it and measure it.
      </Muted>
      <Fields>
        {HOSES.map(([hose, name]) => (
          <DocumentNumber
            key={hose}
            label={`${name} wire`}
            schema="WireDocument"
            field="lengthMm"
            quantity="length"
            value={wires?.[hose]?.lengthMm}
            step={10}
            onChange={(lengthMm) => set(hose, { lengthMm })}
          />
        ))}
      </Fields>
      {HOSES.map(([hose]) => wrong(hose) && <p key={hose} role="alert">{`▲ ${wrong(hose)}`}</p>)}
      <div>
        {HOSES.map(([hose, name, from, to]) => {
          const wire = wires?.[hose];
          const bends = String(wire?.bends ?? 2);
          return (
            wire && (
              <Fold
                key={hose}
                name={`${name}, ends`}
                short={
                  wire.fromDeg === wire.toDeg
                    ? `both ${angle(wire.toDeg)}`
                    : `${angle(wire.fromDeg)}, ${angle(wire.toDeg)}`
                }
              >
                <Fields>
                  <EndPick
                    label={`${name}, end ${from}`}
                    deg={wire.fromDeg}
                    onChange={(fromDeg) => set(hose, { fromDeg })}
                  />
                  <EndPick label={`${name}, end ${to}`} deg={wire.toDeg} onChange={(toDeg) => set(hose, { toDeg })} />
                  <DocumentNumber
                    label={`${name}, right-angle bends`}
                    schema="WireDocument"
                    field="bends"
                    value={Number(bends)}
                    step={1}
                    onChange={(n) => set(hose, { bends: n })}
                  />
                </Fields>
              </Fold>
            )
          );
        })}
      </div>
    </>
  );
}

function angle(deg: number | undefined): string {
  return deg ? `${deg}°` : 'straight';
}

function EndPick({
  label,
  deg,
  onChange,
}: {
  label: string;
  deg: number | undefined;
  onChange: (deg: number) => void;
}) {
  const now = String(deg ?? 0);
  return (
    <Pick
      label={label}
      value={now}
      options={[...new Set([...ENDS, now])].map((id) => ({ id, name: angle(Number(id)) }))}
      onChange={(id) => onChange(Number(id))}
    />
  );
}
