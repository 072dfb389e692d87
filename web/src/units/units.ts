import table from './table.json';

/** Units that people measure in. Documents are in the first unit of each quantity; only shown and typed values change. */
export interface Unit {
  readonly symbol: string;
  /** value in this unit = base · factor + offset */
  readonly factor: number;
  readonly offset: number;
  readonly digits: number;
  /** What may be typed for it, beside the symbol. */
  readonly aliases: readonly string[];
}

export type Quantity = keyof typeof table;

/** Made from the rules' own table of units. */
export const quantities = table as unknown as Record<Quantity, readonly [Unit, Unit]>;

export type UnitChoice = Record<Quantity, 0 | 1>;

export const metric: UnitChoice = Object.fromEntries(Object.keys(quantities).map((q) => [q, 0])) as UnitChoice;

export function toUnit(base: number, u: Unit): number {
  return base * u.factor + u.offset;
}

export function fromUnit(value: number, u: Unit): number {
  return (value - u.offset) / u.factor;
}

/** A number as people write it: `12`, `-3.5`, `3,5`, `1/2`, `1 1/2`. */
function parseNumber(text: string): number | undefined {
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) {
    const value = Number(fraction[2] ?? 0) + Number(fraction[3]) / Number(fraction[4]);
    return Number.isFinite(value) ? (fraction[1] ? -value : value) : undefined;
  }
  return /^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(text) ? Number(text.replace(',', '.')) : undefined;
}

/**
 * Reads what was typed, with or without a unit of the quantity.
 *
 * @returns the value in the base unit, or undefined when it cannot be read
 */
export function parseQuantity(text: string, quantity: Quantity | undefined, chosen: 0 | 1): number | undefined {
  const trimmed = text.trim();
  const plain = parseNumber(trimmed);
  if (quantity === undefined) {
    return plain;
  }
  const units: readonly Unit[] = quantities[quantity];
  if (plain !== undefined) {
    return fromUnit(plain, units[chosen] as Unit);
  }
  const split = /^(.*\d[.,]?)\s*([^\d\s.,/-].*)$/.exec(trimmed);
  if (!split) {
    return undefined;
  }
  const value = parseNumber((split[1] as string).trim());
  const wanted = (split[2] as string).trim().toLowerCase();
  const found = units.find(
    (u) =>
      u.symbol.toLowerCase() === wanted ||
      u.aliases.includes(wanted) ||
      u.symbol.replace('°', '').toLowerCase() === wanted,
  );
  return value === undefined || found === undefined ? undefined : fromUnit(value, found);
}

/** A value for reading, without its unit. */
export function formatNumber(base: number, quantity: Quantity | undefined, chosen: 0 | 1, digits?: number): string {
  const u = quantity === undefined ? undefined : (quantities[quantity] as readonly Unit[])[chosen];
  const value = u ? toUnit(base, u) : base;
  return value.toFixed(digits ?? u?.digits ?? 0).replace('-', '−');
}

/** A length of time as people say it: 45 s; 9 min 30 s; 2 h 5 min. */
export function formatTime(seconds: number): string {
  const whole = Math.round(seconds);
  if (Math.abs(whole) < 60) {
    return `${whole} s`;
  }
  if (whole < 3600) {
    return `${Math.floor(whole / 60)} min${whole % 60 === 0 ? '' : ` ${whole % 60} s`}`;
  }
  const minutes = Math.round(whole / 60);
  return `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`;
}

/** A figure with its unit; the digits, where they are given, are those of the metric unit. */
export function formatFigure(base: number, quantity: Quantity, chosen: 0 | 1, digits?: number): string {
  const [first, unit] = [quantities[quantity][0], quantities[quantity][chosen]];
  if (quantity === 'time' && (digits ?? first.digits) === 0) {
    return formatTime(base);
  }
  const kept = Math.max(0, (digits ?? first.digits) + unit.digits - first.digits);
  const written = formatNumber(base, quantity, chosen, kept).replace(/^−(?=0(\.0*)?$)/, '');
  return unit.symbol === '' ? written : unit.symbol === '°' ? `${written}°` : `${written} ${unit.symbol}`;
}

export function symbol(quantity: Quantity, chosen: 0 | 1): string {
  return quantities[quantity][chosen].symbol;
}
