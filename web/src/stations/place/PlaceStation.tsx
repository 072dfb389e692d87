import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { CarDocument, CoolerDocument, Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Findings } from '../Findings';
import { Space } from '../Space';
import { usePreferences } from '../../preferences/preferences';
import { Held, useBench } from '../../bench/workbench';

import { Button, Coming, Fold, Heading, Muted, Row, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { NosePicture, type Position } from '../../pictures/NosePicture';
import { PressureBar } from '../../pictures/PressureBar';
import { FanFields, useCooler } from '../core/coolerFields';
import { Station } from '../Station';
import { NoseStart } from './NoseStart';
import { NoseEditor, type Marked } from './NoseEditor';
import { snapLines, snapped } from './snap';
import { AirBySpeed, FitFigures, PlacesCompared, TemplateFiles } from './PlacePanels';
import { AirflowAssumptions } from './AirflowAssumptions';
import { RadiatorFields } from '../duty/RadiatorFields';
import { AddCore } from '../core/AddCore';
import { BracketList, BracketPatterns } from './Brackets';
import { PanelList } from './Panels';
import { PlacementFields } from './PlacementFields';
import { Mounts, Placement } from './Mounts';
import { Relocations } from './Relocations';
import { Figure } from '../figure/Figure';

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
        <AddCore why="Add one, and its opening, its sealing and its shade can be judged here, by eye or by tape." />
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
    bay: car.bay?.boxes,
    moves: design.plumbing?.engineMovesMm,
    relocations: design.relocations?.map((r) => r.name),
    core: cooler && [
      cooler.construction,
      cooler.rows,
      cooler.widthMm,
      cooler.depthMm,
      cooler.detail,
      cooler.sheet,
      cooler.passes,
      cooler.ports,
    ],
  };
  const fit = useQuery({
    ...queries.placement(key, asked),
    enabled: car.nose !== undefined && placement !== undefined,
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
    // Heat that was put in by hand stays where the drawing knows of none.
    ...(a.heatAheadKw > 0 ? { heatAheadKw: a.heatAheadKw } : {}),
    ...(a.intakeBehind ? { intakeBehind: true } : {}),
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
      Math.abs(cooler.openingCm2 - Math.max(5, answer.openingCm2)) > 1 ||
      (answer.heatAheadKw > 0 && Math.abs((cooler.heatAheadKw ?? 0) - answer.heatAheadKw) > 0.06) ||
      (answer.intakeBehind && cooler.intakeBehind !== true));
  return {
    fit: answer,
    move,
    placement,
    differs,
    takeDrawn: () => take.current?.(),
    error: fit.error,
    pending: fit.isLoading,
  };
}

function Placed() {
  const { car, design, outcome, drag } = useBench();
  const { cooler, set } = useCooler();
  const { show } = usePreferences();
  const { fit, move, placement, differs, takeDrawn, error, pending } = usePlacement();
  const [marked, setMarked] = useState<Marked>({ list: 'parts', index: 0 });
  const [measuring, setMeasuring] = useState(false);
  const [space, setSpace] = useState(false);
  const [selected, setSelected] = useState<string>();
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
          <Muted>{restsOn(nose, placement !== undefined)}</Muted>
          {!nose && <NoseStart />}
          {nose && !placement && <Button onPress={start}>Put the core into the nose</Button>}
          {nose && placement && (
            <>
              <PlacementFields placement={placement} move={move} />
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
            {placement && (
              <Toggle
                label="Baffle at the outlet"
                value={placement.baffle === true}
                onChange={(baffle) => move({ ...placement, baffle })}
              />
            )}
          </Fields>
          <FanFields />
          <div>
            <AirflowAssumptions open={!nose} />
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
                <Mounts placement={placement} layout={fit?.layout} move={move} />
              </Fold>
            )}
            {placement && (
              <Fold name="Brackets" short={placement.brackets?.length ? `${placement.brackets.length}` : 'none'}>
                <BracketList placement={placement} depthMm={cooler.depthMm} move={move} />
              </Fold>
            )}
            <Fold
              name="What moves or is cut"
              short={design.relocations?.length ? `${design.relocations.length}` : 'nothing'}
            >
              <Relocations inTheWay={fit?.clearances.filter((c) => c.mm < c.keepsMm).map((c) => c.name) ?? []} />
            </Fold>
            <OtherRadiator />
            {placement && (
              <Fold
                name="Shroud sides, deflectors"
                short={placement.panels?.length ? `${placement.panels.length}` : 'none'}
              >
                <PanelList placement={placement} move={move} />
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
            <Row style={{ justifyContent: 'space-between' }}>
              <Heading>Nose</Heading>
              <Toggle label="View in space" value={space} onChange={setSpace} />
            </Row>
          )}
          {nose && space && <Space about="core" selected={selected} onSelect={setSelected} />}
          {nose && !space && (
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
          {pending && <Coming height={170}>Laying the core in the nose…</Coming>}
          {fit && placement && <FitFigures fit={fit} />}
          <BracketPatterns />
          <Held>
            <PlacesCompared />
          </Held>
          {outcome && core && (
            <>
              <Held>
                <AirBySpeed />
              </Held>
              <Heading>Where the air's pressure goes at the end of the session</Heading>
              {core.airLosses.length > 0 ? (
                <PressureBar losses={core.airLosses} format={(pa) => `${Math.round(pa)} Pa`} label="Air pressure" />
              ) : (
                <Muted>No air moves through the core at that moment.</Muted>
              )}
              <Muted>
                <Figure of="FACE_SPEED">{show(core.faceSpeedMPerS, 'airSpeed')}</Figure> on the open part of the face
                takes <Figure of="CORE_HEAT">{show(core.heatKw, 'heat')}</Figure> out of the oil; the air leaves at{' '}
                <Figure of="AIR_OUTLET">{show(core.airOutC, 'temperature')}</Figure>, which is what stands behind it
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

/** What the air rests on, the roughest first, and what would make it finer. */
function restsOn(nose: CarDocument['nose'], placed: boolean): string {
  if (!nose) {
    return 'The air rests on typed assumptions: opening, sealing and shade by eye. The openings by tape, from the body that is nearest, make it finer; then what stands behind them.';
  }
  if (!placed) {
    return 'The air rests on typed assumptions as long as the core is not in the nose.';
  }
  return nose.parts.length === 0
    ? 'The air rests on openings and core by tape. Beam, plate, condenser and radiator are not measured: what they shade and block is not in it.'
    : 'The air rests on the whole nose by tape. A pressure measured across the core on the road is finer still.';
}

/** A larger radiator, or another one, as a choice of this design. */
function OtherRadiator() {
  const { car, design, now, changeDesign } = useBench();
  const set = (radiator: typeof design.radiator) => {
    const rest = { ...now().design };
    delete rest.radiator;
    changeDesign(radiator ? { ...rest, radiator } : rest);
  };
  return (
    <Fold name="Radiator" short={design.radiator ? 'another one' : "the car's own"}>
      <Toggle
        label="Another radiator in this design"
        value={design.radiator !== undefined}
        onChange={(on) => set(on ? car.coolant.radiator : undefined)}
      />
      {design.radiator && (
        <Fields>
          <RadiatorFields radiator={design.radiator} onChange={set} />
        </Fields>
      )}
    </Fold>
  );
}

function within(v: number, low: number, high: number): number {
  return Math.max(low, Math.min(high, v));
}
