import { useEffect } from 'react';
import type { Schemas } from '../../api/client';
import { word } from '../../words/words';
import { usePreferences } from '../../preferences/preferences';
import { useSeen } from '../../bench/useSettled';
import { Button } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { useMoney } from '../../bench/useMoney';
import { Figure } from '../figure/Figure';

export const SCHOOL: Record<Schemas['HosePartDocument']['family'], string> = {
  BRAIDED_RUBBER: 'ends used again; braid chafes what it touches.',
  PTFE: 'takes the most heat, lasts longest, kinks if bent too tight.',
  PUSH_ON: 'quickest to make, soft on paint, lowest pressure; ends used once.',
  SWAGED: 'strongest, comes made up and cannot be shortened.',
};

/** Oil pressure in the gallery against its floor. */
export function Gallery({ points }: { points: readonly Schemas['PressurePoint'][] }) {
  const { show } = usePreferences();
  return (
    <FigureTable aria-label="Gallery pressure">
      <thead>
        <tr>
          <th scope="col">Gallery pressure at</th>
          <th scope="col">Without cooler</th>
          <th scope="col">With it</th>
          <th scope="col">Floor</th>
          <th scope="col">At the core</th>
        </tr>
      </thead>
      <tbody>
        {points.map((p) => (
          <tr key={p.kind}>
            <th scope="row">{word('pressurePoint', p.kind)}</th>
            <td>
              <Figure of="PRESSURE_AT_POINT">{show(p.bareGalleryBar, 'pressure')}</Figure>
            </td>
            <td>
              {p.galleryBar < p.floorBar && '▲ '}
              <Figure of={p.kind === 'HOT_IDLE' ? 'IDLE_PRESSURE' : 'PRESSURE_AT_POINT'}>
                {show(p.galleryBar, 'pressure')}
              </Figure>
            </td>
            <td>
              <Figure of="BOUND">{show(p.floorBar, 'pressure')}</Figure>
            </td>
            <td>
              <Figure of="CORE_PRESSURE">{show(p.coreBar, 'pressure')}</Figure>
            </td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}

/** What takes three searches more is asked when it is looked at. */
export function WhenSeen({ then }: { then: (seen: boolean) => void }) {
  const [ref, seen] = useSeen<HTMLDivElement>();
  useEffect(() => then(seen), [then, seen]);
  return <div ref={ref} style={{ minHeight: 1 }} />;
}

export function SizesCompared({
  sizes,
  onTake,
}: {
  sizes: readonly Schemas['Size'][];
  onTake: (number: string) => void;
}) {
  const money = useMoney();
  const { show } = usePreferences();
  if (sizes.length === 0) {
    return null;
  }
  const or = (v: number | undefined, f: (v: number) => string) => (v === undefined ? '–' : f(v));
  return (
    <FigureTable aria-label="Hose sizes side by side">
      <thead>
        <tr>
          <th scope="col">Size</th>
          <th scope="col">Loss, hot</th>
          <th scope="col">Gallery, hot, at speed</th>
          <th scope="col">Added oil</th>
          <th scope="col">Fills in</th>
          <th scope="col">Mass</th>
          <th scope="col">Parts</th>
          <th scope="col">
            <span aria-hidden> </span>
          </th>
        </tr>
      </thead>
      <tbody>
        {sizes.map((s) => (
          <tr key={s.hose} aria-current={s.chosen}>
            <th scope="row">
              {s.dash}
              {!s.found && ', no way'}
            </th>
            <td>
              <Figure of="LOOP_LOSS" other>
                {or(s.lossBar, (v) => show(v, 'pressure'))}
              </Figure>
            </td>
            <td>
              {s.underFloor && '▲ '}
              <Figure of="PRESSURE_AT_POINT">{or(s.hotTopBar, (v) => show(v, 'pressure'))}</Figure>
            </td>
            <td>
              <Figure of="ADDED_OIL" other>
                {or(s.addedOilL, (v) => show(v, 'volume'))}
              </Figure>
            </td>
            <td>
              <Figure of="FILL_TIME" other>
                {or(s.primeSeconds, (v) => `${v.toFixed(1)} s`)}
              </Figure>
            </td>
            <td>
              <Figure of="MASS" other>
                {show(s.massKg, 'mass', 1)}
              </Figure>
            </td>
            <td>
              <Figure of="PRICE" other>
                {money(s.price)}
              </Figure>
            </td>
            <td>
              <Button isDisabled={s.chosen} aria-label={`Take ${s.dash}`} onPress={() => onTake(s.hose)}>
                Take
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}
