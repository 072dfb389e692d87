import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Pick, Row, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import type { Nose } from '../../pictures/NosePicture';

type Part = Schemas['NosePartDocument'];

type Opening = Schemas['OpeningDocument'];

const KINDS: readonly { readonly id: Part['kind']; readonly name: string }[] = [
  { id: 'BEAM', name: 'Crash beam' },
  { id: 'PLATE', name: 'Number plate' },
  { id: 'CONDENSER', name: 'Condenser' },
  { id: 'RADIATOR', name: 'Radiator' },
  { id: 'FAN', name: 'Fan' },
  { id: 'INTERCOOLER', name: 'Intercooler' },
  { id: 'STEERING_COOLER', name: 'Steering cooler' },
  { id: 'GEARBOX_COOLER', name: 'Gearbox cooler' },
  { id: 'HORN', name: 'Horn' },
  { id: 'LINES', name: 'Air-conditioning lines' },
  { id: 'OTHER', name: 'Something else, solid' },
];

export interface Marked {
  readonly list: 'openings' | 'parts';
  readonly index: number;
}

/** Openings and parts by tape; the numbers at the fields stand in the drawing too. */
export function NoseEditor({ nose, marked, onMark }: { nose: Nose; marked: Marked; onMark: (m: Marked) => void }) {
  const { now, changeCar } = useBench();
  const set = (change: Partial<Nose>) => changeCar({ ...now().car, nose: { ...nose, ...change } });
  const all = [
    ...nose.openings.map((o, index) => ({ id: `openings/${index}`, name: `Opening: ${o.name}` })),
    ...nose.parts.map((p, index) => ({
      id: `parts/${index}`,
      name: `${KINDS.find((k) => k.id === p.kind)?.name}: ${p.name}`,
    })),
  ];
  const opening = marked.list === 'openings' ? nose.openings[marked.index] : undefined;
  const part = marked.list === 'parts' ? nose.parts[marked.index] : undefined;
  const change = (next: Partial<Opening & Part>) =>
    opening
      ? set({ openings: nose.openings.map((o, i) => (i === marked.index ? { ...o, ...next } : o)) })
      : set({ parts: nose.parts.map((p, i) => (i === marked.index ? { ...p, ...next } : p)) });
  const item = opening ?? part;
  return (
    <>
      <Fields>
        <DocumentNumber
          label="Crushes to"
          schema="NoseDocument"
          field="crushMm"
          quantity="length"
          value={nose.crushMm}
          step={5}
          onChange={(crushMm) => set({ crushMm })}
        />
        <DocumentNumber
          label="Lowest point"
          schema="NoseDocument"
          field="groundMm"
          quantity="length"
          value={nose.groundMm}
          step={5}
          onChange={(groundMm) => set({ groundMm })}
        />
        <Toggle label="Vented arch liners" value={nose.archVented} onChange={(archVented) => set({ archVented })} />
      </Fields>
      <Pick
        label="What is being measured"
        value={item ? `${marked.list}/${marked.index}` : 'none'}
        options={item ? all : [{ id: 'none', name: 'Choose a part' }, ...all]}
        onChange={(id) => {
          const [list, index] = id.split('/');
          if (index !== undefined) {
            onMark({ list: list as Marked['list'], index: Number(index) });
          }
        }}
      />
      {item && (
        <>
          <Fields>
            <TextEntry label="Name" longest={60} value={item.name} onChange={(name) => change({ name })} />
            {part && <Pick label="Kind" value={part.kind} options={KINDS} onChange={(kind) => change({ kind })} />}
            {(
              [
                ['1 Left edge', 'leftMm'],
                ['2 Lower edge', 'bottomMm'],
                ['3 Width', 'widthMm'],
                ['4 Height', 'heightMm'],
              ] as const
            ).map(([label, field]) => (
              <DocumentNumber
                key={field}
                label={label}
                schema="NosePartDocument"
                field={field}
                quantity="length"
                value={item[field]}
                step={5}
                onChange={(v) => change({ [field]: v })}
              />
            ))}
            {part &&
              (
                [
                  ['5 Front behind skin', 'frontMm'],
                  ['6 Depth', 'depthMm'],
                ] as const
              ).map(([label, field]) => (
                <DocumentNumber
                  key={field}
                  label={label}
                  schema="NosePartDocument"
                  field={field}
                  quantity="length"
                  value={part[field]}
                  step={5}
                  onChange={(v) => change({ [field]: v })}
                />
              ))}
            {part && (
              <DocumentNumber
                label="7 Heat at its hardest"
                schema="NosePartDocument"
                field="heatKw"
                quantity="power"
                digits={1}
                value={part.heatKw}
                step={0.5}
                onChange={(heatKw) => change({ heatKw })}
              />
            )}
            {opening && (
              <DocumentNumber
                label="Taken by bars"
                schema="OpeningDocument"
                field="barPercent"
                suffix="%"
                value={opening.barPercent}
                step={5}
                onChange={(barPercent) => change({ barPercent })}
              />
            )}
          </Fields>
          <Button
            onPress={() => {
              if (opening) {
                set({ openings: nose.openings.filter((_, i) => i !== marked.index) });
              } else {
                set({ parts: nose.parts.filter((_, i) => i !== marked.index) });
              }
              onMark({ list: 'parts', index: 0 });
            }}
          >
            Remove from the drawing
          </Button>
        </>
      )}
      <Row>
        <Button
          isDisabled={nose.openings.length >= 12}
          onPress={() => {
            set({
              openings: [
                ...nose.openings,
                {
                  name: `opening ${nose.openings.length + 1}`,
                  leftMm: -150,
                  bottomMm: 250,
                  widthMm: 300,
                  heightMm: 100,
                  barPercent: 10,
                },
              ],
            });
            onMark({ list: 'openings', index: nose.openings.length });
          }}
        >
          One opening more
        </Button>
        <Button
          isDisabled={nose.parts.length >= 40}
          onPress={() => {
            set({
              parts: [
                ...nose.parts,
                {
                  name: `part ${nose.parts.length + 1}`,
                  kind: 'OTHER',
                  leftMm: -100,
                  bottomMm: 300,
                  widthMm: 200,
                  heightMm: 100,
                  frontMm: 150,
                  depthMm: 50,
                },
              ],
            });
            onMark({ list: 'parts', index: nose.parts.length });
          }}
        >
          One part more
        </Button>
      </Row>
    </>
  );
}
