import { useState } from 'react';
import { download } from '../../bench/download';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted, Row } from '../../kit/kit';
import { PatternPicture } from '../../pictures/PatternPicture';
import { SheetPicture } from '../../pictures/SheetPicture';
import { usePreferences } from '../../preferences/preferences';
import { BracketFields } from './BracketFields';
import type { Placement } from './Mounts';
import { usePanels } from './usePanels';
import { useBrackets, type Bracket } from './useBrackets';

const MOST = 8;
const MARKS = 'ABCDEFGH';

/** From where a bracket begins that nobody has measured yet: below and behind the mount that it holds. */
const BELOW_MM = 60;

function begun(start: Bracket, placement: Placement, depthMm: number, there: readonly Bracket[]): Bracket {
  const mount = placement.mounts[there.length % Math.max(1, placement.mounts.length)];
  const x = mount?.xMm ?? 0;
  const y = mount?.yMm ?? 0;
  const holeMm = mount?.holeMm ?? start.core.holeMm;
  return {
    ...start,
    mark: Array.from(MARKS).find((m) => !there.some((b) => b.mark === m)) ?? 'X',
    car: {
      ...start.car,
      xMm: Math.round(placement.xMm + x),
      yMm: Math.max(0, Math.round(placement.yMm + y - BELOW_MM)),
      zMm: Math.round(placement.zMm + depthMm + BELOW_MM),
      holeMm,
    },
    core: { ...start.core, xMm: x, yMm: y, zMm: depthMm, holeMm },
  };
}

/** Brackets folded from sheet: their points by tape. */
export function BracketList(props: { placement: Placement; depthMm: number; move: (p: Placement) => void }) {
  const { placement, depthMm, move } = props;
  const { starts } = usePresets();
  const folded = useBrackets();
  const brackets = placement.brackets ?? [];
  const set = (next: Bracket[]) => move({ ...placement, brackets: next });
  return (
    <>
      {brackets.map((b, i) => (
        <BracketFields
          key={i}
          bracket={b}
          short={(folded[i]?.problems.length ?? 0) > 0 ? '✕' : ''}
          onChange={(next) => set(brackets.map((x, k) => (k === i ? next : x)))}
          onRemove={() => set(brackets.filter((_, k) => k !== i))}
        />
      ))}
      <Button
        isDisabled={brackets.length >= MOST}
        onPress={() => set([...brackets, begun(starts.bracket, placement, depthMm, brackets)])}
      >
        One bracket more
      </Button>
      <Muted>
        Car points from the middle line, the ground and the skin; core points from the middle of its face. Make one of
        cardboard first, and offer it up.
      </Muted>
    </>
  );
}

const FILES = [
  { id: 'patterns.pdf?paper=A4', name: 'PDF on A4', file: 'sheet-metal.pdf' },
  { id: 'patterns.pdf?paper=A3', name: 'PDF on A3', file: 'sheet-metal.pdf' },
  { id: 'patterns.svg', name: 'SVG', file: 'sheet-metal.svg' },
  { id: 'patterns.dxf', name: 'DXF', file: 'sheet-metal.dxf' },
] as const;

/** What the brackets come to: their patterns, what cannot stay so, and the files to print or cut by. */
export function BracketPatterns() {
  const { car, design } = useBench();
  const { say, show } = usePreferences();
  const folded = useBrackets();
  const panels = usePanels();
  const [problem, setProblem] = useState<string>();
  if (folded.length + panels.length === 0) {
    return null;
  }
  const load = (id: string, file: string) =>
    download(`/api/brackets/${id}`, { car, design }, file).then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  return (
    <section aria-label="Sheet metal" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Sheet metal, before it is bent</Heading>
        <Row>
          {FILES.map((f) => (
            <Button key={f.id} aria-label={`Sheet metal, ${f.name}`} onPress={() => void load(f.id, f.file)}>
              {f.name}
            </Button>
          ))}
        </Row>
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      {folded.map((b) => (
        <div key={b.mark}>
          {b.flat && <PatternPicture mark={b.mark} flat={b.flat} />}
          {b.problems.map((p) => (
            <p key={p.kind} style={{ margin: '2px 0' }}>
              ✕ {b.mark}: {say(p.what)}
            </p>
          ))}
        </div>
      ))}
      {panels.map((p) => (
        <div key={p.mark}>
          {p.flat && <SheetPicture mark={p.mark} flat={p.flat} />}
          {p.problems.map((x) => (
            <p key={x.kind} style={{ margin: '2px 0' }}>
              ✕ {p.mark}: {say(x.what)}
            </p>
          ))}
        </div>
      ))}
      <Muted>
        For this sheet and this inner radius; bend allowance by DIN 6935 unless a K-factor is given. Print at 100 % and
        measure the bar of {show(300, 'length')} first. Gloves at sheet edges, goggles at the drill.
      </Muted>
    </section>
  );
}
