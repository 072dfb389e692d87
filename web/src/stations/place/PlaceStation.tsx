import { keepPreviousData, useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { call, range, type CoolerDocument, type Schemas } from '../../api/client';
import { Findings } from '../../app/Findings';
import { usePreferences } from '../../app/preferences';
import { useBench } from '../../app/workbench';
import { Heading, Muted, QuantityField, Toggle } from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { AirCurve } from '../../pictures/AirCurve';
import { PressureBar } from '../../pictures/PressureBar';
import { Station } from '../Station';

type Place = CoolerDocument['place'];

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

const FAN = { stallPa: 220, freeFlowM3PerS: 0.35, onC: 98, offC: 90 };
const SPEEDS = [0, 10, 20, 30, 40, 50, 60, 80, 100, 120, 140, 160, 180];

/** Where the core goes and how the air gets through it. */
export function PlaceStation() {
  const { design, changeDesign, outcome } = useBench();
  const { show } = usePreferences();
  const cooler = design.cooler;
  if (!cooler) {
    return (
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
  const set = (change: Partial<CoolerDocument>) => changeDesign({ ...design, cooler: { ...cooler, ...change } });
  const core = outcome?.core;
  return (
    <Station
      choices={
        <>
          <PlacesCompared />
          <Fields>
            <QuantityField
              label="Sealing"
              suffix="%"
              value={cooler.sealingPercent}
              step={5}
              {...range('CoolerDocument', 'sealingPercent')}
              onChange={(sealingPercent) => set({ sealingPercent })}
            />
            <QuantityField
              label="Shaded face"
              suffix="%"
              value={cooler.shadedPercent}
              step={5}
              {...range('CoolerDocument', 'shadedPercent')}
              onChange={(shadedPercent) => set({ shadedPercent })}
            />
            <QuantityField
              label="Opening"
              quantity="area"
              value={cooler.openingCm2}
              step={10}
              {...range('CoolerDocument', 'openingCm2')}
              onChange={(openingCm2) => set({ openingCm2 })}
            />
            <QuantityField
              label="Duct loss"
              suffix="heads"
              value={cooler.ductHeads ?? 0}
              step={0.1}
              {...range('CoolerDocument', 'ductHeads')}
              onChange={(ductHeads) => set({ ductHeads })}
            />
          </Fields>
          <Fields>
            <Toggle label="Stone mesh" value={cooler.mesh} onChange={(mesh) => set({ mesh })} />
            <Toggle
              label="Fan"
              value={cooler.fan !== undefined}
              onChange={(on) => {
                const rest = { ...cooler };
                delete rest.fan;
                changeDesign({ ...design, cooler: on ? { ...rest, fan: FAN } : rest });
              }}
            />
            {cooler.fan && (
              <>
                <QuantityField
                  label="Fan on at"
                  quantity="temperature"
                  value={cooler.fan.onC}
                  step={1}
                  min={Math.max(range('FanDocument', 'onC').min, cooler.fan.offC + 1)}
                  max={range('FanDocument', 'onC').max}
                  onChange={(onC) => cooler.fan && set({ fan: { ...cooler.fan, onC } })}
                />
                <QuantityField
                  label="Fan off at"
                  quantity="temperature"
                  value={cooler.fan.offC}
                  step={1}
                  min={range('FanDocument', 'offC').min}
                  max={Math.min(range('FanDocument', 'offC').max, cooler.fan.onC - 1)}
                  onChange={(offC) => cooler.fan && set({ fan: { ...cooler.fan, offC } })}
                />
              </>
            )}
          </Fields>
          <Muted style={{ fontSize: 13 }}>
            Keep clear of the part of the nose that crushes, and of the low-speed impact pad. Support an engine whose
            front member comes off, and never work under a car on a jack alone.
          </Muted>
        </>
      }
      pictures={
        outcome &&
        core && (
          <>
            <AirBySpeed />
            <Heading>Where the air’s pressure goes at the end of the session</Heading>
            {core.airLosses.length > 0 ? (
              <PressureBar losses={core.airLosses} format={(pa) => `${Math.round(pa)} Pa`} label="Air pressure" />
            ) : (
              <Muted>No air moves through the core at that moment.</Muted>
            )}
            <Muted>
              {show(core.faceSpeedMPerS, 'airSpeed')} on the open part of the face takes {show(core.heatKw, 'heat')} out
              of the oil; the air leaves at {show(core.airOutC, 'temperature')}, which is what stands behind it
              breathes.
            </Muted>
          </>
        )
      }
      side={<Findings station="PLACE" />}
    />
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
  return air.data ? <AirCurve still={air.data.still} driven={air.data.driven} height={270} /> : null;
}

/** The same core at every place: peak and coolant, so that both schools' numbers stand side by side. */
function PlacesCompared() {
  const { car, duty, design, changeDesign } = useBench();
  const { show } = usePreferences();
  const base = JSON.stringify({
    car,
    duty,
    design: { ...design, cooler: { ...design.cooler, place: 'GRILLE_AHEAD' } },
  });
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
          <th scope="col">Place, with this core’s peaks</th>
          <th scope="col">Oil</th>
          <th scope="col">Coolant</th>
        </tr>
      </thead>
      <tbody>
        {places.data.map((p) => (
          <tr key={p.place} aria-current={p.place === design.cooler?.place}>
            <th scope="row">
              <PlaceLink
                chosen={p.place === design.cooler?.place}
                onPress={() =>
                  design.cooler && changeDesign({ ...design, cooler: { ...design.cooler, place: p.place } })
                }
              >
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
