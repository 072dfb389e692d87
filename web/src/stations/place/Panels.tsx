import { useState } from 'react';
import { api, read } from '../../api/client';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Fold, Muted, Pick, Row, TextEntry } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CORE_FACES, POINTING } from '../faces';
import { SheetPick } from './SheetPick';
import type { Placement } from './Mounts';
import { usePanels, type Panel } from './usePanels';

const MOST = 12;

/** Sides of a shroud and deflectors: from an opening at one press, or edge by edge. */
export function PanelList({ placement, move }: { placement: Placement; move: (p: Placement) => void }) {
  const { car, design } = useBench();
  const { starts } = usePresets();
  const folded = usePanels();
  const [problem, setProblem] = useState<string>();
  const panels = placement.panels ?? [];
  const set = (next: readonly Panel[]) => move({ ...placement, panels: [...next] });
  const shroud = (opening: string) =>
    read(api.POST('/api/brackets/shroud', { body: { car, design, opening } })).then(
      (sides) => {
        setProblem(undefined);
        move({
          ...placement,
          shroud: true,
          panels: [...panels.filter((p) => !sides.some((s) => s.mark === p.mark)), ...sides],
        });
      },
      (e: Error) => setProblem(e.message),
    );
  const free = (n: number): string => (panels.some((p) => p.mark === `D${n}`) ? free(n + 1) : `D${n}`);
  return (
    <>
      {panels.map((p, i) => (
        <PanelFields
          key={i}
          panel={p}
          short={(folded[i]?.problems.length ?? 0) > 0 ? '✕' : ''}
          onChange={(next) => set(panels.map((x, k) => (k === i ? next : x)))}
          onRemove={() => set(panels.filter((_, k) => k !== i))}
        />
      ))}
      {problem && <p role="alert">▲ {problem}</p>}
      <Row>
        {(car.nose?.openings ?? []).map((o) => (
          <Button key={o.name} isDisabled={panels.length > MOST - 4} onPress={() => void shroud(o.name)}>
            Shroud from {o.name}
          </Button>
        ))}
        <Button isDisabled={panels.length >= MOST} onPress={() => set([...panels, { ...starts.panel, mark: free(1) }])}>
          Add deflector
        </Button>
      </Row>
      <Muted>
        A panel runs from an edge on the car to one on the core; where it has a flange, the flange lies on the face that
        looks that way. Flange 0 leaves an edge free.
      </Muted>
    </>
  );
}

function PanelFields(props: { panel: Panel; short: string; onChange: (panel: Panel) => void; onRemove: () => void }) {
  const { panel, short, onChange, onRemove } = props;
  const { car, core, mark } = panel;
  const set = (part: Partial<Panel>) => onChange({ ...panel, ...part });
  return (
    <Fold name={`Panel ${mark}`} short={short}>
      <Fields>
        {(['from', 'to'] as const).map((end) => (
          <DocumentNumbers
            key={end}
            schema="PointDocument"
            value={car[end]}
            fields={[
              [`${mark} car ${end}, across`, 'xMm'],
              [`${mark} car ${end}, up`, 'yMm'],
              [`${mark} car ${end}, back`, 'zMm'],
            ]}
            onChange={(part) => set({ car: { ...car, [end]: { ...car[end], ...part } } })}
          />
        ))}
        <Pick
          label={`${mark} car, face looks`}
          value={car.faces}
          options={POINTING}
          onChange={(faces) => set({ car: { ...car, faces } })}
        />
        <DocumentNumbers
          schema="CarEdgeDocument"
          value={car}
          fields={[[`${mark} car, flange`, 'flangeMm', { step: 1 }]]}
          onChange={(part) => set({ car: { ...car, ...part } })}
        />
        {(['from', 'to'] as const).map((end) => (
          <DocumentNumbers
            key={end}
            schema="CorePointDocument"
            value={core[end]}
            fields={[
              [`${mark} core ${end}, right`, 'xMm'],
              [`${mark} core ${end}, up`, 'yMm'],
              [`${mark} core ${end}, behind`, 'zMm'],
            ]}
            onChange={(part) => set({ core: { ...core, [end]: { ...core[end], ...part } } })}
          />
        ))}
        <Pick
          label={`${mark} core, face looks`}
          value={core.faces}
          options={CORE_FACES}
          onChange={(faces) => set({ core: { ...core, faces } })}
        />
        <DocumentNumbers
          schema="CoreEdgeDocument"
          value={core}
          fields={[[`${mark} core, flange`, 'flangeMm', { step: 1 }]]}
          onChange={(part) => set({ core: { ...core, ...part } })}
        />
        <DocumentNumbers
          schema="PanelDocument"
          value={panel}
          fields={[
            [`${mark} thickness`, 'thicknessMm', { step: 0.5, digits: 1 }],
            [`${mark} bend radius`, 'radiusMm', { step: 0.5, digits: 1 }],
            [`${mark} hole`, 'holeMm', { step: 0.5, digits: 1 }],
            [`${mark} holes in each flange`, 'holes', { step: 1, suffix: '' }],
          ]}
          onChange={(part) => set(part)}
        />
        <TextEntry label="Mark" longest={8} value={mark} onChange={(next) => set({ mark: next || mark })} />
      </Fields>
      <SheetPick mark={mark} value={panel.sheet} onChange={(sheet) => set({ sheet })} />
      <Button onPress={onRemove}>Remove panel {mark}</Button>
    </Fold>
  );
}
