import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, memo, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { amendCar } from '../api/amend';
import {
  api,
  read,
  type CarView,
  type CarDocument,
  type DutyDocument,
  type DesignDocument,
  type CaseDocument,
  type OutcomeDocument,
  type Interval,
} from '../api/client';
import { queries } from '../api/queries';
import { useMay } from './me';
import { amended, moved, recorded, stepNow, useHistory, type History, type Step, type What } from './history';
import { useSaved, type SaveState } from './useSaved';
import { useSettled } from './useSettled';

interface Bench {
  readonly view: CarView;
  readonly dutyId: string;
  readonly designId: string;
  readonly car: CarDocument;
  readonly duty: DutyDocument;
  readonly design: DesignDocument;
  /** The three as they are when something is pressed. A handler that reads them here is the same for every choice. */
  readonly now: () => CaseDocument;
  readonly changeCar: (car: CarDocument) => void;
  readonly changeDuty: (duty: DutyDocument) => void;
  readonly changeDesign: (design: DesignDocument) => void;
  /** Puts into the design what an earlier change of it came to; undone together with it. */
  readonly followDesign: (design: DesignDocument) => void;
  undo?: (() => void) | undefined;
  redo?: (() => void) | undefined;
  readonly saves: readonly { what: string; state: SaveState; settle: (mine: boolean) => void }[];
  readonly outcome: OutcomeDocument | undefined;
  readonly interval: Interval | undefined;
  readonly failure: Error | null;
  /** The outcome shown belongs to an earlier choice; the one for the present choice is on its way. */
  readonly behind: boolean;
  /** Another design that this one is held against, with its outcome under the same duty. */
  readonly ghost: { readonly name: string; readonly outcome: OutcomeDocument } | undefined;
  /** A picture is being dragged. */
  readonly dragged: boolean;
  drag(on: boolean): void;
}

const Context = createContext<Bench | undefined>(undefined);

/** A gesture is over when nothing has moved for this long. */
const PAUSE_MS = 170;

/** A change of one of the documents, written into what can be taken back; one and the same as long as the document is. */
function useChange<T>(
  what: What,
  id: string,
  { now, change }: { now: () => T; change: (next: T) => void },
  keep: (next: (kept: History) => History) => void,
  put: (kept: History, step: Step) => History,
) {
  return useCallback(
    (next: T) => {
      const made = stepNow({ what, id, before: now(), after: next });
      keep((kept) => put(kept, made));
      change(next);
    },
    [what, id, now, change, keep, put],
  );
}

interface Props {
  readonly view: CarView;
  readonly dutyId: string;
  readonly designId: string;
  readonly ghostId: string | undefined;
  readonly children: ReactNode;
}

export function Workbench({ view, dutyId, designId, ghostId, children }: Props) {
  const storedDuty = view.duties.find((d) => d.id === dutyId);
  const storedDesign = view.designs.find((d) => d.id === designId);
  if (!storedDuty || !storedDesign) {
    throw new Error('Workbench needs a duty and a design of its car');
  }
  const client = useQueryClient();
  const keeps = useMay('BUILDER');
  const patch = useCallback(
    (change: (old: CarView) => CarView) => void amendCar(client, view.id, change),
    [client, view.id],
  );
  const car = useSaved<CarDocument>(
    `/cars/${view.id}`,
    (body, header, keepalive) =>
      read(api.PUT('/api/cars/{id}', { params: { path: { id: view.id }, header }, body, keepalive })),
    view.car,
    view.version,
    (document, version) => patch((v) => ({ ...v, car: document, version })),
    keeps,
  );
  const duty = useSaved<DutyDocument>(
    `/duties/${dutyId}`,
    (body, header, keepalive) =>
      read(api.PUT('/api/duties/{id}', { params: { path: { id: dutyId }, header }, body, keepalive })),
    storedDuty.duty,
    storedDuty.version,
    (document, version) =>
      patch((v) => ({
        ...v,
        duties: v.duties.map((d) => (d.id === dutyId ? { ...d, duty: document, version } : d)),
      })),
    keeps,
  );
  const design = useSaved<DesignDocument>(
    `/designs/${designId}`,
    (body, header, keepalive) =>
      read(api.PUT('/api/designs/{id}', { params: { path: { id: designId }, header }, body, keepalive })),
    storedDesign.design,
    storedDesign.version,
    (document, version) =>
      patch((v) => ({
        ...v,
        designs: v.designs.map((d) => (d.id === designId ? { ...d, design: document, version } : d)),
      })),
    keeps,
  );

  const [dragged, drag] = useState(false);
  const { history, keep } = useHistory(view.id);
  const changeCar = useChange('car', view.id, car, keep, recorded);
  const changeDuty = useChange('duty', dutyId, duty, keep, recorded);
  const changeDesign = useChange('design', designId, design, keep, recorded);
  const followDesign = useChange('design', designId, design, keep, amended);
  const { now: nowCar } = car;
  const { now: nowDuty } = duty;
  const { now: nowDesign } = design;
  const now = useCallback(
    (): CaseDocument => ({ car: nowCar(), duty: nowDuty(), design: nowDesign() }),
    [nowCar, nowDuty, nowDesign],
  );
  const open: Record<What, string> = { car: view.id, duty: dutyId, design: designId };
  const step = (back: boolean) => () =>
    keep((kept) => {
      const found = moved(kept, back, open);
      if (!found) {
        return kept;
      }
      const to = back ? found.step.before : found.step.after;
      if (found.step.what === 'car') {
        car.change(to as CarDocument);
      } else if (found.step.what === 'duty') {
        duty.change(to as DutyDocument);
      } else {
        design.change(to as DesignDocument);
      }
      return found.history;
    });

  const asked = useMemo<CaseDocument>(
    () => ({ car: car.document, duty: duty.document, design: design.document }),
    [car.document, duty.document, design.document],
  );
  // A drag is followed by the session alone; the rules look at it from every side when it holds still.
  const quick = useQuery(queries.quick(asked));
  const still = useSettled(asked, PAUSE_MS);
  const outcome = useQuery({ ...queries.outcome(still), placeholderData: keepPreviousData });
  const settled = still === asked && outcome.data !== undefined && !outcome.isPlaceholderData;
  const interval = useQuery({ ...queries.interval(still), enabled: settled });
  const shown = useMemo<OutcomeDocument | undefined>(
    () => (settled || !outcome.data || !quick.data ? outcome.data : { ...outcome.data, ...quick.data }),
    [settled, outcome.data, quick.data],
  );
  const other = view.designs.find((d) => d.id === ghostId && d.id !== designId);
  const ghost = useQuery({
    ...queries.outcome({ car: car.document, duty: duty.document, design: other?.design ?? design.document }),
    enabled: other !== undefined,
    placeholderData: keepPreviousData,
  });

  const bench: Bench = {
    view,
    dutyId,
    designId,
    car: car.document,
    duty: duty.document,
    design: design.document,
    now,
    changeCar,
    changeDuty,
    changeDesign,
    followDesign,
    undo: moved(history, true, open) && step(true),
    redo: moved(history, false, open) && step(false),
    saves: [
      { what: 'car', state: car.state, settle: car.settle },
      { what: 'duty', state: duty.state, settle: duty.settle },
      { what: 'design', state: design.state, settle: design.settle },
    ],
    outcome: shown,
    interval: settled ? interval.data : undefined,
    failure: outcome.error,
    behind: !settled,
    ghost: useMemo(
      () => (other && ghost.data ? { name: other.design.name, outcome: ghost.data } : undefined),
      [other, ghost.data],
    ),
    dragged,
    drag,
  };
  return <Context.Provider value={bench}>{children}</Context.Provider>;
}

/** The bench where there is one: a figure is explained on pages without it too. */
export function useBenchIfAny(): Bench | undefined {
  return useContext(Context);
}

export function useBench(): Bench {
  const bench = useContext(Context);
  if (!bench) {
    throw new Error('useBench needs a Workbench above it');
  }
  return bench;
}

const Still = memo(
  function Still({ bench, children }: { bench: Bench; held: boolean; children: ReactNode }) {
    return <Context.Provider value={bench}>{children}</Context.Provider>;
  },
  (_, next) => next.held,
);

/** What does not belong to the picture that is dragged: it follows when the hand holds still, so that the picture can keep up. */
export function Held({ children }: { children: ReactNode }) {
  const bench = useBench();
  return (
    <Still bench={bench} held={bench.dragged && bench.behind}>
      {children}
    </Still>
  );
}
