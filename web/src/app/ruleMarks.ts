import type { CarDocument, DesignDocument, DutyDocument, Interval, OutcomeDocument } from '../api/client';
import type { FigureKind } from '../stations/figure/Figure';

export interface Mark {
  key: string;
  name: string;
  of: FigureKind;
  at: number;
  told: string;
  /** Above the rule stands what this design does, below what is given. */
  above: boolean;
  strong?: boolean;
  /** Of the design that this one is held against. */
  faint?: boolean;
  low?: number;
  high?: number;
}

interface Shown {
  readonly car: CarDocument;
  readonly duty: DutyDocument;
  readonly design: DesignDocument;
  readonly outcome: OutcomeDocument | undefined;
  readonly interval: Interval | undefined;
  /** From a thermostat's opening to its full opening, where nothing is said. */
  readonly spanC: number;
  readonly ghost: { readonly name: string; readonly outcome: OutcomeDocument } | undefined;
}

/** The thermostat that opens for a design, and where it is fully open: a usual span later where nothing is said. */
export function openingOf(car: CarDocument, design: DesignDocument, spanC: number) {
  // In series it is the factory's that opens; without a core of the design's own too.
  const opens = design.work === 'IN_SERIES' ? car.factoryCooler : (design.cooler ?? car.factoryCooler);
  const thermostat = opens?.thermostat;
  return thermostat && { opensC: thermostat.opensC, fullC: thermostat.fullC ?? thermostat.opensC + spanC };
}

/** Everything of a case that has a temperature. */
export function marksOf(
  { car, duty, design, outcome, interval, ghost, spanC }: Shown,
  t: (celsius: number) => string,
): Mark[] {
  const thermostat = openingOf(car, design, spanC);
  const marks: Mark[] = [
    {
      key: 'air',
      of: 'AIR_TEMPERATURE',
      name: 'Air',
      at: duty.ambientC,
      above: false,
      told: `Outside air, from the duty`,
    },
    {
      key: 'limit',
      of: 'OIL_LIMIT',
      name: 'Limit',
      at: car.limits.limitC,
      above: false,
      told: 'The limit of the oil, from the car',
    },
  ];
  if (thermostat) {
    marks.push({
      key: 'opens',
      of: 'OPENING',
      name: 'Opens',
      at: thermostat.opensC,
      above: false,
      told: `Oil thermostat begins to open; full open at ${t(thermostat.fullC)}`,
    });
  }
  if (outcome) {
    marks.push(
      {
        key: 'coolant',
        of: 'PEAK_COOLANT',
        name: 'Coolant',
        at: outcome.figures.peakCoolantC,
        above: false,
        told: `Highest coolant temperature; ${t(outcome.bare.peakCoolantC)} without the oil cooler`,
      },
      {
        key: 'plateau',
        of: 'PLATEAU',
        name: 'Plateau',
        at: outcome.figures.plateauC,
        above: true,
        ...(interval ? { low: interval.plateauLowC, high: interval.plateauHighC } : {}),
        told: 'Mean oil temperature over the last third of the time under load',
      },
      {
        key: 'peak',
        of: 'PEAK',
        name: 'Peak',
        at: outcome.figures.peakC,
        above: true,
        strong: true,
        ...(interval ? { low: interval.peakLowC, high: interval.peakHighC } : {}),
        told: interval
          ? `Highest oil temperature; 8 times in 10 between ${t(interval.peakLowC)} and ${t(interval.peakHighC)}`
          : 'Highest oil temperature of the session',
      },
    );
    if (ghost) {
      marks.push({
        key: 'ghost',
        of: 'PEAK',
        name: 'The other',
        at: ghost.outcome.figures.peakC,
        above: true,
        faint: true,
        low: ghost.outcome.figures.plateauC,
        high: ghost.outcome.figures.peakC,
        told: `Highest oil temperature of “${ghost.name}”; its plateau ${t(ghost.outcome.figures.plateauC)}`,
      });
    }
    if (design.cooler) {
      marks.push({
        key: 'bare',
        of: 'BARE_PEAK',
        name: 'No cooler',
        at: outcome.bare.peakC,
        above: true,
        told: 'Highest oil temperature of the same session without a cooler',
      });
    }
  }
  return marks;
}
