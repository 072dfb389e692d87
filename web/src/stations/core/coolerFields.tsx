import type { CoolerDocument } from '../../api/client';
import { range } from '../../api/descriptions';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Pick, QuantityField, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';

/** What makes it another core, of which the data sheet says nothing. */
const OTHER_CORE = ['construction', 'rows', 'widthMm', 'depthMm', 'passes', 'ports'] as const;

function otherCore(change: Partial<CoolerDocument>): boolean {
  return OTHER_CORE.some((field) => field in change);
}

/** The design's cooler and a way to change parts of it; a part that is set to undefined goes. */
export function useCooler() {
  const { design, now, changeDesign, followDesign } = useBench();
  const put = (to: typeof changeDesign) => (change: Partial<CoolerDocument>) => {
    const { design: present } = now();
    if (present.cooler) {
      const next = Object.fromEntries(
        Object.entries({
          ...present.cooler,
          ...(otherCore(change) ? { sheet: undefined } : {}),
          ...change,
        }).filter(([, v]) => v !== undefined),
      ) as unknown as CoolerDocument;
      to({ ...present, cooler: next });
    }
  };
  /** `follow` is for what a drawing makes of a change: it is undone together with it. */
  return { cooler: design.cooler, set: put(changeDesign), follow: put(followDesign) };
}

/** The core's own thermo-switched fan. */
export function FanFields() {
  const { starts } = usePresets();
  const { cooler, set } = useCooler();
  if (!cooler) {
    return null;
  }
  const fan = cooler.fan;
  return (
    <Fields>
      <Toggle label="Fan" value={fan !== undefined} onChange={(on) => set({ fan: on ? starts.fan : undefined })} />
      {fan && (
        <>
          <DocumentNumber
            label="Fan flow"
            schema="FanDocument"
            field="freeFlowM3PerS"
            quantity="airFlow"
            value={fan.freeFlowM3PerS}
            step={0.05}
            onChange={(freeFlowM3PerS) => set({ fan: { ...fan, freeFlowM3PerS } })}
          />
          <QuantityField
            label="Fan on at"
            quantity="temperature"
            value={fan.onC}
            step={1}
            min={Math.max(range('FanDocument', 'onC').min, fan.offC + 1)}
            max={range('FanDocument', 'onC').max}
            onChange={(onC) => set({ fan: { ...fan, onC } })}
          />
          <QuantityField
            label="Fan off at"
            quantity="temperature"
            value={fan.offC}
            step={1}
            min={range('FanDocument', 'offC').min}
            max={Math.min(range('FanDocument', 'offC').max, fan.onC - 1)}
            onChange={(offC) => set({ fan: { ...fan, offC } })}
          />
        </>
      )}
    </Fields>
  );
}

/** The oil thermostat: where it sits, when it opens, or none. */
export function ThermostatFields() {
  const { starts, usual } = usePresets();
  const { cooler, set } = useCooler();
  if (!cooler) {
    return null;
  }
  const t = cooler.thermostat;
  const full = t ? (t.fullC ?? t.opensC + usual.thermostatSpanK) : 0;
  return (
    <Fields>
      <Toggle
        label="Thermostat"
        value={t !== undefined}
        onChange={(on) => set({ thermostat: on ? starts.thermostat : undefined })}
      />
      {t && (
        <>
          <Pick
            label="Thermostat location"
            value={t.site ?? 'PLATE'}
            options={[
              { id: 'PLATE', name: 'In the plate' },
              { id: 'HOUSING', name: 'In the filter housing' },
              { id: 'IN_LINE', name: 'In line' },
            ]}
            onChange={(site) => set({ thermostat: { ...t, site } })}
          />
          <DocumentNumber
            label="Thermostat opens"
            schema="ThermostatDocument"
            field="opensC"
            quantity="temperature"
            value={t.opensC}
            step={1}
            onChange={(opensC) =>
              set({
                thermostat: { ...t, opensC, ...(t.fullC === undefined ? {} : { fullC: opensC + (full - t.opensC) }) },
              })
            }
          />
          <QuantityField
            label="Fully open at"
            quantity="temperature"
            value={full}
            step={1}
            min={t.opensC + 1}
            max={range('ThermostatDocument', 'fullC').max}
            onChange={(fullC) => set({ thermostat: { ...t, fullC } })}
          />
          <DocumentNumber
            label="Leakage when closed"
            schema="ThermostatDocument"
            field="leakPercent"
            suffix="%"
            value={t.leakPercent ?? usual.leakPercent}
            step={1}
            onChange={(leakPercent) => set({ thermostat: { ...t, leakPercent } })}
          />
        </>
      )}
    </Fields>
  );
}

/** A valve that lets oil past the core as long as it is too thick to go through. */
export function BypassFields() {
  const { usual } = usePresets();
  const { cooler, set } = useCooler();
  if (!cooler) {
    return null;
  }
  return (
    <Fields>
      <Toggle
        label="By-pass valve"
        value={cooler.bypassBar !== undefined}
        onChange={(on) => set({ bypassBar: on ? usual.bypassBar : undefined })}
      />
      {cooler.bypassBar !== undefined && (
        <DocumentNumber
          label="Valve opens at"
          schema="CoolerDocument"
          field="bypassBar"
          quantity="pressure"
          value={cooler.bypassBar}
          step={0.1}
          onChange={(bypassBar) => set({ bypassBar })}
        />
      )}
    </Fields>
  );
}

/** How much of the air goes through the core instead of round it, and how much of its face gets any. */
export function SealingAndShade() {
  const { cooler, set } = useCooler();
  if (!cooler) {
    return null;
  }
  return (
    <>
      <DocumentNumber
        label="Sealing"
        schema="CoolerDocument"
        field="sealingPercent"
        suffix="%"
        value={cooler.sealingPercent}
        step={5}
        onChange={(sealingPercent) => set({ sealingPercent })}
      />
      <DocumentNumber
        label="Shaded face"
        schema="CoolerDocument"
        field="shadedPercent"
        suffix="%"
        value={cooler.shadedPercent}
        step={5}
        onChange={(shadedPercent) => set({ shadedPercent })}
      />
    </>
  );
}
