import { loopLossBar } from '../loopLoss';
import { useState } from 'react';
import styled from 'styled-components';
import { Findings } from '../Findings';
import { usePreferences } from '../../preferences/preferences';
import { Held, useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Heading, Muted, Pick, Slide, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CorePicture } from '../../pictures/CorePicture';
import { TimeTrace } from '../../pictures/TimeTrace';
import { Station } from '../Station';
import { Catalogue, CONSTRUCTIONS, PriceOfCore } from './Catalogue';
import { ColdRoad } from './ColdRoad';
import { FanFields, ThermostatFields, useCooler } from './coolerFields';
import { MapPanel } from './MapPanel';
import { TwoSchools } from './TwoSchools';
import { usePresets } from '../../bench/presets';

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

/** The hot session, and beside it the cold road. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.65fr) minmax(0, 1fr);
  gap: 14px;
`;

/** Rows of the slider's ends; typing reaches the rest of the range. */
const SLIDER_LOW = 7;
const SLIDER_HIGH = 34;

export function CoreStation() {
  const { starts } = usePresets();
  const { car, design, changeDesign, outcome } = useBench();
  const { show } = usePreferences();
  const { cooler, set } = useCooler();
  const [catalogue, setCatalogue] = useState(false);
  if (!cooler) {
    return (
      <Station
        choices={
          <>
            <Heading>No cooler in this design</Heading>
            <Muted>The car as it is. Add a core to see what it would change.</Muted>
            <Button onPress={() => changeDesign({ ...design, cooler: starts.cooler })}>Add a core</Button>
          </>
        }
        pictures={outcome && <TimeTrace outcome={outcome} car={car} height={330} cooled={false} />}
        side={<Findings />}
      />
    );
  }
  const core = outcome?.core;
  return (
    <Station
      choices={
        <>
          <CorePicture
            rows={cooler.rows}
            widthMm={cooler.widthMm}
            outsideWidthMm={core?.outsideWidthMm ?? cooler.widthMm}
            heightMm={core?.heightMm ?? cooler.rows * 7.7}
            shadedPercent={cooler.shadedPercent}
            height={150}
          />
          <Slide
            label="Rows"
            value={Math.max(SLIDER_LOW, Math.min(SLIDER_HIGH, cooler.rows))}
            min={SLIDER_LOW}
            max={SLIDER_HIGH}
            onChange={(rows) => set({ rows })}
          />
          <Fields>
            <DocumentNumber
              label="Rows"
              schema="CoolerDocument"
              field="rows"
              value={cooler.rows}
              step={1}
              onChange={(rows) => set({ rows: Math.round(rows) })}
            />
            <DocumentNumber
              label="Finned width"
              schema="CoolerDocument"
              field="widthMm"
              quantity="length"
              value={cooler.widthMm}
              step={10}
              onChange={(widthMm) => set({ widthMm })}
            />
          </Fields>
          <ThermostatFields />
          <div>
            <Fold name="Make and finish" short={CONSTRUCTIONS.find((c) => c.id === cooler.construction)?.name ?? ''}>
              <Fields>
                <Pick
                  label="Construction"
                  value={cooler.construction}
                  options={CONSTRUCTIONS}
                  onChange={(construction) => set({ construction, detail: undefined })}
                />
                <DocumentNumber
                  label="Depth"
                  schema="CoolerDocument"
                  field="depthMm"
                  quantity="length"
                  value={cooler.depthMm}
                  step={5}
                  onChange={(depthMm) => set({ depthMm })}
                />
                <Pick
                  label="Passes"
                  value={String(cooler.passes) as '1' | '2'}
                  options={[
                    { id: '1', name: 'One' },
                    { id: '2', name: 'Two, ports on one end' },
                  ]}
                  onChange={(v) => set({ passes: Number(v) })}
                />
                <Pick
                  label="Ports point"
                  value={cooler.ports}
                  options={[
                    { id: 'UP', name: 'Up' },
                    { id: 'SIDE', name: 'To the side' },
                    { id: 'DOWN', name: 'Down' },
                  ]}
                  onChange={(ports) => set({ ports })}
                />
                <Pick
                  label="On the fins"
                  value={cooler.finish}
                  options={[
                    { id: 'BARE', name: 'Nothing, bare' },
                    { id: 'THIN_PAINT', name: 'A thin coat of paint' },
                    { id: 'POWDER_COAT', name: 'Powder coat' },
                  ]}
                  onChange={(finish) => set({ finish })}
                />
                <DocumentNumber
                  label="Efficacy"
                  schema="CoolerDocument"
                  field="efficacyPercent"
                  suffix="%"
                  value={cooler.efficacyPercent ?? 80}
                  step={1}
                  onChange={(efficacyPercent) => set({ efficacyPercent })}
                />
              </Fields>
            </Fold>
            <Fold
              name="Air"
              short={`${cooler.sealingPercent.toFixed(0)} % sealed, ${cooler.shadedPercent.toFixed(0)} % shaded`}
              open
            >
              <Fields>
                <DocumentNumber
                  label="Sealing"
                  schema="CoolerDocument"
                  field="sealingPercent"
                  suffix="%"
                  value={cooler.sealingPercent}
                  step={5}
                  onChange={(sealingPercent) => set({ sealingPercent })}
                />
                <DocumentNumber
                  label="Shaded face"
                  schema="CoolerDocument"
                  field="shadedPercent"
                  suffix="%"
                  value={cooler.shadedPercent}
                  step={5}
                  onChange={(shadedPercent) => set({ shadedPercent })}
                />
              </Fields>
              <FanFields />
            </Fold>
            <Fold name="Oil, exchanger" short={design.oil?.grade ?? `${car.oil.grade}, as in the car`}>
              <Pick
                label="Oil of this design"
                value={design.oil?.grade ?? 'car'}
                options={[
                  { id: 'car', name: `As in the car, ${car.oil.grade}` },
                  ...['0W-20', '5W-30', '5W-40', '10W-40', '10W-60', '15W-40', '20W-50'].map((g) => ({
                    id: g,
                    name: g,
                  })),
                ]}
                onChange={(grade) => {
                  const rest = { ...design };
                  delete rest.oil;
                  changeDesign(grade === 'car' ? rest : { ...rest, oil: { grade } });
                }}
              />
              {car.factoryExchangerWPerK ? (
                <Toggle
                  label="Keep the factory exchanger"
                  value={design.keepFactoryExchanger}
                  onChange={(keepFactoryExchanger) => changeDesign({ ...design, keepFactoryExchanger })}
                />
              ) : (
                <Muted>This car has no factory exchanger.</Muted>
              )}
            </Fold>
            <Fold name="To buy" open>
              <PriceOfCore />
              <Button onPress={() => setCatalogue(true)}>Cores to buy…</Button>
            </Fold>
          </div>
          {catalogue && <Catalogue onClose={() => setCatalogue(false)} />}
        </>
      }
      pictures={
        outcome && (
          <>
            <MapPanel height={250} />
            <Beside>
              <TimeTrace outcome={outcome} car={car} height={212} cooled />
              <ColdRoad outcome={outcome} height={212} />
            </Beside>
            <Held>
              <TwoSchools />
            </Held>
          </>
        )
      }
      side={
        <>
          <Findings station="CORE" />
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
          )}
        </>
      }
    />
  );
}
