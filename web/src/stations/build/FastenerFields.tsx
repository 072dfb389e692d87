import { useState } from 'react';
import { Button, QuantityField, Row, TextEntry } from '../../kit/kit';
import { DocumentNumber } from '../../kit/fields';
import { range } from '../../api/descriptions';
import { usePresets } from '../../bench/presets';
import { word } from '../../words/words';
import type { Item } from './loose';

/** What holds a thing that came off: one press for its kind, one to add it. */
export function FastenerFields({ mark, onAdd }: { mark: string; onAdd: (item: Item) => void }) {
  const { fasteners } = usePresets().starts;
  const [item, setItem] = useState<Item>();
  return (
    <>
      <Row>
        {fasteners.map(({ kind, sizes }) => (
          <Button
            key={kind}
            aria-label={`${word('looseKind', kind)} of ${mark}`}
            aria-pressed={item?.kind === kind}
            onPress={() => setItem({ kind, count: 1, ...(sizes[0] ? { size: sizes[0] } : {}) })}
          >
            + {word('looseKind', kind)}
          </Button>
        ))}
      </Row>
      {item && (
        <>
          <Row>
            {fasteners
              .find((f) => f.kind === item.kind)
              ?.sizes.map((size) => (
                <Button key={size} aria-pressed={item.size === size} onPress={() => setItem({ ...item, size })}>
                  {size}
                </Button>
              ))}
          </Row>
          <Row>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label="How many"
                schema="ItemDocument"
                field="count"
                value={item.count}
                step={1}
                onChange={(count) => setItem({ ...item, count: Math.round(count) })}
              />
            </div>
            <div style={{ width: 170 }}>
              <QuantityField
                label="Fastener length"
                quantity="length"
                value={item.lengthMm}
                step={5}
                min={range('ItemDocument', 'lengthMm').min}
                max={range('ItemDocument', 'lengthMm').max}
                onChange={(lengthMm) => setItem({ ...item, lengthMm })}
              />
            </div>
          </Row>
          <TextEntry
            label="Other size"
            value={item.size ?? ''}
            longest={40}
            needed={false}
            onChange={(size) => setItem({ ...item, size })}
          />
          <TextEntry
            label="Where it sat"
            value={item.place ?? ''}
            longest={120}
            needed={false}
            onChange={(place) => setItem({ ...item, place })}
          />
          <Button
            style={{ minHeight: 52 }}
            onPress={() => {
              onAdd(item);
              setItem(undefined);
            }}
          >
            Add to {mark}
          </Button>
        </>
      )}
    </>
  );
}
