import { useState } from 'react';
import { range } from '../../api/descriptions';
import type { Schemas } from '../../api/client';
import { DocumentNumber, DocumentNumbers } from '../../kit/fields';
import { Button, Fold, Pick, QuantityField, Row, TextEntry } from '../../kit/kit';
import { Fields, Item } from '../../kit/layout';
import { useCooler } from './coolerFields';
import { usePresets } from '../../bench/presets';
import { CONSTRUCTIONS, Part } from './part';

export function OwnEntry({ onDone }: { onDone: (part: Part) => Promise<void> }) {
  const { details } = usePresets();
  const { cooler } = useCooler();
  const [part, setPart] = useState<Part>({
    maker: 'Own entry',
    number: 'Core 1',
    construction: cooler?.construction ?? 'STACKED_PLATE',
    rows: cooler?.rows ?? 13,
    widthMm: cooler?.widthMm ?? 280,
    depthMm: cooler?.depthMm ?? 50,
    passes: cooler?.passes ?? 1,
    price: 100,
  });
  const [outside, setOutside] = useState(part.widthMm + 40);
  const put = (change: Partial<Part>) => setPart((p) => ({ ...p, ...change }));
  const typical = details.find((d) => d.construction === part.construction)?.detail;
  return (
    <section aria-label="Own entry">
      <Fields style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))' }}>
        <TextEntry label="Maker" longest={60} value={part.maker} onChange={(maker) => put({ maker })} />
        <TextEntry label="Number" longest={60} value={part.number} onChange={(number) => put({ number })} />
        <Pick
          label="Made as"
          value={part.construction}
          options={CONSTRUCTIONS}
          onChange={(construction) => put({ construction })}
        />
        <DocumentNumber
          label="Part rows"
          schema="CorePartDocument"
          field="rows"
          value={part.rows}
          step={1}
          onChange={(rows) => put({ rows: Math.round(rows) })}
        />
        <DocumentNumber
          label="Part finned width"
          schema="CorePartDocument"
          field="widthMm"
          quantity="length"
          value={part.widthMm}
          step={10}
          onChange={(widthMm) => put({ widthMm })}
        />
        <QuantityField
          label="Outside width"
          quantity="length"
          value={Math.max(outside, part.widthMm)}
          step={5}
          min={part.widthMm}
          max={part.widthMm + 2 * range('DetailDocument', 'tankMm').max}
          onChange={setOutside}
        />
        <DocumentNumber
          label="Part depth"
          schema="CorePartDocument"
          field="depthMm"
          quantity="length"
          value={part.depthMm}
          step={5}
          onChange={(depthMm) => put({ depthMm })}
        />
        <DocumentNumber
          label="Part passes"
          schema="CorePartDocument"
          field="passes"
          value={part.passes}
          step={1}
          onChange={(passes) => put({ passes: Math.round(passes) })}
        />
        <TextEntry
          label="Port thread"
          longest={40}
          needed={false}
          value={part.portThread ?? ''}
          onChange={(portThread) => put({ portThread: portThread || undefined })}
        />
        <DocumentNumber
          label="Price"
          schema="CorePartDocument"
          field="price"
          value={part.price}
          step={5}
          onChange={(price) => put({ price })}
        />
      </Fields>
      <MakersHeat heats={part.heats ?? []} onChange={(heats) => put({ heats })} />
      <Row style={{ marginTop: 10 }}>
        <Button
          onPress={() =>
            void onDone(
              typical && Math.abs(outside - part.widthMm - 40) >= 0.5
                ? { ...part, detail: { ...typical, tankMm: (outside - part.widthMm) / 2 } }
                : part,
            )
          }
        >
          Add it to the catalogue
        </Button>
      </Row>
    </section>
  );
}

type Heat = Schemas['HeatPointDocument'];

/** What the core's maker says that it gives off, at one point or more: the core is fitted to it. */
function MakersHeat({ heats, onChange }: { heats: readonly Heat[]; onChange: (heats: Heat[]) => void }) {
  const { starts } = usePresets();
  return (
    <Fold name="Heat figures from its maker" short={heats.length === 0 ? 'none' : `${heats.length}`}>
      {heats.map((h, i) => {
        const set = (change: Partial<Heat>) => onChange(heats.map((x, k) => (k === i ? { ...x, ...change } : x)));
        return (
          <Item key={i} aria-label={`Heat figure ${i + 1}`}>
            <Fields>
              <DocumentNumbers
                schema="HeatPointDocument"
                value={h}
                fields={[
                  ['Heat given off', 'heatKw', { quantity: 'heat', step: 0.5, digits: 1 }],
                  ['Oil flow', 'oilFlowLPerMin', { quantity: 'flow', step: 5 }],
                  ['Oil inlet', 'oilInC', { quantity: 'temperature', step: 5 }],
                  ['Air speed at the face', 'faceSpeedMPerS', { quantity: 'airSpeed', step: 1 }],
                  ['Air inlet', 'airInC', { quantity: 'temperature', step: 5 }],
                ]}
                onChange={set}
              />
            </Fields>
            <Button onPress={() => onChange(heats.filter((_, k) => k !== i))}>Remove heat figure {i + 1}</Button>
          </Item>
        );
      })}
      <Row>
        <Button isDisabled={heats.length >= 4} onPress={() => onChange([...heats, starts.makersHeat])}>
          Add heat figure
        </Button>
      </Row>
    </Fold>
  );
}
