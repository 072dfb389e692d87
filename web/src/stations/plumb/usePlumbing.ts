import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { DesignDocument, Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { usePresets } from '../../bench/presets';
import { useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { useCooler } from '../core/coolerFields';

export type Plumbing = Schemas['PlumbingDocument'];
export type Point = Schemas['PointDocument'];
export type Plumbed = Schemas['Plumbed'];
export type Level = Plumbed['level'];
export type Line = Schemas['PlumbedLine'];

/** What lengths can rest on, the roughest first. */
export const LEVELS: readonly Level[] = ['WIRE', 'ENDS', 'BAY'];

/** A route is looked for when the hand has held still for this long. */
const PAUSE_MS = 140;

const ME = Math.random().toString(36).slice(2);

/** Tells the server that a question that is asked again from here leaves the one before it. */
function asker(what: string) {
  return { 'Isotherm-Asker': `${ME} ${what}` };
}

/** What has been chosen between engine and core, what it comes to, and a way to change it. */
export function usePlumbing(compareSizes: boolean) {
  const { car, duty, design, now, changeDesign } = useBench();
  const { cooler, follow } = useCooler();
  const { starts, usual } = usePresets();
  // Nothing is kept of it before something is chosen.
  const plumbing = design.plumbing ?? starts.plumbing;
  const asked = { car, duty, design: { ...design, plumbing } };
  const key = useSettled(
    JSON.stringify({
      // All of it: pump, gauge, engine and heat set the pressures that stand beside the routes.
      car,
      plumbing: { ...plumbing, have: [] },
      placement: cooler?.placement,
      core: cooler && [
        cooler.construction,
        cooler.rows,
        cooler.widthMm,
        cooler.depthMm,
        cooler.passes,
        cooler.ports,
        cooler.detail,
        cooler.sheet,
      ],
      thermostat: cooler?.thermostat,
      bypass: cooler?.bypassBar,
      keep: design.keepFactoryExchanger,
      oil: design.oil,
      // What makes room is in no hose's way.
      room: design.relocations?.map((r) => r.name),
      duty,
    }),
    PAUSE_MS,
  );
  const complete: Record<Level, boolean> = {
    WIRE: plumbing.wires?.feed?.lengthMm !== undefined && plumbing.wires.back?.lengthMm !== undefined,
    ENDS: plumbing.ends !== undefined,
    BAY: car.bay !== undefined && cooler?.placement !== undefined,
  };
  const finest = [...LEVELS].reverse().find((l) => complete[l]);
  const level = plumbing.level ?? finest ?? 'WIRE';
  const ready = complete[level];
  const query = useQuery({ ...queries.plumb(key, asked, asker('routes')), enabled: ready });
  const fresh = query.data !== undefined && !query.isPlaceholderData;
  const sizes = useQuery({
    ...queries.plumb(`sizes ${key}`, { ...asked, sizes: true }, asker('sizes')),
    enabled: ready && fresh && compareSizes,
  });
  const touched = useRef(false);
  const change = (next: Partial<Plumbing>) => {
    touched.current = true;
    changeDesign({ ...now().design, plumbing: { ...plumbing, ...next } });
  };
  const loop = query.data?.loop;
  const take = useRef<() => void>(undefined);
  useEffect(() => {
    take.current = () => loop && follow({ ...loop });
  });
  useEffect(() => {
    if (fresh && touched.current) {
      touched.current = false;
      take.current?.();
    }
  }, [fresh, query.data]);
  return {
    plumbing,
    level,
    plumbed: ready ? query.data : undefined,
    /** The first answer is on its way. */
    pending: ready && query.isPending,
    sizes: sizes.data?.sizes ?? [],
    behind: !fresh,
    error: ready ? query.error : null,
    change,
    differs: fresh && loop !== undefined && cooler !== undefined && differs(cooler, loop, usual.plateHeads),
    takeRouted: () => take.current?.(),
  };
}

function differs(cooler: NonNullable<DesignDocument['cooler']>, loop: Schemas['Loop'], usualHeads: number): boolean {
  const hose = (a: Schemas['HoseDocument'], b: Schemas['HoseDocument']) =>
    Math.abs(a.boreMm - b.boreMm) > 0.05 ||
    Math.abs(a.lengthM - b.lengthM) > 0.02 ||
    Math.abs(a.elbows90 - b.elbows90) > 0.2;
  return (
    hose(cooler.feed, loop.feed) ||
    hose(cooler.back, loop.back) ||
    Math.abs((cooler.plateHeads ?? usualHeads) - loop.plateHeads) > 0.1 ||
    Math.abs((cooler.extraVolumeL ?? 0) - loop.extraVolumeL) > 0.01
  );
}
