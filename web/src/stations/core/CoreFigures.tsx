import styled from 'styled-components';
import type { OutcomeDocument } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { loopLossBar } from '../loopLoss';
import { Figure } from '../figure/Figure';

const Figures = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 10px 16px;
  margin: 0;
  & dt {
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & dd {
    margin: 0;
    font-size: 17px;
    font-variant-numeric: tabular-nums;
  }
`;

/** What the core does at the end of the duty, and what it costs the oil. */
export function CoreFigures(props: { outcome: OutcomeDocument; core: NonNullable<OutcomeDocument['core']> }) {
  const { outcome, core } = props;
  const { show } = usePreferences();
  return (
    <Figures aria-label="Figures">
      <div>
        <dt>Heat at the end</dt>
        <dd>
          <Figure of="CORE_HEAT">{show(core.heatKw, 'heat')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Air on the face</dt>
        <dd>
          <Figure of="FACE_SPEED">{show(core.faceSpeedMPerS, 'airSpeed')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Drop across core</dt>
        <dd>
          <Figure of="CORE_DROP">{show(outcome.circuit.oilC - core.oilOutC, 'temperatureDifference')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Gallery pressure</dt>
        <dd>
          <Figure of="GALLERY_PRESSURE">{show(outcome.circuit.galleryBar, 'pressure')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Loss in the loop, maximum engine speed</dt>
        <dd>
          <Figure of="LOOP_LOSS">{show(loopLossBar(outcome.circuit.points), 'pressure')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Added oil</dt>
        <dd>
          <Figure of="ADDED_OIL">{show(outcome.circuit.addedOilL, 'volume')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Oil on a cold road</dt>
        <dd>
          <Figure of="ROAD_OIL">{show(outcome.road.oilC, 'temperature')}</Figure>
        </dd>
      </div>
      <div>
        <dt>Oil film at the peak</dt>
        <dd>
          <Figure of="FILM">{`${outcome.figures.viscosityAtPeakCst.toFixed(1)} cSt`}</Figure>
        </dd>
      </div>
    </Figures>
  );
}
