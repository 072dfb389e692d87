import { type Schemas } from '../../api/client';
import { type Preferences } from '../../preferences/preferences';
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
  STRUCK: 'Does not count',
};

export type Write = (what: Omit<Entry, 'id' | 'at' | 'who'>) => void;

export function words(e: Entry, show: Preferences['show']): string {
  return [
    e.kind === 'HAPPENED' ? HAPPENINGS.find((h) => h.id === e.on)?.name : undefined,
    e.odometerKm === undefined ? undefined : show(e.odometerKm, 'travel'),
    e.oilHours === undefined ? undefined : `${e.oilHours.toFixed(1)} h at ${show(100, 'temperature')}`,
    e.text,
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
