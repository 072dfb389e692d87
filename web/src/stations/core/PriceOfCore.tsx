import { quantities, toUnit } from '../../units/units';
import { useQuery } from '@tanstack/react-query';
import { type CoolerDocument } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Muted } from '../../kit/kit';
import { useCooler } from './coolerFields';
import { useMoney } from '../../bench/useMoney';
import { Part } from './part';

export function useCatalogue() {
  return useQuery(queries.cores());
}

/** Whether a part is the core that a design has. */
export function isCore(part: Part, c: CoolerDocument): boolean {
  return (
    part.construction === c.construction &&
    part.rows === c.rows &&
    part.widthMm === c.widthMm &&
    part.depthMm === c.depthMm &&
    part.passes === c.passes
  );
}

/** What the present core costs: the cheapest part that is this core, and its price per kilowatt. */
export function PriceOfCore() {
  const money = useMoney();
  const { cooler } = useCooler();
  const { outcome } = useBench();
  const { units } = usePreferences();
  const heat = quantities.heat[units.heat];
  const catalogue = useCatalogue();
  const found = (catalogue.data ?? [])
    .filter((e) => cooler && isCore(e.part, cooler))
    .sort((a, b) => a.part.price - b.part.price)[0];
  if (!found || !outcome?.core) {
    return <Muted>Not a part of the catalogue: no price.</Muted>;
  }
  return (
    <Muted>
      {found.part.maker} {found.part.number}: {money(found.part.price)}, or{' '}
      {money(found.part.price / Math.max(toUnit(outcome.core.heatKw, heat), 0.1))} per {heat.symbol}.
    </Muted>
  );
}
