import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { matchPath, NavLink, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { ApiError, call, create, type CarView, type Schemas } from '../api/client';
import { CarThatCannotBeShown, CarWithout, SomeBroken, Told } from './Repairs';
import { Actions, AskName, AskSure, Button, Pick, Row } from '../kit/kit';
import { FilesSheet } from './FilesSheet';
import { NewCar } from './NewCar';
import { usePreferences } from './preferences';
import { ThermalRule } from './Rule';
import { UnitsSheet } from './UnitsSheet';
import { Held, useBench, Workbench } from './workbench';

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

/** The address of a place: a car, a station and a design. */
export const PLACE = '/cars/:carId/:station?/:designId?';

const Frame = styled.div`
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr);
  height: 100vh;
  & > main {
    display: grid;
    grid-template-rows: auto auto auto minmax(0, 1fr);
    min-height: 0;
  }
  & > main > .station {
    position: relative;
    overflow: auto;
    min-height: 0;
  }
  @media (max-width: 800px) {
    grid-template-columns: 1fr;
    height: auto;
  }
  @media print {
    height: auto;
    display: block;
  }
`;

const Rail = styled.aside`
  border-right: 1px solid ${(p) => p.theme.faint};
  padding: 14px 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 16px;
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
`;

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 10px;
  padding: 10px 20px;
  border-bottom: 1px solid ${(p) => p.theme.faint};
  & > .pick {
    min-width: 150px;
    max-width: 250px;
    flex: 1;
  }
  & > p {
    margin: 0 0 10px auto;
    font-size: 13px;
    color: ${(p) => p.theme.soft};
    max-width: 190px;
  }
  & > .one {
    padding: 0 11px;
  }
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
    return <p className="opening">Isotherm</p>;
  }
  const first = cars.data.find((c) => !c.broken) ?? cars.data[0];
  if (!first) {
    return <NewCar empty />;
  }
  if (!carId || !cars.data.some((c) => c.id === carId)) {
    return <Navigate to={`/cars/${first.id}/duty`} replace />;
  }
  return <OneCar key={carId} carId={carId} cars={cars.data} />;
}

function OneCar({ carId, cars }: { carId: string; cars: Schemas['CarSummary'][] }) {
  const { station, designId } = useParams();
  const [search] = useSearchParams();
  const view = useQuery({
    queryKey: ['car', carId],
    queryFn: () => call<CarView>('GET', `/cars/${carId}`),
    // Changes made in another browser are seen when this one is looked at again.
    refetchOnWindowFocus: 'always',
    staleTime: Infinity,
    gcTime: 0,
  });
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
    return <Navigate to={{ pathname: `/cars/${carId}/${at}/${design.id}`, search: search.toString() }} replace />;
  }
  return (
    <Workbench
      key={`${carId}/${design.id}/${duty.id}`}
      view={view.data}
      dutyId={duty.id}
      designId={design.id}
      ghostId={search.get('against') ?? undefined}
    >
      <Frame>
        <Held>
          <StationRail />
        </Held>
        <main>
          <Held>
            <Top cars={cars} />
          </Held>
          <div>
            <Conflicts />
            <Failure />
            {view.data.broken > 0 && <SomeBroken count={view.data.broken} carId={carId} />}
          </div>
          <ThermalRule />
          <div className="station">
            <Suspense>{current ? <current.view /> : <Compare />}</Suspense>
          </div>
        </main>
      </Frame>
    </Workbench>
  );
}

/** Goes to a place of this car and keeps what stands after the question mark, except what is changed. */
export function useGo() {
  const navigate = useNavigate();
  return (to: { car?: string; station?: string; design?: string; duty?: string; against?: string | undefined }) => {
    // Where one is when it goes, not when it was asked for: an answer may have been waited for meanwhile.
    const { carId, station, designId } = matchPath(PLACE, window.location.pathname)?.params ?? {};
    const next = new URLSearchParams(to.car && to.car !== carId ? '' : window.location.search);
    if (to.duty) {
      next.set('duty', to.duty);
    }
    if ('against' in to) {
      if (to.against) {
        next.set('against', to.against);
      } else {
        next.delete('against');
      }
    }
    const design = to.design ?? (to.car && to.car !== carId ? '' : designId);
    void navigate(
      {
        pathname: `/cars/${to.car ?? carId}/${to.station ?? station}${design ? `/${design}` : ''}`,
        search: next.toString(),
      },
      // At once, so that what is pressed next already belongs to the new place.
      { flushSync: true },
    );
  };
}

function Top({ cars }: { cars: Schemas['CarSummary'][] }) {
  const { view, designId, design, changeDesign, undo, redo } = useBench();
  const { carId, station } = useParams();
  const client = useQueryClient();
  const go = useGo();
  const [asked, setAsked] = useState<'copy' | 'rename' | 'remove' | 'car' | 'removeCar'>();
  const [failed, setFailed] = useState<string>();
  const close = () => setAsked(undefined);
  /** What is asked of the server and refused is said, not swallowed. */
  const run = (what: string, work: () => Promise<void>) => {
    setFailed(undefined);
    work().catch((e: unknown) => setFailed(`${what}: ${e instanceof Error ? e.message : String(e)}`));
  };
  useEffect(() => {
    const keys = (e: globalThis.KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !target.closest('[role=dialog]')) {
        const run = e.shiftKey ? redo : undo;
        if (run) {
          e.preventDefault();
          run();
        }
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, [undo, redo]);
  const copy = async (name: string) => {
    const added = await create<Schemas['DesignView']>(`/cars/${carId}/designs`, { ...design, name });
    client.setQueryData<CarView>(['car', carId], (v) => v && { ...v, designs: [...v.designs, added] });
    go({ design: added.id, against: designId });
  };
  const remove = async () => {
    const version = view.designs.find((d) => d.id === designId)?.version;
    await call('DELETE', `/designs/${designId}`, undefined, { headers: { 'If-Match': `"${version}"` } });
    const left = view.designs.filter((d) => d.id !== designId);
    client.setQueryData<CarView>(['car', carId], (v) => v && { ...v, designs: left });
    go({ design: left[0]?.id ?? '', against: undefined });
  };
  const removeCar = async () => {
    await call('DELETE', `/cars/${carId}`, undefined, { headers: { 'If-Match': `"${view.version}"` } });
    const left = cars.filter((c) => c.id !== carId);
    client.setQueryData(['cars'], left);
    if (left[0]) {
      go({ car: left[0].id, station: 'duty' });
    }
  };
  return (
    <Head>
      <div className="pick">
        <Pick label="Car" value={view.id} options={cars} onChange={(id) => go({ car: id })} />
      </div>
      <Actions
        label="More about this car"
        actions={[
          { id: 'new', name: 'New car…', run: () => setAsked('car') },
          { id: 'remove', name: 'Remove this car…', run: () => setAsked('removeCar') },
        ]}
      />
      <div className="pick">
        <Pick
          label="Design"
          value={designId}
          options={view.designs.map((d) => ({ id: d.id, name: d.id === designId ? design.name : d.design.name }))}
          onChange={(id) => go({ design: id })}
        />
      </div>
      <Actions
        label="More about this design"
        actions={[
          { id: 'copy', name: 'Copy…', run: () => setAsked('copy') },
          { id: 'rename', name: 'Rename…', run: () => setAsked('rename') },
          { id: 'compare', name: 'Compare all designs', run: () => go({ station: 'compare' }) },
          {
            id: 'remove',
            name: 'Remove…',
            disabled: view.designs.length < 2,
            run: () => setAsked('remove'),
          },
        ]}
      />
      <Button className="one" aria-label="Undo" isDisabled={!undo} onPress={() => undo?.()}>
        ↶
      </Button>
      <Button className="one" aria-label="Redo" isDisabled={!redo} onPress={() => redo?.()}>
        ↷
      </Button>
      {station !== 'compare' && view.designs.length > 1 && (
        <Button onPress={() => go({ station: 'compare' })}>Compare</Button>
      )}
      <SaveWord />
      {failed && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ {failed}
        </p>
      )}
      {asked === 'copy' && (
        <AskName
          title="Copy this design"
          label="Name of the copy"
          value={`${design.name}, copy`.slice(0, 120)}
          action="Copy"
          onClose={close}
          onName={(name) => run('The design was not copied', () => copy(name))}
        />
      )}
      {asked === 'rename' && (
        <AskName
          title="Rename this design"
          label="Name"
          value={design.name}
          action="Rename"
          onClose={close}
          onName={(name) => changeDesign({ ...design, name })}
        />
      )}
      {asked === 'remove' && (
        <AskSure
          title="Remove this design"
          text={`“${design.name}” goes for good. The car and its other designs stay.`}
          action="Remove it"
          onClose={close}
          onSure={() => run('The design was not removed', remove)}
        />
      )}
      {asked === 'removeCar' && (
        <AskSure
          title="Remove this car"
          text={`“${view.car.name}” goes for good, with ${view.designs.length} designs, ${view.duties.length} duties and ${view.logs.length} logs.`}
          action="Remove the car"
          onClose={close}
          onSure={() => run('The car was not removed', removeCar)}
        />
      )}
      {asked === 'car' && <NewCar onClose={close} />}
    </Head>
  );
}

function StationRail() {
  const { carId, designId } = useParams();
  const [search] = useSearchParams();
  const go = useGo();
  const { outcome, view, car, design, designId: openDesign } = useBench();
  const { themeName, setTheme } = usePreferences();
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
  return (
    <Rail>
      <h1>Isotherm</h1>
      <nav aria-label="Stations">
        {stations.map((s, i) => (
          <NavLink key={s.id} to={{ pathname: `/cars/${carId}/${s.id}/${designId}`, search: search.toString() }}>
            <span aria-hidden>{i + 1}</span>
            <b>{s.name}</b>
            <span>{open(s.id) > 0 && <span aria-label={`${open(s.id)} findings`}>▲{open(s.id)}</span>}</span>
            <small>{s.decides}</small>
          </NavLink>
        ))}
      </nav>
      <footer>
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

function SaveWord() {
  const { saves } = useBench();
  const kinds = saves.map((s) => s.state.kind);
  const word = kinds.includes('offline')
    ? 'No connection: your changes are kept here and sent when it is back'
    : kinds.includes('saving')
      ? 'Saving…'
      : kinds.includes('updated')
        ? 'Taken over from another window'
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
        <Row>
          <Button onPress={() => settle(true)}>Keep my changes</Button>
          <Button onPress={() => settle(false)}>Use the saved version</Button>
        </Row>
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
