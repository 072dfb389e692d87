import { useQuery } from '@tanstack/react-query';
import type { DesignDocument } from '../../api/client';
import { queries } from '../../api/queries';
import { useMoney } from '../../bench/useMoney';
import { useBench } from '../../bench/workbench';
import { usePreferences } from '../../preferences/preferences';
import { Figure } from '../figure/Figure';

/** What a design takes: money, hours, mass, oil. Of one whose plumbing is not planned, core and hose by their prices. */
export function Effort({ design }: { design: DesignDocument }) {
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
  const rough = useQuery({
    ...queries.whatIf(asked),
    enabled: design.cooler !== undefined && (!planned || plumbed.isError),
  });
  const priced = plumbed.data?.kit.toBuy ?? rough.data?.now.price;
  const mass = outcome?.core && outcome.core.massKg + (plumbed.data?.figures?.massKg ?? 0);
  const waits = (planned && plumbed.isPending) || (!planned && rough.isLoading);
  const about = plumbed.data ? '' : 'from ';
  return (
    <>
      <td>
        <Figure of="PRICE" other>
          {priced === undefined ? (waits ? '…' : '–') : `${about}${money(priced)}`}
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
