import { loopLossBar } from '../loopLoss';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Findings } from '../Findings';
import { usePreferences } from '../../preferences/preferences';
import { Held, useBench } from '../../bench/workbench';

import { Button, Fold, Heading, Muted, Row, Toggle } from '../../kit/kit';

import { BayPicture, type Which } from '../../pictures/BayPicture';
import { PressureBar } from '../../pictures/PressureBar';
import { useCooler } from '../core/coolerFields';
import { Station } from '../Station';
import { BayEditor } from './BayEditor';
import { BayStart, StandEditor } from './StandEditor';
import { Bill } from './Bill';
import { Chains } from './Chains';
import { Consequences } from './Consequences';
import { HoseChoice } from './HoseChoice';
import { CutLists } from './CutLists';
import { PartList } from './PartList';
import { usePlumbing, type Point } from './usePlumbing';
import { Accessories, Gallery, SizesCompared, WhenSeen } from './PlumbPanels';
import { POINTS, WayPoints, middleOf } from './WayPoints';

import { usePresets } from '../../bench/presets';

/** How the oil gets to the core and back. */
export function PlumbStation() {
  const { starts } = usePresets();
  const { car, design, changeDesign } = useBench();
  const missing = !design.cooler
    ? ['No cooler in this design', 'Add a core on the Core station first; then it can be plumbed.']
    : !design.cooler.placement
      ? [
          'The core has no place yet',
          'Put it into the nose on the Place station: hoses need to know where its ports are.',
        ]
      : undefined;
  if (missing) {
    return (
      <Station
        choices={
          <>
            <Heading>{missing[0]}</Heading>
            <Muted>{missing[1]}</Muted>
          </>
        }
        pictures={null}
        side={<Findings />}
      />
    );
  }
  if (!car.bay || !design.plumbing) {
    return (
      <Station
        choices={
          car.bay ? (
            <>
              <Heading>Nothing chosen between engine and core yet</Heading>
              <Button onPress={() => changeDesign({ ...design, plumbing: starts.plumbing })}>
                Start with plate and hoses
              </Button>
            </>
          ) : (
            <BayStart />
          )
        }
        pictures={null}
        side={<Findings />}
      />
    );
  }
  return <Plumbed bay={car.bay} />;
}

function within(bay: Schemas['BayDocument'], p: Point): Point {
  const clamp = (v: number, low: number, high: number) => Math.round(Math.max(low, Math.min(high, v)));
  return {
    xMm: clamp(p.xMm, bay.leftMm, bay.rightMm),
    yMm: clamp(p.yMm, bay.groundMm, bay.topMm),
    zMm: clamp(p.zMm, bay.frontMm, bay.rearMm),
  };
}

function Plumbed({ bay }: { bay: Schemas['BayDocument'] }) {
  const { drag, dragged } = useBench();
  const [closer, setCloser] = useState(true);
  const [seen, setSeen] = useState(false);
  const { show } = usePreferences();
  const { cooler } = useCooler();
  const { plumbing, plumbed, sizes, behind, error, change, differs, takeRouted } = usePlumbing(seen);
  const [marked, setMarked] = useState<string>();
  const [catalogue, setCatalogue] = useState(false);
  const parts = useQuery(queries.parts());
  const takeoffs = parts.data?.takeoffs ?? [];
  const hoses = parts.data?.hoses ?? [];
  if (!plumbing || !cooler) {
    return null;
  }
  const move = (which: Which, index: number, to: Point) =>
    change({ [POINTS[which]]: plumbing[POINTS[which]].map((p, i) => (i === index ? within(bay, to) : p)) });
  const figures = plumbed?.figures;
  return (
    <Station
      choices={
        <>
          <HoseChoice plumbing={plumbing} takeoffs={takeoffs} hoses={hoses} onChange={change} />
          {differs && (
            <Row>
              <Muted>The outcome still has hoses set by hand.</Muted>
              <Button onPress={takeRouted}>Take the routed hoses</Button>
            </Row>
          )}
          <div>
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
                  onChange={(points) => change({ [POINTS[which]]: points.map((p) => within(bay, p)) })}
                />
              ))}
            </Fold>
            <Fold
              name="Accumulator, filters"
              short={plumbing.accessories.length === 0 ? 'none' : `${plumbing.accessories.length}`}
            >
              <Accessories accessories={plumbing.accessories} onChange={(accessories) => change({ accessories })} />
            </Fold>
            <Fold
              name="The bay by tape"
              short={`${bay.boxes.length} boxes, ${bay.holes.length} holes`}
              onOpen={() => setMarked(undefined)}
            >
              <BayEditor bay={bay} onMark={setMarked} />
            </Fold>
            <Fold name="Filter by tape" short={bay.stand.thread}>
              <StandEditor bay={bay} />
            </Fold>
            <Fold name="Parts to buy" short={`${takeoffs.length + hoses.length}`}>
              <Button onPress={() => setCatalogue(true)}>Own parts and lists…</Button>
            </Fold>
          </div>
          <Muted style={{ fontSize: 13 }}>
            Hot oil burns, and a leak at running pressure empties a sump in seconds. Hose that bears pressure has to be
            rated for it; its maker’s instructions come first.
          </Muted>
          {catalogue && <PartList onClose={() => setCatalogue(false)} />}
        </>
      }
      pictures={
        <>
          {error && <p role="alert">▲ {error.message}</p>}
          <Row style={{ justifyContent: 'space-between' }}>
            <Heading>Routes</Heading>
            <Toggle label="Zoom to hoses" value={closer} onChange={setCloser} />
          </Row>
          <BayPicture
            bay={bay}
            boxes={plumbed?.boxes ?? bay.boxes}
            lines={plumbed?.lines ?? []}
            points={{ feed: plumbing.feedPoints, return: plumbing.backPoints }}
            marked={marked}
            closer={closer && marked === undefined}
            dragged={dragged}
            mostHeight={340}
            onMove={move}
            onDrag={drag}
          />
          {plumbed && (
            <div aria-busy={behind} style={{ display: 'contents' }}>
              <CutLists plumbed={plumbed} />
              <Held>
                {figures && (
                  <>
                    <Heading>
                      Where the oil’s pressure goes at the highest speed, hot:{' '}
                      {show(loopLossBar(figures.points), 'pressure')}
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
          {plumbed && <Consequences plumbed={plumbed} onTurn={(clockDeg) => change({ clockDeg })} />}
          <Findings station="PLUMB" />
        </>
      }
    />
  );
}
