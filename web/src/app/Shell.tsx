import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { NavLink, Navigate, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { ApiError, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { CarThatCannotBeShown, CarWithout, SomeBroken, Told } from './Repairs';
import { Actions, Button } from '../kit/kit';
import { PHONE } from '../kit/narrow';
import { FilesSheet } from './FilesSheet';
import { usePreferences } from '../preferences/preferences';
import { ThermalRule } from './Rule';
import { UnitsSheet } from './UnitsSheet';
import { Held, useBench, Workbench } from '../bench/workbench';
import { PresetsContext } from '../bench/presets';
import { useMe } from '../bench/me';
import { ordered } from '../bench/ordered';
import { useGo } from '../bench/useGo';
import { Conflicts, Top } from './Top';
import { Waiting } from './Waiting';

// Each station comes when it is first gone to: the first look at a car does not wait for all of them.
const Duty = lazy(async () => ({ default: (await import('../stations/duty/Duty')).Duty }));

const CoreStation = lazy(async () => ({ default: (await import('../stations/core/CoreStation')).CoreStation }));

const PlaceStation = lazy(async () => ({ default: (await import('../stations/place/PlaceStation')).PlaceStation }));

const PlumbStation = lazy(async () => ({ default: (await import('../stations/plumb/PlumbStation')).PlumbStation }));

const BuildStation = lazy(async () => ({ default: (await import('../stations/build/BuildStation')).BuildStation }));

const ProveStation = lazy(async () => ({ default: (await import('../stations/prove/ProveStation')).ProveStation }));

const CareStation = lazy(async () => ({ default: (await import('../stations/care/CareStation')).CareStation }));

const Compare = lazy(async () => ({ default: (await import('../stations/compare/Compare')).Compare }));

const stations = [
  { id: 'duty', name: 'Duty', decides: 'What the car has to do', view: Duty },
  { id: 'core', name: 'Core', decides: 'Rows, shape, thermostat', view: CoreStation },
  { id: 'place', name: 'Place', decides: 'Position, air in and out', view: PlaceStation },
  { id: 'plumb', name: 'Plumb', decides: 'Takeoff, fittings, hoses', view: PlumbStation },
  { id: 'build', name: 'Build', decides: 'Run sheet, gates, gauges', view: BuildStation },
  { id: 'prove', name: 'Prove', decides: 'Before against after', view: ProveStation },
  { id: 'care', name: 'Care', decides: 'What is due, what was done', view: CareStation },
] as const;

const Frame = styled.div`
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr);
  height: 100vh;
  & > main {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto auto minmax(0, 1fr);
    min-height: 0;
  }
  & > main > .station {
    position: relative;
    overflow: auto;
    min-height: 0;
  }
  @media (min-width: 801px) {
    & > main > .station {
      container-type: size;
    }
  }
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  @media ${PHONE} {
    padding-bottom: calc(64px + env(safe-area-inset-bottom));
    & > main > .station {
      overflow: visible;
    }
    /* At the car the sheet and the book matter; the rule is a tap away on the other stations. */
    &[data-at='build'] > main > section,
    &[data-at='care'] > main > section {
      display: none;
    }
    &[data-at='build'] > main > header > :not(.pick:first-child, p),
    &[data-at='care'] > main > header > :not(.pick:first-child, p) {
      display: none;
    }
  }
  @media print {
    height: auto;
    display: block;
  }
`;

const Rail = styled.aside`
  border-right: 1px solid ${(p) => p.theme.faint};
  padding: 14px 12px 12px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow: auto;
  @media print {
    display: none;
  }
  & h1 {
    font-size: 19px;
    font-weight: 700;
    letter-spacing: -0.01em;
    margin: 0;
  }
  & nav {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  & nav a {
    display: grid;
    grid-template-columns: 18px 1fr auto;
    gap: 0 6px;
    padding: 9px 8px;
    border-radius: 4px;
    color: inherit;
    text-decoration: none;
  }
  & nav a:hover {
    background: ${(p) => p.theme.press};
  }
  & nav a.active {
    background: ${(p) => p.theme.ink};
    color: ${(p) => p.theme.paper};
  }
  & nav a:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
  & nav small {
    grid-column: 2 / -1;
    font-size: 12px;
    opacity: 0.85;
  }
  & nav b {
    font-weight: 650;
  }
  & footer {
    margin-top: auto;
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  & .phone {
    display: none;
  }
  /* Along the lower edge, where the thumb is. */
  @media ${PHONE} {
    position: fixed;
    z-index: 20;
    inset: auto 0 0;
    flex-direction: row;
    align-items: center;
    gap: 4px;
    padding: 4px 6px calc(4px + env(safe-area-inset-bottom));
    border-right: 0;
    border-top: 1px solid ${(p) => p.theme.line};
    background: ${(p) => p.theme.paper};
    & h1 {
      /* Read aloud, not seen. */
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    & footer,
    & nav small,
    & nav a > span:first-child {
      display: none;
    }
    & nav {
      flex: 1;
      min-width: 0;
      flex-direction: row;
      overflow-x: auto;
      scrollbar-width: none;
    }
    & nav a {
      display: flex;
      align-items: center;
      gap: 4px;
      min-height: 52px;
      padding: 0 12px;
    }
    & .phone {
      display: block;
    }
  }
`;

export function Shell() {
  const { carId } = useParams();
  const cars = useQuery(queries.cars());
  const presets = useQuery(queries.presets());
  const unreachable = cars.error ?? presets.error;
  if (unreachable) {
    return <Told role="alert">The garage cannot be reached: {unreachable.message}</Told>;
  }
  if (!cars.data || !presets.data) {
    return <p className="opening">Isotherm</p>;
  }
  const first = cars.data.find((c) => !c.broken) ?? cars.data[0];
  if (!first) {
    return <Navigate to="/start" replace />;
  }
  if (!carId || !cars.data.some((c) => c.id === carId)) {
    return <Navigate to={`/cars/${first.id}/duty`} replace />;
  }
  return (
    <PresetsContext value={presets.data}>
      <OneCar key={carId} carId={carId} cars={cars.data} />
    </PresetsContext>
  );
}

/** The same for as long as the car is the same. */
const inOrder = (view: Schemas['CarView']): Schemas['CarView'] => ({ ...view, designs: ordered(view) });

function OneCar({ carId, cars }: { carId: string; cars: Schemas['CarSummary'][] }) {
  const { station, designId } = useParams();
  const [search] = useSearchParams();
  const { state } = useLocation();
  const view = useQuery({ ...queries.car(carId), select: inOrder });
  const current = stations.find((s) => s.id === station) ?? (station === 'compare' ? undefined : stations[0]);
  const design = view.data?.designs.find((d) => d.id === designId) ?? view.data?.designs[0];
  const duty = view.data?.duties.find((d) => d.id === search.get('duty')) ?? view.data?.duties[0];
  if (view.error) {
    return (
      <CarThatCannotBeShown
        cars={cars}
        carId={carId}
        message={view.error.message}
        broken={view.error instanceof ApiError && view.error.status === 422}
      />
    );
  }
  if (!view.data) {
    return <p className="opening">Isotherm</p>;
  }
  if (!design || !duty) {
    return <CarWithout cars={cars} view={view.data} />;
  }
  const at = current?.id ?? 'compare';
  if (design.id !== designId || at !== station) {
    // What came along, such as a log, comes along further.
    const whole = { pathname: `/cars/${carId}/${at}/${design.id}`, search: search.toString() };
    return <Navigate to={whole} state={state} replace />;
  }
  return (
    <Workbench
      key={`${carId}/${design.id}/${duty.id}`}
      view={view.data}
      dutyId={duty.id}
      designId={design.id}
      ghostId={search.get('against') ?? undefined}
    >
      <Frame data-at={at}>
        <Held>
          <StationRail />
        </Held>
        <main>
          <Held>
            <Top cars={cars} />
          </Held>
          <div>
            <Conflicts />
            <Waiting quiet={at === 'build' || at === 'care'} />
            <Failure />
            {view.data.broken > 0 && <SomeBroken count={view.data.broken} carId={carId} />}
          </div>
          {/* On another station one reads from the top again. */}
          <ThermalRule key={at} />
          <div className="station">
            <Suspense>{current ? <current.view /> : <Compare />}</Suspense>
          </div>
        </main>
      </Frame>
    </Workbench>
  );
}

function StationRail() {
  const { carId, designId, station } = useParams();
  const [search] = useSearchParams();
  const go = useGo();
  const navigate = useNavigate();
  const { outcome, view, car, design, designId: openDesign } = useBench();
  const { themeName, setTheme } = usePreferences();
  const together = useMe()?.together === true;
  const [units, setUnits] = useState(false);
  const [files, setFiles] = useState(false);
  useEffect(() => {
    const keys = (e: globalThis.KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (
        e.altKey ||
        e.ctrlKey ||
        e.metaKey ||
        target.closest('input, textarea, select, [role=listbox], [role=dialog], [role=menu]')
      ) {
        return;
      }
      const to = stations[Number(e.key) - 1];
      if (to) {
        go({ station: to.id });
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, [go]);
  const open = (id: string) =>
    outcome?.findings.filter((f) => (f.severity === 'FAILS' || f.severity === 'RISK') && f.station.toLowerCase() === id)
      .length ?? 0;
  const bar = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the bar is wider than the hand.
    bar.current?.querySelector('.active')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [station]);
  return (
    <Rail>
      <h1>Isotherm</h1>
      <nav aria-label="Stations" ref={bar}>
        {stations.map((s, i) => (
          <NavLink key={s.id} to={{ pathname: `/cars/${carId}/${s.id}/${designId}`, search: search.toString() }}>
            <span aria-hidden>{i + 1}</span>
            <b>{s.name}</b>
            <span>{open(s.id) > 0 && <span aria-label={`${open(s.id)} findings`}>▲{open(s.id)}</span>}</span>
            <small>{s.decides}</small>
          </NavLink>
        ))}
      </nav>
      <div className="phone">
        <Actions
          label="Guide, files, units, theme"
          actions={[
            { id: 'help', name: 'Guide', run: () => void navigate('/guide') },
            { id: 'files', name: 'Files', run: () => setFiles(true) },
            { id: 'units', name: 'Units', run: () => setUnits(true) },
            ...(together ? [{ id: 'people', name: 'People', run: () => void navigate('/people') }] : []),
            { id: 'state', name: 'State of this garage', run: () => void navigate('/state') },
            {
              id: 'theme',
              name: themeName === 'light' ? 'Dark theme' : 'Light theme',
              run: () => setTheme(themeName === 'light' ? 'dark' : 'light'),
            },
          ]}
        />
      </div>
      <footer>
        {together && <Button onPress={() => void navigate('/people')}>People</Button>}
        <Button onPress={() => setFiles(true)}>Files</Button>
        <Button onPress={() => setUnits(true)}>Units</Button>
        <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
          {themeName === 'light' ? 'Dark theme' : 'Light theme'}
        </Button>
      </footer>
      {units && <UnitsSheet onClose={() => setUnits(false)} />}
      {files && (
        <FilesSheet
          car={{ id: view.id, name: car.name }}
          design={{ id: openDesign, name: design.name }}
          onDesign={(added) => go({ design: added })}
          onClose={() => setFiles(false)}
        />
      )}
    </Rail>
  );
}

function Failure() {
  const { failure, saves } = useBench();
  // What cannot be saved cannot be computed either: it is said once, where it is kept.
  if (saves.some((s) => s.state.kind === 'refused')) {
    return null;
  }
  if (failure && !(failure instanceof ApiError)) {
    return (
      <Told role="status">
        No connection to the garage: figures are not computed. Builds and the care book go on, and what is written there
        is sent when it is back.
      </Told>
    );
  }
  return failure && <Told role="alert">▲ No outcome for this choice: {failure.message}</Told>;
}
