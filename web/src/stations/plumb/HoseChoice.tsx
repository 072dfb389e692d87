import type { Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Muted, Pick, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import { FAMILIES, JOINTS, SIZES, TAKEOFFS } from './names';
import { MakersFigure } from './MakersFigure';
import { SCHOOL } from './PlumbPanels';
import type { Plumbing } from './usePlumbing';

/** Takeoff, hose and the core's ports, and what the fittings are chosen by. */
export function HoseChoice(props: {
  plumbing: Plumbing;
  /** Whether it is known where the filter is. */
  placed: boolean;
  takeoffs: readonly Schemas['TakeoffDocument'][];
  hoses: readonly Schemas['HosePartDocument'][];
  onChange: (change: Partial<Plumbing>) => void;
}) {
  const { plumbing, placed, takeoffs, hoses, onChange } = props;
  const { show } = usePreferences();
  const hose = hoses.find((h) => h.number === plumbing.hose);
  const takeoff = takeoffs.find((t) => t.number === plumbing.takeoff);
  return (
    <>
      <Pick
        label="Takeoff"
        value={plumbing.takeoff}
        options={[
          ...(takeoff ? [] : [{ id: plumbing.takeoff, name: `${plumbing.takeoff}, not in the catalogue` }]),
          ...takeoffs.map((t) => ({
            id: t.number,
            name: `${TAKEOFFS[t.kind]} ${t.number}, ${t.thread}${t.thermostat ? ', thermostat' : ''}${t.gaugePorts ? ', gauges' : ''}`,
          })),
        ]}
        onChange={(next) => onChange({ takeoff: next })}
      />
      <Fields>
        {placed && (
          <DocumentNumber
            label="Clock angle"
            schema="PlumbingDocument"
            field="clockDeg"
            suffix="°"
            value={plumbing.clockDeg}
            step={5}
            onChange={(clockDeg) => onChange({ clockDeg })}
          />
        )}
        <DocumentNumber
          label="Engine movement allowance"
          schema="PlumbingDocument"
          field="engineMovesMm"
          quantity="length"
          value={plumbing.engineMovesMm}
          step={5}
          onChange={(engineMovesMm) => onChange({ engineMovesMm })}
        />
        <Pick
          label="Hose"
          value={hose?.family ?? 'BRAIDED_RUBBER'}
          options={FAMILIES}
          onChange={(family) => {
            const next =
              hoses.find((h) => h.family === family && h.dash === hose?.dash) ?? hoses.find((h) => h.family === family);
            if (next) {
              onChange({ hose: next.number });
            }
          }}
        />
        <Pick
          label="Size"
          value={plumbing.hose}
          options={hoses
            .filter((h) => h.family === hose?.family && h.maker === hose.maker)
            .map((h) => ({ id: h.number, name: h.dash }))}
          onChange={(next) => onChange({ hose: next })}
        />
        <Pick
          label="Core's ports"
          value={plumbing.corePort}
          options={JOINTS}
          onChange={(corePort) => onChange({ corePort, corePortSize: SIZES[corePort][2] ?? '-10' })}
        />
        <Pick
          label="Core port size"
          value={plumbing.corePortSize}
          options={[...new Set([...SIZES[plumbing.corePort], plumbing.corePortSize])].map((id) => ({
            id,
            name: id,
          }))}
          onChange={(corePortSize) => onChange({ corePortSize })}
        />
        <Pick
          label="Choose fittings for"
          value={plumbing.wish}
          options={[
            { id: 'JOINTS', name: 'joints' },
            { id: 'PRICE', name: 'price' },
            { id: 'LOSS', name: 'loss' },
          ]}
          onChange={(wish) => onChange({ wish })}
        />
        <Toggle
          label="Swap feed and return"
          value={plumbing.feed === 'OTHER'}
          onChange={(other) => onChange({ feed: other ? 'OTHER' : undefined })}
        />
        <Toggle label="Heat sleeves" value={plumbing.sleeved} onChange={(sleeved) => onChange({ sleeved })} />
      </Fields>
      <MakersFigure
        name="Core's ports, torque"
        figure={plumbing.coreFigure}
        onChange={(coreFigure) => onChange({ coreFigure })}
      />
      {hose && (
        <Muted style={{ fontSize: 13 }}>
          Bore {show(hose.boreMm, 'length', 1)}, bends to {show(hose.bendRadiusMm, 'length')},{' '}
          {show(hose.ratedBar, 'pressure', 0)}, to {show(hose.maxC, 'temperature')}; {SCHOOL[hose.family]}
        </Muted>
      )}
    </>
  );
}
