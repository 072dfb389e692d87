import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { NavLink, Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { call, type CarView, type Schemas } from '../api/client';
import { Button, Pick } from '../kit/kit';
import { CoreStation } from '../stations/core/CoreStation';
import { Duty } from '../stations/duty/Duty';
import { PlaceStation } from '../stations/place/PlaceStation';
import { usePreferences } from './preferences';
import { ThermalRule } from './Rule';
import { Workbench, useBench } from './workbench';

const stations = [
  { id: 'duty', name: 'Duty', decides: 'What the car has to do', view: Duty },
  { id: 'core', name: 'Core', decides: 'Rows, width, thermostat', view: CoreStation },
  { id: 'place', name: 'Place', decides: 'Position, air in and out', view: PlaceStation },
] as const;

const Frame = styled.div`
  display: grid;
  grid-template-columns: 188px minmax(0, 1fr);
  min-height: 100vh;
  @media (max-width: 800px) {
    grid-template-columns: 1fr;
  }
`;

const Rail = styled.aside`
  border-right: 1px solid ${(p) => p.theme.faint};
  padding: 14px 14px 16px;
  display: flex;
  flex-direction: column;
  gap: 18px;
  position: sticky;
  top: 0;
  height: 100vh;
  overflow: auto;
  @media (max-width: 800px) {
    position: static;
    height: auto;
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
    grid-template-columns: 20px 1fr auto;
    gap: 0 6px;
    padding: 9px 10px;
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
`;

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 14px;
  padding: 12px 20px;
  border-bottom: 1px solid ${(p) => p.theme.faint};
  & > div {
    min-width: 170px;
    max-width: 300px;
    flex: 1;
  }
  & > p {
    margin: 0 0 9px auto;
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
`;

const Told = styled.div`
  padding: 10px 20px;
  border-bottom: 2px solid ${(p) => p.theme.ink};
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
`;

export function Shell() {
  const { carId } = useParams();
  const cars = useQuery({
    queryKey: ['cars'],
    queryFn: () => call<Schemas['CarSummary'][]>('GET', '/cars'),
  });
  if (cars.error) {
    return <Told role="alert">The garage cannot be reached: {cars.error.message}</Told>;
  }
  if (!cars.data) {
    return null;
  }
  const first = cars.data[0];
  if (!first) {
    return <Told>This garage is empty. Start it with ./isotherm demo to look at three invented cars.</Told>;
  }
  if (!carId || !cars.data.some((c) => c.id === carId)) {
    return <Navigate to={`/cars/${first.id}/duty`} replace />;
  }
  return <OneCar key={carId} carId={carId} cars={cars.data} />;
}

function OneCar({ carId, cars }: { carId: string; cars: Schemas['CarSummary'][] }) {
  const { station, designId } = useParams();
  const navigate = useNavigate();
  const view = useQuery({
    queryKey: ['car', carId],
    queryFn: () => call<CarView>('GET', `/cars/${carId}`),
    staleTime: Infinity,
    gcTime: 0,
  });
  const current = stations.find((s) => s.id === station) ?? stations[0];
  const design = view.data?.designs.find((d) => d.id === designId) ?? view.data?.designs[0];
  const duty = view.data?.duties[0];
  if (view.error) {
    return <Told role="alert">This car cannot be read: {view.error.message}</Told>;
  }
  if (!view.data) {
    return null;
  }
  if (!design || !duty) {
    return <Told>{view.data.car.name} has no duty or no design yet.</Told>;
  }
  if (design.id !== designId || current.id !== station) {
    return <Navigate to={`/cars/${carId}/${current.id}/${design.id}`} replace />;
  }
  const go = (car: string, to: string, d?: string) => void navigate(`/cars/${car}/${to}${d ? `/${d}` : ''}`);
  return (
    <Workbench key={`${carId}/${design.id}`} view={view.data} dutyId={duty.id} designId={design.id}>
      <Frame>
        <StationRail carId={carId} designId={design.id} />
        <main>
          <Head>
            <div>
              <Pick label="Car" value={carId} options={cars} onChange={(id) => go(id, current.id)} />
            </div>
            <div>
              <Pick
                label="Design"
                value={design.id}
                options={view.data.designs.map((d) => ({ id: d.id, name: d.design.name }))}
                onChange={(id) => go(carId, current.id, id)}
              />
            </div>
            <SaveWord />
          </Head>
          <Conflicts />
          <ThermalRule />
          <Failure />
          <current.view />
        </main>
      </Frame>
    </Workbench>
  );
}

function StationRail({ carId, designId }: { carId: string; designId: string }) {
  const navigate = useNavigate();
  const { outcome } = useBench();
  const { units, setUnit, themeName, setTheme } = usePreferences();
  useEffect(() => {
    const keys = (e: globalThis.KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (e.altKey || e.ctrlKey || e.metaKey || target.closest('input, textarea, select, [role=listbox]')) {
        return;
      }
      const station = stations[Number(e.key) - 1];
      if (station) {
        void navigate(`/cars/${carId}/${station.id}/${designId}`);
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, [carId, designId, navigate]);
  // Plumbing has no station of its own yet: its findings are counted where the core is chosen.
  const open = (station: string) =>
    outcome?.findings.filter(
      (f) =>
        (f.severity === 'FAILS' || f.severity === 'RISK') &&
        (f.station === 'PLUMB' ? 'core' : f.station.toLowerCase()) === station,
    ).length ?? 0;
  return (
    <Rail>
      <h1>Isotherm</h1>
      <nav aria-label="Stations">
        {stations.map((s, i) => (
          <NavLink key={s.id} to={`/cars/${carId}/${s.id}/${designId}`}>
            <span aria-hidden>{i + 1}</span>
            <b>{s.name}</b>
            <span>{open(s.id) > 0 && <span aria-label={`${open(s.id)} findings`}>▲{open(s.id)}</span>}</span>
            <small>{s.decides}</small>
          </NavLink>
        ))}
      </nav>
      <footer>
        <Pick
          label="Temperatures in"
          value={String(units.temperature)}
          options={[
            { id: '0', name: '°C' },
            { id: '1', name: '°F' },
          ]}
          onChange={(v) => {
            setUnit('temperature', v === '1' ? 1 : 0);
            setUnit('temperatureDifference', v === '1' ? 1 : 0);
          }}
        />
        <Pick
          label="Lengths in"
          value={String(units.length)}
          options={[
            { id: '0', name: 'mm' },
            { id: '1', name: 'in' },
          ]}
          onChange={(v) => setUnit('length', v === '1' ? 1 : 0)}
        />
        <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
          {themeName === 'light' ? 'Dark paper' : 'Light paper'}
        </Button>
      </footer>
    </Rail>
  );
}

function SaveWord() {
  const { saves } = useBench();
  const kinds = saves.map((s) => s.state.kind);
  const word = kinds.includes('offline')
    ? 'No connection: your changes are kept here and sent when it is back'
    : kinds.includes('saving')
      ? 'Saving…'
      : kinds.every((k) => k === 'saved')
        ? 'Saved'
        : '';
  return <p role="status">{word}</p>;
}

function Conflicts() {
  const { saves } = useBench();
  return saves.map(({ what, state, settle }) =>
    state.kind === 'conflict' ? (
      <Told key={what} role="alert">
        ▲ This {what} was changed elsewhere since it was read here. Nothing is lost yet.
        <Button onPress={() => settle(true)}>Keep what is here</Button>
        <Button onPress={() => settle(false)}>Take what is there</Button>
      </Told>
    ) : state.kind === 'refused' ? (
      <Told key={what} role="alert">
        ▲ This {what} was not saved: {state.message}
      </Told>
    ) : null,
  );
}

function Failure() {
  const { failure } = useBench();
  return failure && <Told role="alert">▲ No outcome for this choice: {failure.message}</Told>;
}
