import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import {
  call,
  type CarDocument,
  type CarView,
  type CaseDocument,
  type DesignDocument,
  type DutyDocument,
  type Interval,
  type OutcomeDocument,
} from '../api/client';
import { useSaved, type SaveState } from './useSaved';

interface Bench {
  readonly view: CarView;
  readonly designId: string;
  readonly car: CarDocument;
  readonly duty: DutyDocument;
  readonly design: DesignDocument;
  changeCar(car: CarDocument): void;
  changeDuty(duty: DutyDocument): void;
  changeDesign(design: DesignDocument): void;
  readonly saves: readonly { what: string; state: SaveState; settle: (mine: boolean) => void }[];
  readonly outcome: OutcomeDocument | undefined;
  readonly interval: Interval | undefined;
  readonly failure: Error | null;
  /** The outcome shown belongs to an earlier choice; the one for the present choice is on its way. */
  readonly behind: boolean;
}

const Context = createContext<Bench | undefined>(undefined);

/** Samples for the whisker: enough for a steady 10–90 % interval, few enough to follow a choice. */
const SAMPLES = 48;

interface Props {
  readonly view: CarView;
  readonly dutyId: string;
  readonly designId: string;
  readonly children: ReactNode;
}

export function Workbench({ view, dutyId, designId, children }: Props) {
  const storedDuty = view.duties.find((d) => d.id === dutyId);
  const storedDesign = view.designs.find((d) => d.id === designId);
  if (!storedDuty || !storedDesign) {
    throw new Error('Workbench needs a duty and a design of its car');
  }
  const car = useSaved<CarDocument>(`/cars/${view.id}`, view.car, view.version);
  const duty = useSaved<DutyDocument>(`/duties/${dutyId}`, storedDuty.duty, storedDuty.version);
  const design = useSaved<DesignDocument>(`/designs/${designId}`, storedDesign.design, storedDesign.version);

  const asked: CaseDocument = { car: car.document, duty: duty.document, design: design.document };
  const outcome = useQuery({
    queryKey: ['outcome', asked],
    queryFn: ({ signal }) => call<OutcomeDocument>('POST', '/outcome', asked, { signal }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: 1,
  });
  const settled = outcome.data !== undefined && !outcome.isPlaceholderData;
  const interval = useQuery({
    queryKey: ['interval', asked],
    queryFn: ({ signal }) => call<Interval>('POST', '/interval', { ...asked, samples: SAMPLES, seed: 1 }, { signal }),
    enabled: settled,
    staleTime: Infinity,
    retry: 1,
  });

  const bench = useMemo<Bench>(
    () => ({
      view,
      designId,
      car: car.document,
      duty: duty.document,
      design: design.document,
      changeCar: car.change,
      changeDuty: duty.change,
      changeDesign: design.change,
      saves: [
        { what: 'car', state: car.state, settle: car.settle },
        { what: 'duty', state: duty.state, settle: duty.settle },
        { what: 'design', state: design.state, settle: design.settle },
      ],
      outcome: outcome.data,
      interval: settled ? interval.data : undefined,
      failure: outcome.error,
      behind: outcome.isPlaceholderData,
    }),
    [view, designId, car, duty, design, outcome, interval.data, settled],
  );
  return <Context.Provider value={bench}>{children}</Context.Provider>;
}

export function useBench(): Bench {
  const bench = useContext(Context);
  if (!bench) {
    throw new Error('useBench needs a Workbench above it');
  }
  return bench;
}
