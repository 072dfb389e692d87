import { loopLossBar } from '../loopLoss';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { ApiError } from '../../api/client';
import { queries } from '../../api/queries';
import { usePresets } from '../../bench/presets';
import { Held, useBench } from '../../bench/workbench';
import { Button, Coming, Fold, Heading, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { BayPicture, type Which } from '../../pictures/BayPicture';
import { roomOf, type Room } from '../../pictures/bayWindow';
import { BenchPicture } from '../../pictures/BenchPicture';
import { PressureBar } from '../../pictures/PressureBar';
import { usePreferences } from '../../preferences/preferences';
import { word } from '../../words/words';
import { Findings } from '../Findings';
import { Space } from '../Space';
import { Station } from '../Station';
import { AddCore } from '../core/AddCore';
import { useCooler } from '../core/coolerFields';
import { PlacementFields } from '../place/PlacementFields';
import { BayEditor } from './BayEditor';
import { BayStart, NeighbourEditor, StandEditor } from './StandEditor';
import { Bill } from './Bill';
import { Chains } from './Chains';
import { Circuit } from './Circuit';
import { Consequences } from './Consequences';
import { CutLists } from './CutLists';
import { EndsFields } from './EndsFields';
import { HoseChoice } from './HoseChoice';
import { PartList } from './PartList';
import { Gallery, SizesCompared, WhenSeen } from './PlumbPanels';
import { LEVELS, usePlumbing, type Level, type Plumbing, type Point } from './usePlumbing';
import { WireFields } from './WireFields';
import { POINTS, WayPoints, middleOf } from './WayPoints';
import { Figure } from '../figure/Figure';

/** How the oil gets to the core and back. */
export function PlumbStation() {
  const { design } = useBench();
  if (!design.cooler) {
    return (
      <Station
        choices={<AddCore why="Hoses lead to a core: add one, and two lengths of wire give the cut list." />}
        pictures={null}
        side={<Findings />}
      />
    );
  }
  return <Plumbed />;
}

function within(bay: Room, p: Point): Point {
  const clamp = (v: number, low: number, high: number) => Math.round(Math.max(low, Math.min(high, v)));
  return {
    xMm: clamp(p.xMm, bay.leftMm, bay.rightMm),
    yMm: clamp(p.yMm, bay.groundMm, bay.topMm),
    zMm: clamp(p.zMm, bay.frontMm, bay.rearMm),
  };
}

/** What the lengths rest on, and what that level asks for. */
function LevelFields(props: {
  level: Level;
  plumbing: Plumbing;
  error: Error | null;
  onChange: (change: Partial<Plumbing>) => void;
}) {
  const { level, plumbing, error, onChange } = props;
  const { car } = useBench();
  const { cooler, set } = useCooler();
  const { starts } = usePresets();
  const problems = error instanceof ApiError ? error.problems : [];
  return (
    <>
      <Pick
        label="Lengths rest on"
        value={level}
        options={LEVELS.map((id) => ({ id, name: word('plumbingLevel', id) }))}
        onChange={(next) => onChange({ level: next })}
      />
      {level === 'WIRE' && (
        <WireFields
          wires={plumbing.wires}
          wrong={(hose) => problems.find((p) => p.path === `/design/plumbing/wires/${hose}/lengthMm`)?.message}
          onChange={(wires) => onChange({ wires })}
        />
      )}
      {level === 'ENDS' && <EndsFields ends={plumbing.ends} onChange={(ends) => onChange({ ends })} />}
      {level === 'BAY' && !car.bay && <BayStart />}
      {level === 'BAY' &&
        cooler &&
        (cooler.placement ? (
          <Fold name="Core by tape" short={`${cooler.placement.xMm}, ${cooler.placement.yMm}, ${cooler.placement.zMm}`}>
            <PlacementFields placement={cooler.placement} move={(placement) => set({ placement })} />
          </Fold>
        ) : (
          <>
            <Muted>The hoses have to know where the core's ports are: put the core where your tape says.</Muted>
            <Button onPress={() => set({ placement: starts.placement })}>Put in the core's place</Button>
          </>
        ))}
    </>
  );
}

/** What is wrong with the whole answer and not with one field. */
function general(error: Error | null): string | undefined {
  if (!error) {
    return undefined;
  }
  const fields = error instanceof ApiError ? error.problems.filter((p) => p.path.includes('/wires/')) : [];
  return fields.length > 0 ? undefined : error.message;
}

function Plumbed() {
  const { car, drag, dragged } = useBench();
  const [closer, setCloser] = useState(true);
  const [space, setSpace] = useState(false);
  const [seen, setSeen] = useState(false);
  const { show } = usePreferences();
  const { plumbing, level, plumbed, pending, sizes, behind, error, change, differs, takeRouted } = usePlumbing(seen);
  const [marked, setMarked] = useState<string>();
  const [catalogue, setCatalogue] = useState(false);
  const parts = useQuery(queries.parts());
  const takeoffs = parts.data?.takeoffs ?? [];
  const hoses = parts.data?.hoses ?? [];
  const outsideMm = hoses.find((h) => h.number === plumbing.hose)?.outsideMm ?? 0;
  const bay = level === 'BAY' ? car.bay : undefined;
  const room = bay ?? (level === 'ENDS' && plumbed?.level === 'ENDS' ? roomOf(plumbed.lines) : undefined);
  const put = (p: Point) => (room ? within(room, p) : p);
  const move = (which: Which, index: number, to: Point) =>
    change({ [POINTS[which]]: plumbing[POINTS[which]].map((p, i) => (i === index ? put(to) : p)) });
  const figures = plumbed?.figures;
  const wrong = general(error);
  return (
    <Station
      choices={
        <>
          <LevelFields level={level} plumbing={plumbing} error={error} onChange={change} />
          <HoseChoice
            plumbing={plumbing}
            placed={car.bay !== undefined}
            takeoffs={takeoffs}
            hoses={hoses}
            onChange={change}
          />
          {differs && (
            <Row>
              <Muted>The outcome still has hoses set by hand.</Muted>
              <Button onPress={takeRouted}>Take these hoses</Button>
            </Row>
          )}
          <div>
            {room && (
              <Fold
                name="Way-points"
                short={`${plumbing.feedPoints.length} feed, ${plumbing.backPoints.length} return`}
                open={plumbing.feedPoints.length + plumbing.backPoints.length > 0}
              >
                {(['feed', 'return'] as const).map((which) => (
                  <WayPoints
                    key={which}
                    which={which}
                    points={plumbing[POINTS[which]]}
                    middle={middleOf(plumbed?.lines.find((l) => l.name === which)?.points)}
                    onChange={(points) => change({ [POINTS[which]]: points.map(put) })}
                  />
                ))}
              </Fold>
            )}
            <Circuit
              plumbing={plumbing}
              pushOn={hoses.find((h) => h.number === plumbing.hose)?.family === 'PUSH_ON'}
              onChange={change}
            />
            {bay && (
              <Fold
                name="The bay by tape"
                short={`${bay.boxes.length} boxes, ${bay.holes.length} holes`}
                onOpen={() => setMarked(undefined)}
              >
                <BayEditor bay={bay} marked={marked} onMark={setMarked} />
              </Fold>
            )}
            {car.bay && (
              <>
                <Fold name="Filter by tape" short={car.bay.stand.thread}>
                  <StandEditor bay={car.bay} />
                </Fold>
                <Fold name="Beside the filter" short={`${car.bay.stand.neighbours.length}`}>
                  <NeighbourEditor bay={car.bay} />
                </Fold>
              </>
            )}
            <Fold name="Parts to buy" short={`${takeoffs.length + hoses.length}`}>
              <Button onPress={() => setCatalogue(true)}>Own parts and lists…</Button>
            </Fold>
          </div>
          <Muted style={{ fontSize: 13 }}>
            Hot oil burns, and a leak at running pressure empties a sump in seconds. Hose that bears pressure has to be
            rated for it; its maker's instructions come first.
          </Muted>
          {catalogue && <PartList onClose={() => setCatalogue(false)} />}
        </>
      }
      pictures={
        <>
          {wrong && <p role="alert">▲ {wrong}</p>}
          {room && (
            <>
              <Row style={{ justifyContent: 'space-between' }}>
                <Heading>Routes</Heading>
                <Row>
                  {bay && !space && <Toggle label="Zoom to hoses" value={closer} onChange={setCloser} />}
                  <Toggle label="View in space" value={space} onChange={setSpace} />
                </Row>
              </Row>
              {space ? (
                <Space
                  about="hoses"
                  lines={plumbed?.lines ?? []}
                  outsideMm={outsideMm}
                  selected={marked}
                  onSelect={setMarked}
                />
              ) : (
                <BayPicture
                  bay={room}
                  boxes={bay ? (plumbed?.boxes ?? bay.boxes) : []}
                  holes={bay?.holes ?? []}
                  lines={plumbed?.lines ?? []}
                  points={{ feed: plumbing.feedPoints, return: plumbing.backPoints }}
                  marked={marked}
                  outsideMm={outsideMm}
                  closer={closer && marked === undefined}
                  dragged={dragged}
                  mostHeight={340}
                  onMove={move}
                  onDrag={drag}
                />
              )}
            </>
          )}
          {pending && <Coming height={420}>Laying the hoses…</Coming>}
          {!plumbed && !error && !pending && (
            <>
              <Heading>What will be here</Heading>
              <Muted>
                Two lengths of wire give the cut list with its marks, hose and fittings to buy, every joint with its
                seal and torque, what the plumbing costs in oil pressure, and the bill.
              </Muted>
            </>
          )}
          {plumbed && (
            <div aria-busy={behind} style={{ display: 'contents' }}>
              {plumbed.level !== 'BAY' && <BenchPicture lines={plumbed.lines} />}
              <CutLists plumbed={plumbed} />
              <Held>
                {figures && (
                  <>
                    <Heading>
                      Where the oil's pressure goes at the highest speed, hot:{' '}
                      <Figure of="LOOP_LOSS">{show(loopLossBar(figures.points), 'pressure')}</Figure>
                    </Heading>
                    <PressureBar
                      losses={figures.losses}
                      format={(pa) => show(pa / 1e5, 'pressure')}
                      label="Oil pressure"
                    />
                    <Gallery points={figures.points} />
                  </>
                )}
                <WhenSeen then={setSeen} />
                <SizesCompared sizes={sizes} onTake={(number) => change({ hose: number })} />
                <Chains plumbed={plumbed} />
                <Bill plumbed={plumbed} have={plumbing.have} onHave={(have) => change({ have })} />
              </Held>
            </div>
          )}
        </>
      }
      side={
        <>
          {pending && <Coming height={540}>Laying the hoses…</Coming>}
          {plumbed && <Consequences plumbed={plumbed} onTurn={(clockDeg) => change({ clockDeg })} />}
          <Findings station="PLUMB" />
        </>
      }
    />
  );
}
