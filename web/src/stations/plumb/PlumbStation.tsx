import { loopLossBar } from '../loopLoss';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Findings } from '../Findings';
import { usePreferences } from '../../preferences/preferences';
import { Held, useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Heading, Muted, Pick, Row, Toggle } from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { BayPicture, type Which } from '../../pictures/BayPicture';
import { PressureBar } from '../../pictures/PressureBar';
import { useCooler } from '../core/coolerFields';
import { Station } from '../Station';
import { BayEditor, BayStart, StandEditor } from './BayEditor';
import { Bill } from './Bill';
import { Chains } from './Chains';
import { CutLists } from './CutLists';
import { PartList } from './PartList';
import { usePlumbing, type Point } from './usePlumbing';
import { Accessories, Gallery, SCHOOL, SizesCompared, WhenSeen } from './PlumbPanels';
import { POINTS, WayPoints, middleOf } from './WayPoints';
import { FAMILIES, JOINTS, SIZES, TAKEOFFS } from './names';
import { useMoney } from '../../bench/useMoney';
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

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
  & b {
    font-weight: 650;
  }
  & p {
    margin: 2px 0 0;
    font-size: 13.5px;
    color: ${(p) => p.theme.soft};
  }
`;

function within(bay: Schemas['BayDocument'], p: Point): Point {
  const clamp = (v: number, low: number, high: number) => Math.round(Math.max(low, Math.min(high, v)));
  return {
    xMm: clamp(p.xMm, bay.leftMm, bay.rightMm),
    yMm: clamp(p.yMm, bay.groundMm, bay.topMm),
    zMm: clamp(p.zMm, bay.frontMm, bay.rearMm),
  };
}

function Plumbed({ bay }: { bay: Schemas['BayDocument'] }) {
  const money = useMoney();
  const { drag, dragged } = useBench();
  const [closer, setCloser] = useState(true);
  const [seen, setSeen] = useState(false);
  const { say, show } = usePreferences();
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
  const hose = hoses.find((h) => h.number === plumbing.hose);
  const takeoff = takeoffs.find((t) => t.number === plumbing.takeoff);
  const move = (which: Which, index: number, to: Point) =>
    change({ [POINTS[which]]: plumbing[POINTS[which]].map((p, i) => (i === index ? within(bay, to) : p)) });
  const figures = plumbed?.figures;
  return (
    <Station
      choices={
        <>
          <Pick
            label="Takeoff"
            value={plumbing.takeoff}
            options={[
              ...(takeoff ? [] : [{ id: plumbing.takeoff, name: `${plumbing.takeoff}, not in the catalogue` }]),
              ...takeoffs.map((t) => ({
                id: t.number,
                name: `${TAKEOFFS[t.kind]} ${t.number}, ${t.thread}${t.thermostat ? ', thermostat' : ''}${t.gaugePorts ? ', gauges' : ''}`,
              })),
            ]}
            onChange={(next) => change({ takeoff: next })}
          />
          <Fields>
            <DocumentNumber
              label="Clock angle"
              schema="PlumbingDocument"
              field="clockDeg"
              suffix="°"
              value={plumbing.clockDeg}
              step={5}
              onChange={(clockDeg) => change({ clockDeg })}
            />
            <DocumentNumber
              label="Engine movement allowance"
              schema="PlumbingDocument"
              field="engineMovesMm"
              quantity="length"
              value={plumbing.engineMovesMm}
              step={5}
              onChange={(engineMovesMm) => change({ engineMovesMm })}
            />
            <Pick
              label="Hose"
              value={hose?.family ?? 'BRAIDED_RUBBER'}
              options={FAMILIES}
              onChange={(family) => {
                const next =
                  hoses.find((h) => h.family === family && h.dash === hose?.dash) ??
                  hoses.find((h) => h.family === family);
                if (next) {
                  change({ hose: next.number });
                }
              }}
            />
            <Pick
              label="Size"
              value={plumbing.hose}
              options={hoses
                .filter((h) => h.family === hose?.family && h.maker === hose.maker)
                .map((h) => ({ id: h.number, name: h.dash }))}
              onChange={(next) => change({ hose: next })}
            />
            <Pick
              label="Core’s ports"
              value={plumbing.corePort}
              options={JOINTS}
              onChange={(corePort) => change({ corePort, corePortSize: SIZES[corePort][2] ?? '-10' })}
            />
            <Pick
              label="Core port size"
              value={plumbing.corePortSize}
              options={[...new Set([...SIZES[plumbing.corePort], plumbing.corePortSize])].map((id) => ({
                id,
                name: id,
              }))}
              onChange={(corePortSize) => change({ corePortSize })}
            />
            <Pick
              label="Choose fittings for"
              value={plumbing.wish}
              options={[
                { id: 'JOINTS', name: 'joints' },
                { id: 'PRICE', name: 'price' },
                { id: 'LOSS', name: 'loss' },
              ]}
              onChange={(wish) => change({ wish })}
            />
            <Toggle
              label="Swap feed and return"
              value={plumbing.feed === 'OTHER'}
              onChange={(other) => change({ feed: other ? 'OTHER' : undefined })}
            />
            <Toggle label="Heat sleeves" value={plumbing.sleeved} onChange={(sleeved) => change({ sleeved })} />
          </Fields>
          {hose && (
            <Muted style={{ fontSize: 13 }}>
              Bore {show(hose.boreMm, 'length', 1)}, bends to {show(hose.bendRadiusMm, 'length')},{' '}
              {show(hose.ratedBar, 'pressure', 0)}, to {show(hose.maxC, 'temperature')}; {SCHOOL[hose.family]}
            </Muted>
          )}
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
          {plumbed && (
            <section aria-label="Fit of the takeoff" style={{ display: 'flex', flexDirection: 'column', gap: 10 }}>
              <Heading>{plumbed.fit.misfits.length === 0 ? 'The takeoff fits' : 'The takeoff does not fit'}</Heading>
              {plumbed.fit.misfits.length === 0 && (
                <Muted>
                  {show(plumbed.fit.engagementMm, 'length')} of thread hold it, {show(plumbed.fit.stackMm, 'length')} of
                  stack. The two gaskets never lie on each other.
                </Muted>
              )}
              <List>
                {plumbed.fit.misfits.map((m) => (
                  <li key={say(m.what)}>
                    <b>✕ {say(m.what)}</b>
                    <p>{say(m.why)}</p>
                    <p>{say(m.remedy)}.</p>
                    {m.kind === 'PORT_TOWARDS' && plumbed.fit.freeClockDeg !== undefined && (
                      <Button onPress={() => change({ clockDeg: plumbed.fit.freeClockDeg ?? 0 })}>
                        Turn it to {show(plumbed.fit.freeClockDeg, 'angle')}
                      </Button>
                    )}
                  </li>
                ))}
              </List>
              {plumbed.lines
                .filter((l) => !l.found)
                .map((l) => (
                  <p key={l.name} style={{ margin: 0 }} aria-live="polite">
                    ✕ No way for the {l.name}
                    {l.inTheWay.length > 0 && <>: {l.inTheWay.join(' or ')} in the way</>}. Move a box, a way-point, the
                    clock angle, or take a hose that bends tighter.
                  </p>
                ))}
            </section>
          )}
          {figures && (
            <FigureTable aria-label="Consequences of the plumbing">
              <tbody>
                {(
                  [
                    ['Added oil', show(figures.addedOilL, 'volume')],
                    ['Time to fill at idle', `${figures.primeSeconds.toFixed(1)} s`],
                    ['Time for a full leak to empty the sump', `${figures.drainSeconds.toFixed(1)} s`],
                    ['Mass without oil', show(figures.massKg, 'mass', 1)],
                    ['Parts cost', money(figures.price)],
                  ] as const
                ).map(([name, value]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{value}</td>
                  </tr>
                ))}
              </tbody>
            </FigureTable>
          )}
          {plumbed && (
            <List aria-label="To be minded">
              {plumbed.notes.map((n) => (
                <li key={n.key}>
                  <p>● {say(n)}</p>
                </li>
              ))}
            </List>
          )}
          <Findings station="PLUMB" />
        </>
      }
    />
  );
}
