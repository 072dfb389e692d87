import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Muted, Pick, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { BypassFields, FanFields, SealingAndShade, useCooler } from './coolerFields';
import { CONSTRUCTIONS } from './part';

/** How the core is made, which way it points, and what is on its fins. */
export function MakeFields() {
  const { usual, details } = usePresets();
  const { cooler, set } = useCooler();
  const typical = details.find((d) => d.construction === cooler?.construction)?.detail;
  const detail = cooler?.detail ?? typical;
  if (!cooler || !detail) {
    return null;
  }
  return (
    <Fold name="Make and finish" short={CONSTRUCTIONS.find((c) => c.id === cooler.construction)?.name ?? ''}>
      <Fields>
        <Pick
          label="Construction"
          value={cooler.construction}
          options={CONSTRUCTIONS}
          onChange={(construction) => set({ construction, detail: undefined })}
        />
        <DocumentNumber
          label="Depth"
          schema="CoolerDocument"
          field="depthMm"
          quantity="length"
          value={cooler.depthMm}
          step={5}
          onChange={(depthMm) => set({ depthMm })}
        />
        <Pick
          label="Passes"
          value={String(cooler.passes) as '1' | '2'}
          options={[
            { id: '1', name: 'One' },
            { id: '2', name: 'Two, ports on one end' },
          ]}
          onChange={(v) => set({ passes: Number(v) })}
        />
        <Pick
          label="Ports point"
          value={cooler.ports}
          options={[
            { id: 'UP', name: 'Up' },
            { id: 'SIDE', name: 'To the side' },
            { id: 'DOWN', name: 'Down' },
          ]}
          onChange={(ports) => set({ ports })}
        />
        <Pick
          label="On the fins"
          value={cooler.finish}
          options={[
            { id: 'BARE', name: 'Nothing, bare' },
            { id: 'THIN_PAINT', name: 'A thin coat of paint' },
            { id: 'POWDER_COAT', name: 'Powder coat' },
          ]}
          onChange={(finish) => set({ finish })}
        />
        <DocumentNumber
          label="Efficacy"
          schema="CoolerDocument"
          field="efficacyPercent"
          suffix="%"
          value={cooler.efficacyPercent ?? usual.efficacyPercent}
          step={1}
          onChange={(efficacyPercent) => set({ efficacyPercent })}
        />
        <DocumentNumber
          label="Rated pressure"
          schema="DetailDocument"
          field="ratedBar"
          quantity="pressure"
          value={detail.ratedBar ?? typical?.ratedBar ?? 0}
          step={1}
          onChange={(ratedBar) => set({ detail: { ...detail, ratedBar } })}
        />
      </Fields>
    </Fold>
  );
}

/** How much of the air that is there goes through the core. */
export function AirFields() {
  const { cooler } = useCooler();
  if (!cooler) {
    return null;
  }
  return (
    <Fold
      name="Air"
      short={`${cooler.sealingPercent.toFixed(0)} % sealed, ${cooler.shadedPercent.toFixed(0)} % shaded`}
      open
    >
      <Fields>
        <SealingAndShade />
      </Fields>
      <FanFields />
    </Fold>
  );
}

/** What the oil is in this design, and whether the factory exchanger stays. */
export function OilOfDesign() {
  const { car, design, now, changeDesign } = useBench();
  const { grades } = usePresets();
  return (
    <Fold name="Oil, exchanger, by-pass" short={design.oil?.grade ?? `${car.oil.grade}, as in the car`}>
      <Pick
        label="Oil of this design"
        value={design.oil?.grade ?? 'car'}
        options={[{ id: 'car', name: `As in the car, ${car.oil.grade}` }, ...grades.map((id) => ({ id, name: id }))]}
        onChange={(grade) => {
          const rest = { ...now().design };
          delete rest.oil;
          changeDesign(grade === 'car' ? rest : { ...rest, oil: { grade } });
        }}
      />
      {car.factoryExchangerWPerK ? (
        <Toggle
          label="Keep the factory exchanger"
          value={design.keepFactoryExchanger}
          onChange={(keepFactoryExchanger) => changeDesign({ ...now().design, keepFactoryExchanger })}
        />
      ) : (
        <Muted>This car has no factory exchanger.</Muted>
      )}
      <BypassFields />
    </Fold>
  );
}
