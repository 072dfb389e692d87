import type { CarView } from '../api/client';

type Designs = CarView['designs'];

/** A car's designs in the order that its people chose; those that were not placed come after, as they were made. */
export function ordered(view: CarView): Designs {
  const order = view.car.designs?.order ?? [];
  const place = (id: string) => {
    const at = order.indexOf(id);
    return at < 0 ? order.length : at;
  };
  return [...view.designs].sort((a, b) => place(a.id) - place(b.id));
}

/** The order after one design was moved by so many places; nothing where it is at the end already. */
export function moved(designs: Designs, id: string, by: -1 | 1): string[] | undefined {
  const ids = designs.map((d) => d.id);
  const at = ids.indexOf(id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= ids.length) {
    return undefined;
  }
  ids.splice(at, 1);
  ids.splice(to, 0, id);
  return ids;
}
