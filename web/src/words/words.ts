import { IntlMessageFormat } from 'intl-messageformat';
import catalogue from '../../../words/en.json';
import type { components } from '../api/schema';
import { formatFigure, type Quantity, type UnitChoice } from '../units/units';

export type Message = components['schemas']['MessageDocument'];
type Value = components['schemas']['ValueDocument'];

const chapters: Record<string, Record<string, Record<string, string>>> = catalogue;
const formats = new Map<string, IntlMessageFormat>();

function format(key: string): IntlMessageFormat {
  let known = formats.get(key);
  if (!known) {
    const [chapter = '', topic = '', part = ''] = key.split('.');
    const pattern = chapters[chapter]?.[topic]?.[part];
    if (pattern === undefined) {
      throw new Error(`No message ${key}`);
    }
    known = new IntlMessageFormat(pattern, 'en');
    formats.set(key, known);
  }
  return known;
}

/** TEMPERATURE_DIFFERENCE of the rules is temperatureDifference here. */
export const quantityOf = (measure: string): Quantity =>
  measure.toLowerCase().replace(/_(.)/g, (_, c: string) => c.toUpperCase()) as Quantity;

/** What a paper is asked for, so that it speaks in the reader's units. */
export function paperUnits(units: UnitChoice): string {
  const imperial = (Object.keys(units) as Quantity[])
    .filter((q) => units[q] === 1)
    .map((q) => q.replace(/[A-Z]/g, (c) => `_${c}`).toUpperCase());
  return imperial.length === 0 ? '' : `?imperial=${imperial.join(',')}`;
}

function spoken(value: Value, units: UnitChoice): string | number {
  if (value.measure != null && value.value != null) {
    const quantity = quantityOf(value.measure);
    return formatFigure(value.value, quantity, units[quantity], value.digits ?? undefined);
  }
  if (value.messages != null) {
    return value.messages.map((m) => say(m, units)).join('; ');
  }
  return value.count ?? value.choice ?? value.text ?? '';
}

/** Puts words and the reader's units to what the rules say. */
export function say(message: Message, units: UnitChoice): string {
  const values = Object.fromEntries(Object.entries(message.values).map(([name, v]) => [name, spoken(v, units)]));
  return String(format(message.key).format(values));
}

/** A figure in a message, so that a page can do more with it than write it. */
export interface SaidFigure {
  readonly name: string;
  readonly measure: string;
  readonly text: string;
}

/** The same in pieces: text, and each figure by itself. */
export function pieces(message: Message, units: UnitChoice): (string | SaidFigure)[] {
  const values = Object.fromEntries(
    Object.entries(message.values).map(([name, v]) => [
      name,
      v.measure == null ? spoken(v, units) : { name, measure: v.measure, text: String(spoken(v, units)) },
    ]),
  );
  return format(message.key)
    .formatToParts<SaidFigure>(values)
    .map((p) => p.value as string | SaidFigure);
}

/** A message without figures, such as the name of a stage. */
export function word(chapter: string, topic: string, part = 'name'): string {
  return say({ key: `${chapter}.${topic}.${part}`, values: {} }, {} as UnitChoice);
}

/** A name of something as the head of a row or a list. */
export const headed = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

/** A change with its direction before it. */
export const signed = (by: number, text: string): string => `${by < 0 ? '−' : '+'}${text}`;
