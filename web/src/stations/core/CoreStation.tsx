import { useState } from 'react';
import styled from 'styled-components';
import { Findings } from '../Findings';

import { Held, useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Fold, Slide } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CorePicture } from '../../pictures/CorePicture';
import { TimeTrace } from '../../pictures/TimeTrace';
import { Station } from '../Station';
import { Catalogue } from './Catalogue';

import { PriceOfCore } from './PriceOfCore';
import { AirFields, MakeFields, OilOfDesign } from './CoreFields';
import { CoreFigures } from './CoreFigures';
import { ColdRoad } from './ColdRoad';
import { OutsideFields } from './OutsideFields';
import { AddCore } from './AddCore';
import { WorkFields } from './WorkFields';
import { ThermostatFields, useCooler } from './coolerFields';
import { MapPanel } from './MapPanel';
import { TwoSchools } from './TwoSchools';

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
  const { car, design, outcome } = useBench();

  const { cooler, set } = useCooler();
  const [catalogue, setCatalogue] = useState(false);
  if (!cooler) {
    return (
      <Station
        choices={
          <>
            <AddCore why="The car as it is. Add a core to see what it would change." />
            {design.work === 'EXCHANGER' && <WorkFields />}
          </>
        }
        pictures={
          outcome && <TimeTrace outcome={outcome} car={car} height={330} cooled={car.factoryCooler !== undefined} />
        }
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
            layout={core?.layout}
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
            <MakeFields />
            <OutsideFields />
            <AirFields />
            <OilOfDesign />
            <Fold name="To buy" open>
              <WorkFields />
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
            {/* The search knows whole designs: a core in series is judged by its own figures. */}
            {design.work !== 'IN_SERIES' && (
              <Held>
                <TwoSchools />
              </Held>
            )}
          </>
        )
      }
      side={
        <>
          <Findings station="CORE" />
          {outcome && core && <CoreFigures outcome={outcome} core={core} />}
        </>
      }
    />
  );
}
