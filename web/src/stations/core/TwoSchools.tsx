import { formatTime } from '../../units/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, read, watch, type Schemas, type JobView } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useSeen, useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted, Progress, QuantityField, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { useMoney } from '../../bench/useMoney';
import { usePresets } from '../../bench/presets';

type Candidate = Schemas['CandidateDocument'];

/** What the two schools of sizing would do with this design, and what each of them costs. */
export function TwoSchools() {
  const money = useMoney();
  const { car, duty, design, changeDesign } = useBench();
  const { show } = usePreferences();
  const room = useRoom();
  const [largestWidthMm, setWidth] = useState(room.widthMm);
  const [largestHeightMm, setHeight] = useState(room.heightMm);
  const [section, seen] = useSeen<HTMLElement>();
  const asked = useSettled(
    useMemo(
      () => ({ car, duty, design, largestWidthMm, largestHeightMm }),
      [car, duty, design, largestWidthMm, largestHeightMm],
    ),
    300,
  );
  const schools = useQuery({ ...queries.schools(asked), enabled: seen });
  const columns = schools.data && [
    { name: 'As it is', c: schools.data.present },
    { name: 'Smallest that holds', c: schools.data.smallestThatHolds },
    { name: 'Largest that fits', c: schools.data.largestThatFits },
  ];
  const row = (name: string, text: (c: Candidate) => string) => (
    <tr>
      <th scope="row">{name}</th>
      {columns?.map((col) => (
        <td key={col.name}>{col.c ? text(col.c) : '–'}</td>
      ))}
    </tr>
  );
  return (
    <section aria-label="Sizes" ref={section}>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Smallest that holds, largest that fits</Heading>
      </Row>
      <Row>
        <div style={{ width: 160 }}>
          <QuantityField
            label="Room across"
            quantity="length"
            value={largestWidthMm}
            step={10}
            min={100}
            max={1500}
            onChange={setWidth}
          />
        </div>
        <div style={{ width: 160 }}>
          <QuantityField
            label="Room upwards"
            quantity="length"
            value={largestHeightMm}
            step={10}
            min={30}
            max={1000}
            onChange={setHeight}
          />
        </div>
      </Row>
      {schools.error && <p role="alert">▲ {schools.error.message}</p>}
      {columns && (
        <FigureTable aria-label="Smallest and largest">
          <thead>
            <tr>
              <td />
              {columns.map((col) => (
                <th key={col.name} scope="col">
                  {col.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {row('Core', (c) =>
              c.design.cooler ? `${c.design.cooler.rows} × ${show(c.design.cooler.widthMm, 'length')}` : '–',
            )}
            {row('Part', (c) => (c.maker ? `${c.maker} ${c.number}` : '–'))}
            {row('Peak', (c) => show(c.peakC, 'temperature'))}
            {row('Loss in the loop at maximum engine speed', (c) => show(c.loopLossBar, 'pressure'))}
            {row(`To ${show(65, 'temperature')} on a cold road`, (c) =>
              c.to65Seconds === undefined ? 'never' : formatTime(c.to65Seconds),
            )}
            {row('Coolant hotter by', (c) => show(c.coolantRiseK, 'temperatureDifference', 1))}
            {row('Mass with its oil', (c) => show(c.massKg, 'mass', 1))}
            {row('Price', (c) => (c.price === undefined ? '–' : money(c.price)))}
            <tr>
              <td />
              {columns.map((col, i) => (
                <td key={col.name}>
                  {i > 0 && col.c && (
                    <Button
                      aria-label={`Take: ${col.name}`}
                      onPress={() => col.c && changeDesign({ ...col.c.design, name: design.name })}
                    >
                      Take it
                    </Button>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </FigureTable>
      )}
      <Search widthMm={largestWidthMm} heightMm={largestHeightMm} />
    </section>
  );
}

/** Room for a core: the opening that is largest in the nose, where that is measured. */
function useRoom(): { widthMm: number; heightMm: number } {
  const { car } = useBench();
  const opening = [...(car.nose?.openings ?? [])].sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0];
  return { widthMm: Math.min(opening?.widthMm ?? 420, 700), heightMm: Math.max(opening?.heightMm ?? 220, 120) };
}

/** Every combination in the catalogue, and those that nothing beats in every respect. */
function Search({ widthMm, heightMm }: { widthMm: number; heightMm: number }) {
  const { starts } = usePresets();
  const money = useMoney();
  const { car, duty, design, changeDesign } = useBench();
  const { show } = usePreferences();
  const cooler = design.cooler;
  const [job, setJob] = useState<JobView>();
  const [found, setFound] = useState<Schemas['SearchAnswer']>();
  const [problem, setProblem] = useState<string>();
  if (!cooler) {
    return null;
  }
  const run = async () => {
    setProblem(undefined);
    setFound(undefined);
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
      const started = await read(api.POST('/api/jobs/search', { body }));
      setFound(await watch<Schemas['SearchAnswer']>(started, setJob));
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setJob(undefined);
    }
  };
  return (
    <section aria-label="Search">
      {job ? (
        <Progress
          label="Designs run"
          done={job.done}
          total={job.total}
          onCancel={() => void read(api.DELETE('/api/jobs/{id}', { params: { path: { id: job.id } } }))}
        />
      ) : (
        <Row style={{ marginTop: 10 }}>
          <Button onPress={() => void run()}>Search the whole catalogue</Button>
          <Muted>Places, sealing, thermostats and hose sizes too; some seconds to a minute.</Muted>
        </Row>
      )}
      {problem && <p role="alert">▲ {problem}</p>}
      {found && (
        <>
          <p>
            {found.tried.toLocaleString('en')} designs were run, {found.holding.toLocaleString('en')} hold the target,{' '}
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
              {trade(found).map((c, i) => (
                <tr key={i}>
                  <th scope="row" style={{ whiteSpace: 'normal' }}>
                    {c.maker} {c.number}, {c.design.cooler?.place.toLowerCase().replaceAll('_', ' ')},{' '}
                    {c.design.cooler?.sealingPercent.toFixed(0)} % sealed
                    {c.design.cooler?.thermostat
                      ? `, thermostat ${show(c.design.cooler.thermostat.opensC, 'temperature')}`
                      : ', no thermostat'}
                    {c === found.smallestThatHolds || sameDesign(c, found.smallestThatHolds)
                      ? ' — smallest that holds'
                      : ''}
                    {sameDesign(c, found.largestThatFits) ? ' — largest that fits' : ''}
                  </th>
                  <td>{show(c.peakC, 'temperature')}</td>
                  <td>{show(c.loopLossBar, 'pressure')}</td>
                  <td>{c.to65Seconds === undefined ? 'never' : `${(c.to65Seconds / 60).toFixed(0)} min`}</td>
                  <td>{c.price === undefined ? '–' : money(c.price)}</td>
                  <td>
                    <Button
                      aria-label={`Take ${c.maker} ${c.number}`}
                      onPress={() => changeDesign({ ...c.design, name: design.name })}
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

function sameDesign(a: Candidate, b: Candidate | undefined): boolean {
  return b !== undefined && a.number === b.number && a.peakC === b.peakC && a.loopLossBar === b.loopLossBar;
}

const MOST = 14;

/** The marked ones first, then the front from cheap to dear, thinned to what a person reads. */
function trade(found: Schemas['SearchAnswer']): Candidate[] {
  const marked = [found.smallestThatHolds, found.largestThatFits].filter((c) => c !== undefined);
  const front = [...found.front].sort((a, b) => (a.price ?? 0) - (b.price ?? 0));
  const every = Math.max(1, Math.ceil(front.length / MOST));
  return [...marked, ...front.filter((c, i) => i % every === 0 && !marked.some((m) => sameDesign(c, m)))];
}
