import { Findings, Verdict } from '../Findings';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Heading } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { DemandPicture } from '../../pictures/DemandPicture';
import { NextMeasurement } from '../NextMeasurement';
import { Readings } from '../Readings';
import { Station } from '../Station';
import { CarFields } from './CarFields';
import { DriveFields } from './Drive';
import { DriveEditor } from './DriveEditor';
import { DutyPick } from './DutyPick';
import { Logs } from './Logs';
import { Figure } from '../figure/Figure';

const schoolNames = { SHARE_OF_POWER: 'Heat as a share of power', FRICTION: 'Heat from friction' } as const;

/** What the car has to do, the car that has to do it, and whether it needs a cooler for that at all. */
export function Duty() {
  const { car, outcome } = useBench();
  return (
    <Station
      choices={
        <>
          <DutyPick />
          <DriveFields />
          <CarFields />
        </>
      }
      pictures={
        outcome && (
          <>
            <Verdict />
            <DriveEditor />
            <Heading>What the duty asks</Heading>
            <DemandPicture outcome={outcome} chosen={car.heat.school} fitted={car.fitted !== undefined} height={250} />
            <Schools />
            <NextMeasurement />
            <Readings />
            <Logs />
          </>
        )
      }
      side={<Findings station="DUTY" />}
    />
  );
}

/** Every way of estimating the heat on the same duty and design, and what no cooler and the planned power would do. */
function Schools() {
  const { car, outcome } = useBench();
  const { show } = usePreferences();
  if (!outcome) {
    return null;
  }
  return (
    <FigureTable aria-label="The schools of heat">
      <thead>
        <tr>
          <th scope="col">With this design</th>
          <th scope="col">Heat</th>
          <th scope="col">Plateau</th>
          <th scope="col">Peak</th>
        </tr>
      </thead>
      <tbody>
        {car.fitted && (
          <tr aria-current>
            <th scope="row">Fitted to “{car.fitted.log}”</th>
            <td>
              <Figure of="MEAN_HEAT">{show(outcome.figures.meanHeatKw, 'heat')}</Figure>
            </td>
            <td>
              <Figure of="PLATEAU">{show(outcome.figures.plateauC, 'temperature')}</Figure>
            </td>
            <td>
              <Figure of="PEAK">{show(outcome.figures.peakC, 'temperature')}</Figure>
            </td>
          </tr>
        )}
        {outcome.schools.map((s) => {
          const chosen = !car.fitted && s.school === car.heat.school;
          return (
            <tr key={s.school} aria-current={chosen}>
              <th scope="row">
                {schoolNames[s.school]}
                {chosen ? ', chosen' : ''}
              </th>
              <td>
                <Figure of="MEAN_HEAT" other={!chosen}>
                  {show(s.meanHeatKw, 'heat')}
                </Figure>
              </td>
              <td>
                <Figure of="PLATEAU" other={!chosen}>
                  {show(s.plateauC, 'temperature')}
                </Figure>
              </td>
              <td>
                <Figure of="PEAK" other={!chosen}>
                  {show(s.peakC, 'temperature')}
                </Figure>
              </td>
            </tr>
          );
        })}
        {outcome.planned && (
          <tr>
            <th scope="row">With {show(car.engine.plannedPowerKw ?? 0, 'power')} as planned</th>
            <td />
            <td>
              <Figure of="PLATEAU" other>
                {show(outcome.planned.plateauC, 'temperature')}
              </Figure>
            </td>
            <td>
              <Figure of="PEAK" other>
                {show(outcome.planned.peakC, 'temperature')}
              </Figure>
            </td>
          </tr>
        )}
        <tr>
          <th scope="row">Without a cooler</th>
          <td />
          <td>
            <Figure of="PLATEAU" other>
              {show(outcome.bare.plateauC, 'temperature')}
            </Figure>
          </td>
          <td>
            <Figure of="BARE_PEAK">{show(outcome.bare.peakC, 'temperature')}</Figure>
          </td>
        </tr>
      </tbody>
    </FigureTable>
  );
}
