import styled from 'styled-components';
import type { OutcomeDocument } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { loopLossBar } from '../loopLoss';

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
        <dd>{show(core.heatKw, 'heat')}</dd>
      </div>
      <div>
        <dt>Air on the face</dt>
        <dd>{show(core.faceSpeedMPerS, 'airSpeed')}</dd>
      </div>
      <div>
        <dt>Drop across core</dt>
        <dd>{show(outcome.circuit.oilC - core.oilOutC, 'temperatureDifference')}</dd>
      </div>
      <div>
        <dt>Gallery pressure</dt>
        <dd>{show(outcome.circuit.galleryBar, 'pressure')}</dd>
      </div>
      <div>
        <dt>Loss in the loop, maximum engine speed</dt>
        <dd>{show(loopLossBar(outcome.circuit.points), 'pressure')}</dd>
      </div>
      <div>
        <dt>Added oil</dt>
        <dd>{show(outcome.circuit.addedOilL, 'volume')}</dd>
      </div>
      <div>
        <dt>Oil on a cold road</dt>
        <dd>{show(outcome.road.oilC, 'temperature')}</dd>
      </div>
      <div>
        <dt>Oil film at the peak</dt>
        <dd>{outcome.figures.viscosityAtPeakCst.toFixed(1)} cSt</dd>
      </div>
    </Figures>
  );
}
