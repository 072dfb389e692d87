/** Units that people measure in. Documents are in the first unit of each quantity; only shown and typed values change. */
export interface Unit {
  readonly symbol: string;
  /** value in this unit = base · factor + offset */
  readonly factor: number;
  readonly offset?: number;
  readonly digits: number;
  /** What may be typed for it, beside the symbol. */
  readonly aliases: readonly string[];
}

const unit = (symbol: string, factor: number, digits: number, aliases: string[] = [], offset = 0): Unit => ({
  symbol,
  factor,
  digits,
  aliases,
  offset,
});

export const quantities = {
  temperature: [unit('°C', 1, 0, ['c', 'degc']), unit('°F', 1.8, 0, ['f', 'degf'], 32)],
  temperatureDifference: [unit('°C', 1, 0, ['c', 'k']), unit('°F', 1.8, 0, ['f', 'degf'])],
  length: [unit('mm', 1, 0), unit('in', 1 / 25.4, 2, ['"', 'inch'])],
  distance: [unit('m', 1, 0), unit('ft', 1 / 0.3048, 0, ["'", 'feet'])],
  speed: [unit('km/h', 1, 0, ['kmh', 'kph']), unit('mph', 1 / 1.609344, 0)],
  airSpeed: [unit('m/s', 1, 1), unit('ft/s', 1 / 0.3048, 0)],
  power: [unit('kW', 1, 0), unit('hp', 1 / 0.745699872, 0, ['bhp'])],
  heat: [unit('kW', 1, 1), unit('hp', 1 / 0.745699872, 1)],
  pressure: [unit('bar', 1, 2), unit('psi', 14.5037738, 0)],
  volume: [unit('L', 1, 2, ['l', 'litre', 'liter']), unit('qt', 1.05668821, 2, ['quart', 'quarts'])],
  mass: [unit('kg', 1, 0), unit('lb', 2.20462262, 0, ['lbs'])],
  torque: [unit('N·m', 1, 0, ['nm']), unit('lb·ft', 0.737562149, 0, ['lbft', 'ftlb', 'lb-ft'])],
  angle: [unit('°', 1, 0, ['deg']), unit('turn', 1 / 360, 3, ['turns'])],
  area: [unit('cm²', 1, 0, ['cm2']), unit('in²', 1 / 6.4516, 0, ['in2', 'sqin'])],
} as const satisfies Record<string, readonly [Unit, Unit]>;

export type Quantity = keyof typeof quantities;
export type UnitChoice = Record<Quantity, 0 | 1>;

export const metric: UnitChoice = Object.fromEntries(Object.keys(quantities).map((q) => [q, 0])) as UnitChoice;

export function toUnit(base: number, u: Unit): number {
  return base * u.factor + (u.offset ?? 0);
}

export function fromUnit(value: number, u: Unit): number {
  return (value - (u.offset ?? 0)) / u.factor;
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

export function symbol(quantity: Quantity, chosen: 0 | 1): string {
  return quantities[quantity][chosen].symbol;
}
