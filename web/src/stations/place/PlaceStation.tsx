import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { call, type CoolerDocument, type Schemas } from '../../api/client';
import { Findings } from '../../app/Findings';
import { usePreferences } from '../../app/preferences';
import { useSettled } from '../../app/useSettled';
import { Held, useBench } from '../../app/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Heading, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { AirCurve } from '../../pictures/AirCurve';
import { NosePicture, type Position } from '../../pictures/NosePicture';
import { PressureBar } from '../../pictures/PressureBar';
import { FanFields, useCooler } from '../core/coolerFields';
import { download } from '../../app/download';
import { Station } from '../Station';
import { NoseEditor, NoseStart, type Marked } from './NoseEditor';
import { snapLines, snapped } from './snap';

type Place = CoolerDocument['place'];
type Placement = NonNullable<CoolerDocument['placement']>;
type Mount = Placement['mounts'][number];

/** Names of the places; what each of them means for the air is the server's. */
const PLACES: Record<Place, string> = {
  GRILLE_AHEAD: 'Grille, ahead of radiator',
  LOWER_GRILLE_AHEAD: 'Lower grille, ahead',
  BEHIND_RADIATOR: 'Behind the radiator',
  FRONT_CORNER_VENTED: 'Front corner, vented',
  FRONT_CORNER_CLOSED: 'Front corner, closed',
  UNDER_FLOOR: 'Under the floor',
  REAR_QUARTER: 'Rear quarter, ducted',
};

const SPEEDS = [0, 10, 20, 30, 40, 50, 60, 80, 100, 120, 140, 160, 180];
const GRID_MM = 5;
const REACH_MM = 9;

/** Where the core goes and how the air gets through it. */
export function PlaceStation() {
  const { design } = useBench();
  return design.cooler ? (
    <Placed />
  ) : (
    <Station
      choices={
        <>
          <Heading>No cooler in this design</Heading>
          <Muted>Add a core on the Core station first; then it can be placed.</Muted>
        </>
      }
      pictures={null}
      side={<Findings />}
    />
  );
}

/** A core in the nose: what its position means is asked as it moves, and goes into the design when it has been moved. */
function usePlacement() {
  const { car, design } = useBench();
  const { cooler, set, follow } = useCooler();
  const placement = cooler?.placement;
  const asked = { car, design };
  const key = {
    nose: car.nose,
    placement,
    core: cooler && [cooler.construction, cooler.rows, cooler.widthMm, cooler.depthMm, cooler.detail],
  };
  const fit = useQuery({
    queryKey: ['placement', key],
    queryFn: ({ signal }) => call<Schemas['PlacementAnswer']>('POST', '/placement', asked, { signal }),
    enabled: car.nose !== undefined && placement !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const moved = useRef(false);
  const move = (next: Placement) => {
    moved.current = true;
    set({ placement: next });
  };
  const answer = fit.data;
  const asDrawn = (a: Schemas['PlacementAnswer']): Partial<CoolerDocument> => ({
    place: a.place,
    shadedPercent: a.shadedPercent,
    sealingPercent: a.sealingPercent,
    openingCm2: Math.max(5, a.openingCm2),
  });
  const take = useRef<() => void>(undefined);
  useEffect(() => {
    take.current = () => answer && follow(asDrawn(answer));
  });
  const fresh = answer !== undefined && !fit.isPlaceholderData;
  useEffect(() => {
    if (fresh && moved.current) {
      moved.current = false;
      take.current?.();
    }
  }, [fresh, answer]);
  const differs =
    fresh &&
    cooler !== undefined &&
    (cooler.place !== answer.place ||
      Math.abs(cooler.shadedPercent - answer.shadedPercent) > 0.6 ||
      Math.abs(cooler.sealingPercent - answer.sealingPercent) > 0.6 ||
      Math.abs(cooler.openingCm2 - Math.max(5, answer.openingCm2)) > 1);
  return { fit: answer, move, placement, differs, takeDrawn: () => take.current?.(), error: fit.error };
}

function Placed() {
  const { car, outcome, drag } = useBench();
  const { cooler, set } = useCooler();
  const { show } = usePreferences();
  const { fit, move, placement, differs, takeDrawn, error } = usePlacement();
  const [marked, setMarked] = useState<Marked>({ list: 'parts', index: 0 });
  const [measuring, setMeasuring] = useState(false);
  const core = outcome?.core;
  const nose = car.nose;
  if (!cooler) {
    return null;
  }
  const snap = (to: Position): Position => {
    const height = fit?.outline.heightMm ?? 100;
    const lines = snapLines(
      [...(nose?.openings ?? []), ...(nose?.parts ?? [])],
      fit?.outline.widthMm ?? cooler.widthMm,
      height,
    );
    return {
      xMm: within(snapped(to.xMm, GRID_MM, lines.x, REACH_MM), -1500, 1500),
      yMm: within(snapped(to.yMm, GRID_MM, lines.y, REACH_MM), 0, 2000),
      zMm: within(Math.round(to.zMm), -200, 2500),
    };
  };
  const start = () =>
    nose &&
    move({
      xMm: 0,
      yMm: (nose.openings[nose.openings.length - 1]?.bottomMm ?? 250) + 60,
      zMm: nose.crushMm + 110,
      tiltDeg: 0,
      shroud: false,
      foam: false,
      mounts: [],
    });
  return (
    <Station
      choices={
        <>
          {!nose && <NoseStart />}
          {nose && !placement && <Button onPress={start}>Put the core into the nose</Button>}
          {nose && placement && (
            <>
              <Fields>
                {(
                  [
                    ['Across', 'xMm'],
                    ['Up', 'yMm'],
                    ['Depth behind bumper skin', 'zMm'],
                  ] as const
                ).map(([label, field]) => (
                  <DocumentNumber
                    key={field}
                    label={label}
                    schema="PlacementDocument"
                    field={field}
                    quantity="length"
                    value={placement[field]}
                    step={5}
                    onChange={(v) => move({ ...placement, [field]: v })}
                  />
                ))}
                <DocumentNumber
                  label="Tilt"
                  schema="PlacementDocument"
                  field="tiltDeg"
                  suffix="°"
                  value={placement.tiltDeg}
                  step={1}
                  onChange={(tiltDeg) => move({ ...placement, tiltDeg })}
                />
                <Toggle
                  label="Shroud"
                  value={placement.shroud}
                  onChange={(shroud) => move({ ...placement, shroud, foam: shroud && placement.foam })}
                />
                <Toggle
                  label="Foam seals"
                  value={placement.foam}
                  onChange={(foam) => move({ ...placement, foam, shroud: foam || placement.shroud })}
                />
              </Fields>
              {differs && (
                <Row>
                  <Muted>Set by hand: not what the drawing says.</Muted>
                  <Button onPress={takeDrawn}>Take what the drawing says</Button>
                </Row>
              )}
            </>
          )}
          <Fields>
            <Toggle label="Stone guard" value={cooler.mesh} onChange={(mesh) => set({ mesh })} />
            {placement && (
              <Toggle
                label="Skid plate"
                value={placement.skidPlate === true}
                onChange={(skidPlate) => move({ ...placement, skidPlate })}
              />
            )}
          </Fields>
          <FanFields />
          <div>
            <Fold
              name="Airflow assumptions"
              short={`${cooler.sealingPercent.toFixed(0)} % sealed, ${cooler.shadedPercent.toFixed(0)} % shaded`}
              open={!nose}
            >
              <Fields>
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
                <DocumentNumber
                  label="Opening"
                  schema="CoolerDocument"
                  field="openingCm2"
                  quantity="area"
                  value={cooler.openingCm2}
                  step={10}
                  onChange={(openingCm2) => set({ openingCm2 })}
                />
                <DocumentNumber
                  label="Duct loss"
                  schema="CoolerDocument"
                  field="ductHeads"
                  suffix="heads"
                  value={cooler.ductHeads ?? 0}
                  step={0.1}
                  onChange={(ductHeads) => set({ ductHeads })}
                />
                <Toggle
                  label="Measured pressure"
                  value={cooler.measured !== undefined}
                  onChange={(on) => set({ measured: on ? { pa: 150, speedKmh: 90 } : undefined })}
                />
                <Toggle
                  label="Intake behind it"
                  value={cooler.intakeBehind === true}
                  onChange={(on) => set({ intakeBehind: on ? true : undefined })}
                />
                {cooler.measured && (
                  <>
                    <DocumentNumber
                      label="Across the core"
                      schema="PressureDocument"
                      field="pa"
                      suffix="Pa"
                      value={cooler.measured.pa}
                      step={10}
                      onChange={(pa) => cooler.measured && set({ measured: { ...cooler.measured, pa } })}
                    />
                    <DocumentNumber
                      label="at"
                      schema="PressureDocument"
                      field="speedKmh"
                      quantity="speed"
                      value={cooler.measured.speedKmh}
                      step={5}
                      onChange={(speedKmh) => cooler.measured && set({ measured: { ...cooler.measured, speedKmh } })}
                    />
                  </>
                )}
              </Fields>
            </Fold>
            {nose && (
              <Fold
                name="Front-end measurements"
                short={`${nose.openings.length} openings, ${nose.parts.length} parts`}
                onOpen={setMeasuring}
              >
                <NoseEditor nose={nose} marked={marked} onMark={setMarked} />
              </Fold>
            )}
            {placement && (
              <Fold name="Mounts" short={placement.mounts.length === 0 ? 'none yet' : `${placement.mounts.length}`}>
                <Mounts placement={placement} move={move} />
              </Fold>
            )}
            {placement && nose && (
              <Fold name="Template, true to size" short="PDF, SVG, DXF">
                <TemplateFiles />
              </Fold>
            )}
          </div>
          <Muted style={{ fontSize: 13 }}>
            Keep clear of the part of the nose that crushes, and of the low-speed impact pad. Support an engine whose
            front member comes off, and never work under a car on a jack alone.
          </Muted>
        </>
      }
      pictures={
        <>
          {nose && (
            <NosePicture
              nose={nose}
              at={placement}
              fit={fit}
              airMPerS={core?.faceSpeedMPerS ?? 0}
              marked={measuring ? nose[marked.list][marked.index] : undefined}
              onMove={(to) => placement && move({ ...placement, ...snap(to) })}
              onDrag={drag}
              mostHeight={330}
            />
          )}
          {error && <p role="alert">▲ {error.message}</p>}
          {fit && placement && <FitFigures fit={fit} />}
          <Held>
            <PlacesCompared />
          </Held>
          {outcome && core && (
            <>
              <Held>
                <AirBySpeed />
              </Held>
              <Heading>Where the air’s pressure goes at the end of the session</Heading>
              {core.airLosses.length > 0 ? (
                <PressureBar losses={core.airLosses} format={(pa) => `${Math.round(pa)} Pa`} label="Air pressure" />
              ) : (
                <Muted>No air moves through the core at that moment.</Muted>
              )}
              <Muted>
                {show(core.faceSpeedMPerS, 'airSpeed')} on the open part of the face takes {show(core.heatKw, 'heat')}{' '}
                out of the oil; the air leaves at {show(core.airOutC, 'temperature')}, which is what stands behind it
                breathes.
              </Muted>
            </>
          )}
        </>
      }
      side={<Findings station="PLACE" />}
    />
  );
}

function within(v: number, low: number, high: number): number {
  return Math.max(low, Math.min(high, v));
}

const Gauges = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 8px 16px;
  margin: 0;
  & dt {
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & dd {
    margin: 0;
    font-size: 16px;
  }
`;

/** What the position means, in the figures that a builder would take with tape and card. */
function FitFigures({ fit }: { fit: Schemas['PlacementAnswer'] }) {
  const { say, show } = usePreferences();
  const nearest = fit.clearances[0];
  const figures = [
    ['Shaded', `${fit.shadedPercent.toFixed(0)} %`],
    ['Opening that feeds it', show(fit.openingCm2, 'area')],
    ['Sealing', `${fit.sealingPercent.toFixed(0)} %`],
    ['Clearance behind crash structure', show(fit.crushClearanceMm, 'length')],
    ['Above the ground', show(fit.groundClearanceMm, 'length')],
    nearest ? [`To ${nearest.name}`, show(nearest.mm, 'length')] : undefined,
    fit.gaps
      ? ['Gap above, below', `${show(fit.gaps.aboveMm, 'length')}, ${show(fit.gaps.belowMm, 'length')}`]
      : undefined,
    fit.gaps
      ? ['Gap left, right', `${show(fit.gaps.leftMm, 'length')}, ${show(fit.gaps.rightMm, 'length')}`]
      : undefined,
  ].filter((f): f is [string, string] => f !== undefined);
  return (
    <>
      {fit.problems.length > 0 && (
        <ul aria-label="Problems of this position" style={{ margin: 0, paddingLeft: 0, listStyle: 'none' }}>
          {fit.problems.map((p) => (
            <li key={say(p)}>▲ {say(p)}</li>
          ))}
        </ul>
      )}
      <Gauges aria-label="Figures of this position">
        {figures.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </Gauges>
    </>
  );
}

const METHODS = [
  { id: 'CLAMP', name: 'Bracket that clamps' },
  { id: 'BOLT', name: 'Bolt through a hole' },
  { id: 'RIVET_NUT', name: 'Rivet nut' },
] as const;

function Mounts({ placement, move }: { placement: Placement; move: (p: Placement) => void }) {
  const { outcome } = useBench();
  const { mounts } = placement;
  const set = (next: Mount[]) => move({ ...placement, mounts: next });
  const core = outcome?.core;
  const corners = () => {
    const x = Math.round((core?.outsideWidthMm ?? 320) / 2) + 15;
    const y = Math.max(10, Math.round((core?.heightMm ?? 150) / 2) - 15);
    set(
      [
        [-x, y],
        [x, y],
        [-x, -y],
        [x, -y],
      ].map(([xMm, yMm]) => ({ xMm: xMm as number, yMm: yMm as number, holeMm: 6.5, method: 'CLAMP', rubber: true })),
    );
  };
  return (
    <>
      {mounts.map((m, i) => {
        const change = (part: Partial<Mount>) => set(mounts.map((x, k) => (k === i ? { ...x, ...part } : x)));
        return (
          <section key={i} aria-label={`Mount ${i + 1}`}>
            <Fields>
              <DocumentNumber
                label={`Mount ${i + 1} across`}
                schema="MountDocument"
                field="xMm"
                quantity="length"
                value={m.xMm}
                step={5}
                onChange={(xMm) => change({ xMm })}
              />
              <DocumentNumber
                label={`Mount ${i + 1} up`}
                schema="MountDocument"
                field="yMm"
                quantity="length"
                value={m.yMm}
                step={5}
                onChange={(yMm) => change({ yMm })}
              />
              <DocumentNumber
                label={`Mount ${i + 1} hole`}
                schema="MountDocument"
                field="holeMm"
                quantity="length"
                digits={1}
                value={m.holeMm}
                step={0.5}
                onChange={(holeMm) => change({ holeMm })}
              />
              <Pick
                label={`Mount ${i + 1} holds by`}
                value={m.method}
                options={METHODS}
                onChange={(method) => change({ method })}
              />
              <Toggle label="On rubber" value={m.rubber} onChange={(rubber) => change({ rubber })} />
              <Button aria-label={`Remove mount ${i + 1}`} onPress={() => set(mounts.filter((_, k) => k !== i))}>
                Remove
              </Button>
            </Fields>
          </section>
        );
      })}
      <Row>
        <Button
          isDisabled={mounts.length >= 12}
          onPress={() => set([...mounts, { xMm: 0, yMm: 0, holeMm: 6.5, method: 'CLAMP', rubber: true }])}
        >
          One mount more
        </Button>
        <Button onPress={corners}>Four at the corners</Button>
      </Row>
      <Muted>
        Three or four points on rubber, with play for expansion. Bare holes get paint. Cable ties are not a mount.
      </Muted>
    </>
  );
}

const FILES = [
  { id: 'pdf?paper=A4', name: 'PDF on A4', file: 'template-a4.pdf' },
  { id: 'pdf?paper=LETTER', name: 'PDF on Letter', file: 'template-letter.pdf' },
  { id: 'pdf?paper=SHEET', name: 'PDF, one sheet', file: 'template.pdf' },
  { id: 'svg', name: 'SVG', file: 'template.svg' },
  { id: 'dxf', name: 'DXF', file: 'template.dxf' },
] as const;

/** The card template, without the card. */
function TemplateFiles() {
  const { car, design } = useBench();
  const [problem, setProblem] = useState<string>();
  const load = (id: string, file: string) =>
    download(`/api/template/${id}`, { car, design }, file).then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  return (
    <>
      <Row>
        {FILES.map((f) => (
          <Button key={f.id} onPress={() => void load(f.id, f.file)}>
            {f.name}
          </Button>
        ))}
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      <Muted>Print at 100 %. Measure the bar of 300 mm before anything is cut.</Muted>
    </>
  );
}

function AirBySpeed() {
  const { car, duty, design } = useBench();
  const asked = { car, design, ambientC: duty.ambientC, altitudeM: duty.altitudeM, speedsKmh: SPEEDS };
  const air = useQuery({
    queryKey: ['air', asked],
    queryFn: async ({ signal }) => {
      const run = (fanOn: boolean) => call<Schemas['AirAnswer'][]>('POST', '/air', { ...asked, fanOn }, { signal });
      return { still: await run(false), driven: design.cooler?.fan ? await run(true) : undefined };
    },
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return air.data ? <AirCurve still={air.data.still} driven={air.data.driven} height={220} /> : null;
}

/** The same core at every place: peak and coolant, so that both schools' numbers stand side by side. */
function PlacesCompared() {
  const { car, duty, design } = useBench();
  const { set } = useCooler();
  const { show } = usePreferences();
  const base = useSettled(
    JSON.stringify({
      car,
      duty,
      design: { ...design, cooler: { ...design.cooler, place: 'GRILLE_AHEAD', placement: undefined } },
    }),
    120,
  );
  const places = useQuery({
    queryKey: ['places', base],
    queryFn: ({ signal }) => call<Schemas['PlaceAnswer'][]>('POST', '/places', JSON.parse(base), { signal }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  if (!places.data) {
    return null;
  }
  return (
    <FigureTable aria-label="Places for this core">
      <thead>
        <tr>
          <th scope="col">Place, with this core as it is sealed and shaded</th>
          <th scope="col">Oil peaks at</th>
          <th scope="col">Coolant at</th>
        </tr>
      </thead>
      <tbody>
        {places.data.map((p) => (
          <tr key={p.place} aria-current={p.place === design.cooler?.place}>
            <th scope="row">
              <PlaceLink chosen={p.place === design.cooler?.place} onPress={() => set({ place: p.place })}>
                {PLACES[p.place]}
              </PlaceLink>
            </th>
            <td>{show(p.peakC, 'temperature')}</td>
            <td>{show(p.peakCoolantC, 'temperature')}</td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}

const LinkLook = styled.button`
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 4px 0;
  text-align: left;
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
  cursor: pointer;
  &:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
`;

function PlaceLink({ chosen, onPress, children }: { chosen: boolean; onPress: () => void; children: string }) {
  return (
    <LinkLook type="button" aria-pressed={chosen} onClick={onPress}>
      {children}
    </LinkLook>
  );
}
