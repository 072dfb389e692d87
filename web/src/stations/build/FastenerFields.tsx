import { useState } from 'react';
import { Button, QuantityField, Row, TextEntry } from '../../kit/kit';
import { DocumentNumber } from '../../kit/fields';
import { range } from '../../api/descriptions';
import { word } from '../../words/words';
import type { Item } from './loose';

/** What holds things to a car, the commonest first. */
const KINDS = ['BOLT', 'CLIP', 'SCREW', 'NUT', 'PLUG', 'HOSE'] as const;
/** Sizes that one meets at a nose; any other is typed. */
const SIZES: Partial<Record<Item['kind'], readonly string[]>> = {
  BOLT: ['M5', 'M6', 'M8', 'M10'],
  NUT: ['M5', 'M6', 'M8', 'M10'],
  SCREW: ['4.2', '4.8', '5.5'],
  CLIP: ['6', '8', '10'],
};

/** What holds a thing that came off: one press for its kind, one to add it. */
export function FastenerFields({ mark, onAdd }: { mark: string; onAdd: (item: Item) => void }) {
  const [item, setItem] = useState<Item>();
  return (
    <>
      <Row>
        {KINDS.map((kind) => (
          <Button
            key={kind}
            aria-label={`${word('looseKind', kind)} of ${mark}`}
            aria-pressed={item?.kind === kind}
            onPress={() => setItem({ kind, count: 1, ...(SIZES[kind]?.[1] ? { size: SIZES[kind][1] } : {}) })}
          >
            + {word('looseKind', kind)}
          </Button>
        ))}
      </Row>
      {item && (
        <>
          <Row>
            {SIZES[item.kind]?.map((size) => (
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
