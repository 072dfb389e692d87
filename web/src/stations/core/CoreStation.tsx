import styled from 'styled-components';
import { range, type CoolerDocument } from '../../api/client';
import { Findings } from '../../app/Findings';
import { usePreferences } from '../../app/preferences';
import { useBench } from '../../app/workbench';
import { Button, Heading, Muted, QuantityField, Slide, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CorePicture } from '../../pictures/CorePicture';
import { TimeTrace } from '../../pictures/TimeTrace';
import { Station } from '../Station';
import { MapPanel } from './MapPanel';

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

/** A start for a car that has no cooler yet. */
const STARTER: CoolerDocument = {
  construction: 'STACKED_PLATE',
  rows: 13,
  widthMm: 280,
  depthMm: 50,
  passes: 1,
  finish: 'BARE',
  ports: 'UP',
  place: 'GRILLE_AHEAD',
  sealingPercent: 60,
  shadedPercent: 20,
  openingCm2: 300,
  mesh: false,
  thermostat: { opensC: 85 },
  feed: { boreMm: 14.2, lengthM: 1.2, elbows90: 2 },
  back: { boreMm: 14.2, lengthM: 1.2, elbows90: 2 },
};

/** Rows of the slider's ends; typing reaches the rest of the range. */
const SLIDER_LOW = 7;
const SLIDER_HIGH = 34;

export function CoreStation() {
  const { car, design, changeDesign, outcome } = useBench();
  const { show } = usePreferences();
  const cooler = design.cooler;
  if (!cooler) {
    return (
      <Station
        choices={
          <>
            <Heading>No cooler in this design</Heading>
            <Muted>The car as it is. Add a core to see what it would change.</Muted>
            <Button onPress={() => changeDesign({ ...design, cooler: STARTER })}>Add a core</Button>
          </>
        }
        pictures={outcome && <TimeTrace outcome={outcome} car={car} height={330} cooled={false} />}
        side={<Findings />}
      />
    );
  }
  const set = (change: Partial<CoolerDocument>) => changeDesign({ ...design, cooler: { ...cooler, ...change } });
  const core = outcome?.core;
  return (
    <Station
      choices={
        <>
          <Heading>Core</Heading>
          <CorePicture
            rows={cooler.rows}
            widthMm={cooler.widthMm}
            outsideWidthMm={core?.outsideWidthMm ?? cooler.widthMm}
            heightMm={core?.heightMm ?? cooler.rows * 7.7}
            shadedPercent={cooler.shadedPercent}
            height={170}
          />
          <Slide
            label="Rows"
            value={Math.max(SLIDER_LOW, Math.min(SLIDER_HIGH, cooler.rows))}
            min={SLIDER_LOW}
            max={SLIDER_HIGH}
            onChange={(rows) => set({ rows })}
          />
          <Fields>
            <QuantityField
              label="Rows"
              value={cooler.rows}
              step={1}
              {...range('CoolerDocument', 'rows')}
              onChange={(rows) => set({ rows: Math.round(rows) })}
            />
            <QuantityField
              label="Finned width"
              quantity="length"
              value={cooler.widthMm}
              step={10}
              {...range('CoolerDocument', 'widthMm')}
              onChange={(widthMm) => set({ widthMm })}
            />
            <QuantityField
              label="Shaded face"
              suffix="%"
              value={cooler.shadedPercent}
              step={5}
              {...range('CoolerDocument', 'shadedPercent')}
              onChange={(shadedPercent) => set({ shadedPercent })}
            />
            <QuantityField
              label="Sealing"
              suffix="%"
              value={cooler.sealingPercent}
              step={5}
              {...range('CoolerDocument', 'sealingPercent')}
              onChange={(sealingPercent) => set({ sealingPercent })}
            />
          </Fields>
          <Fields>
            <Toggle
              label="Thermostat"
              value={cooler.thermostat !== undefined}
              onChange={(on) => {
                const rest = { ...cooler };
                delete rest.thermostat;
                changeDesign({ ...design, cooler: on ? { ...rest, thermostat: { opensC: 85 } } : rest });
              }}
            />
            {cooler.thermostat && (
              <QuantityField
                label="Thermostat opens"
                quantity="temperature"
                value={cooler.thermostat.opensC}
                step={1}
                {...range('ThermostatDocument', 'opensC')}
                onChange={(opensC) => set({ thermostat: { opensC } })}
              />
            )}
          </Fields>
        </>
      }
      pictures={
        outcome && (
          <>
            <MapPanel height={262} />
            <TimeTrace outcome={outcome} car={car} height={232} cooled />
          </>
        )
      }
      side={
        <>
          <Findings />
          {outcome && core && (
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
                <dt>Loss in the loop</dt>
                <dd>{show(outcome.circuit.losses.reduce((sum, l) => sum + l.pa, 0) / 1e5, 'pressure')}</dd>
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
          )}
        </>
      }
    />
  );
}
