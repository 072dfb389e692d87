import type { CarView } from '../../api/client';

type Log = CarView['logs'][number];

const by = (log: Log) => log.log.day ?? '';

/**
 * Which two logs are most likely before and after: the last one without a cooler, and the last one of the design that is
 * built, or of any with a cooler. Logs that do not say what was driven come in the order in which they were brought in.
 */
export function pair(view: CarView): readonly [Log | undefined, Log | undefined] {
  const cooled = (log: Log) => {
    const design = view.designs.find((d) => d.id === log.log.design);
    return design && design.design.cooler !== undefined;
  };
  const latest = (logs: readonly Log[]) => [...logs].sort((a, b) => by(a).localeCompare(by(b))).at(-1);
  const told = view.logs.filter((l) => cooled(l) !== undefined);
  const before = latest(told.filter((l) => cooled(l) === false)) ?? view.logs[0];
  const others = view.logs.filter((l) => l.id !== before?.id);
  const built = view.car.designs?.built;
  const after =
    latest(others.filter((l) => built !== undefined && l.log.design === built)) ??
    latest(others.filter((l) => cooled(l) === true)) ??
    others[0];
  return [before, after];
}
