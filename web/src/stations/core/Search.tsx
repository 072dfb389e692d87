import { useState } from 'react';
import styled from 'styled-components';
import { api, create, read, watch, type Schemas, type JobView } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Button, Muted, Progress, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { useMoney } from '../../bench/useMoney';
import { usePresets } from '../../bench/presets';
import { designOf, sameDesign, trade } from './candidates';
import { Figure } from '../figure/Figure';

/** How far it is, in the room of what begins it: what stands below stays where it is when it begins and ends. */
const Turn = styled.div`
  display: grid;
  margin-top: 10px;
  /* Of how far it is, which is higher where the sentence beside the button has room on one line. */
  min-height: 52px;
  & > * {
    grid-area: 1 / 1;
    align-self: start;
  }
`;

/** Every combination in the catalogue, and those that nothing beats in every respect. */
export function Search({ widthMm, heightMm }: { widthMm: number; heightMm: number }) {
  const { starts } = usePresets();
  const money = useMoney();
  const { car, duty, design, now, changeDesign } = useBench();
  const { show } = usePreferences();
  const cooler = design.cooler;
  const [job, setJob] = useState<JobView>();
  const [found, setFound] = useState<Schemas['SearchAnswer']>();
  // One that was stopped has found what it had found by then.
  const [whole, setWhole] = useState(false);
  const [problem, setProblem] = useState<string>();
  if (!cooler) {
    return null;
  }
  const run = async () => {
    setProblem(undefined);
    setFound(undefined);
    setWhole(false);
    try {
      const body: Schemas['SearchQuestion'] = {
        car,
        duty,
        ...starts.search,
        withoutThermostat: true,
        largestWidthMm: Math.min(widthMm, 1000),
        largestHeightMm: Math.min(heightMm, 800),
        shadedPercent: Math.min(cooler.shadedPercent, 95),
        openingCm2: cooler.openingCm2,
        hoseM: cooler.feed.lengthM,
      };
      const started = await create((header) => api.POST('/api/jobs/search', { params: { header }, body }));
      const end = await watch<Schemas['SearchAnswer']>(started, (how) => {
        setJob(how);
        if (how.answer) {
          setFound(how.answer as Schemas['SearchAnswer']);
        }
      });
      setFound(end);
      setWhole(true);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setJob(undefined);
    }
  };
  return (
    <section aria-label="Search">
      <Turn>
        <Row style={{ visibility: job ? 'hidden' : 'visible' }}>
          <Button onPress={() => void run()}>Search the whole catalogue</Button>
          <Muted>Places, sealing, thermostats and hose sizes too; the first ones at once, all within seconds.</Muted>
        </Row>
        {job && (
          <Progress
            label="Designs looked at"
            done={job.done}
            total={job.total}
            onCancel={() => void read(api.DELETE('/api/jobs/{id}', { params: { path: { id: job.id } } }))}
          />
        )}
      </Turn>
      {problem && <p role="alert">▲ {problem}</p>}
      {found && (
        <>
          <p>
            {whole ? 'Of ' : 'So far of '}
            {found.tried.toLocaleString('en')} designs {found.holding.toLocaleString('en')} hold the target;{' '}
            {found.front.length} of them are beaten by none in every respect.
          </p>
          <FigureTable aria-label="Trade-off">
            <thead>
              <tr>
                <th scope="col">Design</th>
                <th scope="col">Peak</th>
                <th scope="col">Loss</th>
                <th scope="col">Warm-up</th>
                <th scope="col">Price</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {trade(found).map((c) => (
                <tr key={designOf(c)}>
                  <th scope="row" style={{ whiteSpace: 'normal' }}>
                    {c.maker} {c.number}, {c.design.cooler?.place.toLowerCase().replaceAll('_', ' ')},{' '}
                    {c.design.cooler?.sealingPercent.toFixed(0)} % sealed
                    {c.design.cooler?.thermostat
                      ? `, thermostat ${show(c.design.cooler.thermostat.opensC, 'temperature')}`
                      : ', no thermostat'}
                    {sameDesign(c, found.smallestThatHolds) ? ' — smallest that holds' : ''}
                    {sameDesign(c, found.largestThatFits) ? ' — largest that fits' : ''}
                  </th>
                  <td>
                    <Figure of="PEAK" other>
                      {show(c.peakC, 'temperature')}
                    </Figure>
                  </td>
                  <td>
                    <Figure of="LOOP_LOSS" other>
                      {show(c.loopLossBar, 'pressure')}
                    </Figure>
                  </td>
                  <td>
                    <Figure of="WARM_UP" other>
                      {c.to65Seconds === undefined ? 'never' : `${(c.to65Seconds / 60).toFixed(0)} min`}
                    </Figure>
                  </td>
                  <td>
                    <Figure of="PRICE" other>
                      {c.price === undefined ? '–' : money(c.price)}
                    </Figure>
                  </td>
                  <td>
                    <Button
                      aria-label={`Take ${c.maker} ${c.number}`}
                      onPress={() => changeDesign({ ...c.design, name: now().design.name })}
                    >
                      Take it
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </FigureTable>
        </>
      )}
    </section>
  );
}
