import { useQuery } from '@tanstack/react-query';
import type { DesignDocument } from '../../api/client';
import { queries } from '../../api/queries';
import { useMoney } from '../../bench/useMoney';
import { useBench } from '../../bench/workbench';
import { usePreferences } from '../../preferences/preferences';
import { Figure } from '../figure/Figure';

/** What a design takes: money, hours, mass, oil. Of one whose plumbing is not planned, core and hose by their prices. */
export function Effort({ design, price }: { design: DesignDocument; price: number | undefined }) {
  const { car, duty } = useBench();
  const { show } = usePreferences();
  const money = useMoney();
  const asked = { car, duty, design };
  const outcome = useQuery(queries.outcome(asked)).data;
  const planned = design.cooler !== undefined && design.plumbing !== undefined;
  const plumbed = useQuery({
    ...queries.plumb(`compare ${JSON.stringify(asked)}`, asked, {}),
    enabled: planned,
  });
  const priced = plumbed.data?.kit.toBuy ?? price;
  const mass = outcome?.core && outcome.core.massKg + (plumbed.data?.figures?.massKg ?? 0);
  const waits = planned && plumbed.isPending;
  const about = plumbed.data ? '' : 'from ';
  return (
    <>
      <td>
        <Figure of="PRICE" other>
          {waits ? '…' : priced === undefined ? '–' : `${about}${money(priced)}`}
        </Figure>
      </td>
      <td>
        <Figure of="HOURS" other>
          {plumbed.data ? `about ${plumbed.data.kit.looseHours.toFixed(0)}` : waits ? '…' : '–'}
        </Figure>
      </td>
      <td>
        <Figure of="MASS" other>
          {mass === undefined ? '–' : `${about}${show(mass, 'mass', 1)}`}
        </Figure>
      </td>
      <td>
        <Figure of="ADDED_OIL" other>
          {outcome && design.cooler ? show(outcome.circuit.addedOilL, 'volume') : '–'}
        </Figure>
      </td>
    </>
  );
}
