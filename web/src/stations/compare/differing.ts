import type { Quantity } from '../../units/units';

/** A field in which designs differ. */
export interface Difference {
  readonly path: string;
  readonly label: string;
  readonly quantity?: Quantity;
  /** Decimals in the metric unit. */
  readonly digits?: number | undefined;
  readonly suffix?: string;
  readonly values: readonly unknown[];
}

/** Decimals of what is longer or smaller than its measure usually is: a hose is no road. */
const FINER: Partial<Record<Quantity, number>> = { distance: 2 };

/** The units that end a field's name. */
const ENDINGS: readonly (readonly [string, Quantity | undefined, string])[] = [
  ['Cm2', 'area', ''],
  ['Mm', 'length', ''],
  ['Percent', undefined, '%'],
  ['Kmh', 'speed', ''],
  ['M3PerS', 'airFlow', ''],
  ['Deg', undefined, '°'],
  ['Pa', undefined, 'Pa'],
  ['Bar', 'pressure', ''],
  ['C', 'temperature', ''],
  ['L', 'volume', ''],
  ['M', 'distance', ''],
];

/** Words for the groups of a design. */
const GROUPS: Record<string, string> = {
  cooler: '',
  thermostat: 'thermostat',
  feed: 'feed hose',
  back: 'return hose',
  fan: 'fan',
  placement: 'position',
  detail: 'inside the core',
  measured: 'measured pressure',
  oil: 'oil',
};

function flat(value: unknown, path: string, into: Map<string, unknown>): void {
  if (Array.isArray(value)) {
    into.set(path, `${value.length} given`);
  } else if (value !== null && typeof value === 'object') {
    Object.entries(value).forEach(([k, v]) => flat(v, path ? `${path}/${k}` : k, into));
  } else if (value !== undefined && value !== null) {
    into.set(path, value);
  }
}

/** The groups in which a path lies, outermost first. */
function ancestors(path: string): string[] {
  const parts = path.split('/');
  return parts.slice(0, -1).map((_, i) => parts.slice(0, i + 1).join('/'));
}

function has(map: Map<string, unknown>, group: string): boolean {
  return [...map.keys()].some((k) => k.startsWith(`${group}/`));
}

function words(name: string): string {
  return name.replace(/([a-z])([A-Z0-9])/g, '$1 $2').toLowerCase();
}

/** The fields in which documents differ, by their paths, with words and units taken from their names. */
export function differing(documents: readonly object[]): Difference[] {
  const maps = documents.map((d) => {
    const map = new Map<string, unknown>();
    flat(d, '', map);
    map.delete('name');
    return map;
  });
  const paths = [...new Set(maps.flatMap((m) => [...m.keys()]))];
  // A part that some do not have at all differs as a whole; inside it only those are compared that have it.
  const groups = [...new Set(paths.flatMap((p) => ancestors(p)))].filter((g) => !maps.every((m) => has(m, g)));
  const lacking = (p: string) => ancestors(p).filter((g) => groups.includes(g));
  groups
    .filter((g) => !ancestors(g).some((outer) => groups.includes(outer)))
    .forEach((g) => {
      maps.forEach((m) => m.set(g, has(m, g) ? 'fitted' : 'none'));
      paths.unshift(g);
    });
  return paths
    .filter((p) => {
      const compared =
        lacking(p).length > 0 ? maps.filter((m) => lacking(p).every((g) => m.get(g) !== 'none' && has(m, g))) : maps;
      return new Set(compared.map((m) => JSON.stringify(m.get(p)))).size > 1;
    })
    .map((path) => {
      const parts = path.split('/');
      const field = parts[parts.length - 1] ?? '';
      const ending = ENDINGS.find(([e]) => field.endsWith(e) && field.length > e.length);
      const bare = ending ? field.slice(0, -ending[0].length) : field;
      const groups = parts.slice(0, -1).map((g) => GROUPS[g] ?? words(g));
      const label = [...groups.filter(Boolean), words(bare)].join(', ');
      return {
        path,
        label: label.charAt(0).toUpperCase() + label.slice(1),
        ...(ending?.[1] ? { quantity: ending[1], digits: FINER[ending[1]] } : {}),
        ...(ending?.[2] ? { suffix: ending[2] } : {}),
        values: maps.map((m) => m.get(path)),
      };
    });
}
