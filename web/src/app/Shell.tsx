import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Navigate, useLocation, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { ApiError, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { CarThatCannotBeShown, CarWithout, SomeBroken, Told } from './Repairs';
import { PHONE } from '../kit/narrow';
import { ThermalRule } from './Rule';
import { Held, useBench, Workbench } from '../bench/workbench';
import { PresetsContext } from '../bench/presets';
import { ordered } from '../bench/ordered';
import { stations } from './stations';
import { StationRail, TellOpen } from './StationRail';
import { Conflicts, Top } from './Top';
import { Upgraded } from './Upgraded';
import { Waiting } from './Waiting';

const Compare = lazy(async () => ({ default: (await import('../stations/compare/Compare')).Compare }));

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
  const [open, setOpen] = useState<Readonly<Record<string, number>>>({});
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
    // The rail is the same for every design of the car: a press on it is not lost while another design takes the place of this one.
    <Frame data-at={at}>
      <StationRail view={view.data} designName={design.design.name} open={open} />
      <Workbench
        key={`${carId}/${design.id}/${duty.id}`}
        view={view.data}
        dutyId={duty.id}
        designId={design.id}
        ghostId={search.get('against') ?? undefined}
      >
        <TellOpen onOpen={setOpen} />
        <main>
          <Held>
            <Top cars={cars} />
          </Held>
          <div>
            <Upgraded />
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
      </Workbench>
    </Frame>
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
