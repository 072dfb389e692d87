import { type Schemas } from '../../api/client';
import { type Preferences } from '../../preferences/preferences';
import type { Quantity } from '../../units/units';
import { word } from '../../words/words';
type Kind = Schemas['CareEntryDocument']['kind'];

export type View = Schemas['CareView'];

export type Task = Schemas['CareTask'];

export type Entry = Schemas['CareEntryDocument'];

export const URGENCY: Record<Task['urgency'], string> = {
  DUE: '▲ Due',
  SOON: '● Soon',
  LATER: 'Later',
  DONE: '✓ Done',
};

export const HAPPENINGS = [
  { id: 'FIRST_DRIVE', name: 'First drive after the build' },
  { id: 'FILTER_CHANGE', name: 'Oil and filter changed' },
  { id: 'SERVICE', name: 'Service' },
  { id: 'HARD_DAY', name: 'A day on a track, or a long climb' },
] as const;

export const READINGS = [
  { id: 'OIL_ANALYSIS', name: 'Oil analysis' },
  { id: 'DASH', name: 'Dash reading' },
  { id: 'LAPS', name: 'Laps without a logger' },
] as const;

export const KINDS: Record<Kind, string> = {
  DONE: 'Done',
  HAPPENED: 'Happened',
  DRIVEN: 'Driven',
  OIL_ANALYSIS: 'Oil analysis',
  DASH: 'Dash reading',
  LAPS: 'Laps',
  TASK: 'Task or interval',
  STRUCK: 'Does not count',
};

export type Interval = Schemas['IntervalDocument'];

export type FigureName = Schemas['CareFigureDocument']['figure'];

/** How a figure is typed and shown; what is believed of it is the server's. */
export const FIGURES: Record<FigureName, { kind: 'OIL_ANALYSIS' | 'DASH'; field: FigureField }> = {
  VISCOSITY_100: { kind: 'OIL_ANALYSIS', field: { quantity: 'viscosity', step: 0.1, min: 1, max: 60 } },
  FUEL: { kind: 'OIL_ANALYSIS', field: { quantity: 'share', step: 0.1, min: 0, max: 30, digits: 1 } },
  WATER: { kind: 'OIL_ANALYSIS', field: { quantity: 'share', step: 0.1, min: 0, max: 10, digits: 1 } },
  IRON: { kind: 'OIL_ANALYSIS', field: { step: 1, min: 0, max: 5000 } },
  COPPER: { kind: 'OIL_ANALYSIS', field: { step: 1, min: 0, max: 5000 } },
  ALUMINIUM: { kind: 'OIL_ANALYSIS', field: { step: 1, min: 0, max: 5000 } },
  SILICON: { kind: 'OIL_ANALYSIS', field: { step: 1, min: 0, max: 5000 } },
  BASE_NUMBER: { kind: 'OIL_ANALYSIS', field: { step: 0.1, min: 0, max: 30, digits: 1 } },
  OIL_PEAK: { kind: 'DASH', field: { quantity: 'temperature', step: 1, min: -20, max: 200 } },
  IDLE_PRESSURE: { kind: 'DASH', field: { quantity: 'pressure', step: 0.1, min: 0, max: 12 } },
};

interface FigureField {
  readonly quantity?: Quantity;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly digits?: number;
}

export type Write = (what: Omit<Entry, 'id' | 'at' | 'who'>) => void;

export function words(e: Entry, show: Preferences['show']): string {
  return [
    e.kind === 'HAPPENED' ? HAPPENINGS.find((h) => h.id === e.on)?.name : undefined,
    e.odometerKm === undefined ? undefined : show(e.odometerKm, 'travel'),
    e.oilHours === undefined ? undefined : `${e.oilHours.toFixed(1)} h at ${show(100, 'temperature')}`,
    ...(e.figures ?? []).map((f) => {
      const { field } = FIGURES[f.figure];
      return `${word('careFigure', f.figure)} ${field.quantity ? show(f.value, field.quantity, field.digits) : f.value}`;
    }),
    e.text,
    e.interval === undefined ? undefined : every(e.interval, show),
  ]
    .filter((w) => w !== undefined && w !== '')
    .join(', ');
}

export function told(e: Entry, care: View, { say, show }: Preferences): string {
  const task = care.tasks.find((t) => t.id === e.on);
  const what = e.kind === 'DONE' ? `: ${task ? say(task.what) : (e.on ?? '')}` : '';
  const rest = words(e, show);
  return `${KINDS[e.kind]}${what}${rest && `, ${rest}`}`;
}

/** An interval in words: every 12 months, 5000 km, at each service. */
export function every(i: Interval, show: Preferences['show']): string {
  const parts = [
    i.months === undefined ? undefined : `every ${i.months} months`,
    i.distanceKm === undefined ? undefined : `every ${show(i.distanceKm, 'travel')}`,
    i.hours === undefined ? undefined : `every ${i.hours} h of hot oil`,
    ...(i.after ?? []).map((a) => `after: ${HAPPENINGS.find((h) => h.id === a)?.name.toLowerCase() ?? a}`),
  ].filter((p) => p !== undefined);
  return parts.join(', ') || 'none';
}
