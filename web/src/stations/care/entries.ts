import { type Schemas } from '../../api/client';
import { type Preferences } from '../../preferences/preferences';
import { quantityOf, word } from '../../words/words';
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

export type Readable = View['figures'][number];

export type FigureName = Readable['figure'];

/** A figure as it is written: a pure number has no unit. */
export function figured(measure: Readable['measure'], value: number, show: Preferences['show']): string {
  return measure === 'NUMBER'
    ? String(Math.round(value * 10) / 10)
    : show(value, quantityOf(measure), measure === 'SHARE' ? 1 : undefined);
}

export type Write = (what: Omit<Entry, 'id' | 'at' | 'who'>) => void;

export function words(e: Entry, care: View, show: Preferences['show']): string {
  return [
    e.kind === 'HAPPENED' ? HAPPENINGS.find((h) => h.id === e.on)?.name : undefined,
    e.odometerKm === undefined ? undefined : show(e.odometerKm, 'travel'),
    e.oilHours === undefined ? undefined : `${e.oilHours.toFixed(1)} h at ${show(100, 'temperature')}`,
    ...(e.figures ?? []).map((f) => {
      const known = care.figures.find((k) => k.figure === f.figure);
      return `${word('careFigure', f.figure)} ${known ? figured(known.measure, f.value, show) : f.value}`;
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
  const rest = words(e, care, show);
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
