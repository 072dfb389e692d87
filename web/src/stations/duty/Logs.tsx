import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { call, create, send, watch, type CarView, type JobView, type Schemas } from '../../api/client';
import { usePreferences } from '../../app/preferences';
import { useGo } from '../../app/Shell';
import { useBench } from '../../app/workbench';
import { FileChoice } from '../../kit/FileChoice';
import { DocumentNumber } from '../../kit/fields';
import {
  Actions,
  AskSure,
  Button,
  Heading,
  Muted,
  Pick,
  Progress,
  QuantityField,
  Row,
  Sheet,
  TextEntry,
  Toggle,
} from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { LogPicture } from '../../pictures/LogPicture';
import { Residuals } from '../../pictures/Residuals';

type Channel = Schemas['LogDocument']['channels'][number];
type Format = Schemas['LogFormat'];

export const CHANNELS: Record<Channel, string> = {
  TIME: 'Time',
  SPEED: 'Road speed',
  RPM: 'Engine speed',
  POWER: 'Brake power',
  OIL: 'Oil temperature',
  OIL_RETURN: 'Oil behind the cooler',
  COOLANT: 'Coolant',
  INTAKE: 'Intake air',
  AMBIENT: 'Outside air',
  PRESSURE: 'Oil pressure',
  LAP: 'Lap',
  LATITUDE: 'Latitude',
  LONGITUDE: 'Longitude',
  ELEVATION: 'Height',
};

/** Units in which each channel may be written, the one that it is kept in first. */
const UNITS: Record<Channel, readonly NonNullable<Format['columns'][number]['unit']>[]> = {
  TIME: ['S', 'MS', 'MIN'],
  SPEED: ['KMH', 'MPH', 'MPS', 'KNOT'],
  RPM: ['RPM'],
  POWER: ['KW', 'HP'],
  OIL: ['C', 'F', 'K'],
  OIL_RETURN: ['C', 'F', 'K'],
  COOLANT: ['C', 'F', 'K'],
  INTAKE: ['C', 'F', 'K'],
  AMBIENT: ['C', 'F', 'K'],
  PRESSURE: ['BAR', 'PSI', 'KPA'],
  LAP: ['NONE'],
  LATITUDE: ['DEGREE'],
  LONGITUDE: ['DEGREE'],
  ELEVATION: ['M', 'FT'],
};

const UNIT_SIGNS: Record<string, string> = {
  S: 's',
  MS: 'ms',
  MIN: 'min',
  KMH: 'km/h',
  MPH: 'mph',
  MPS: 'm/s',
  KNOT: 'kn',
  RPM: 'rpm',
  KW: 'kW',
  HP: 'hp',
  C: '°C',
  F: '°F',
  K: 'K',
  BAR: 'bar',
  PSI: 'psi',
  KPA: 'kPa',
  M: 'm',
  FT: 'ft',
  DEGREE: '°',
  NONE: '–',
};

export const SENSORS = [
  { id: 'SUMP', name: 'In the sump' },
  { id: 'PLATE_INLET', name: 'In the plate, to the cooler' },
  { id: 'PLATE_OUTLET', name: 'In the plate, from the cooler' },
  { id: 'GALLERY', name: 'In the gallery' },
] as const;

/** The car's logs: brought in, looked at, driven again, fitted. */
export function Logs() {
  const { view } = useBench();
  const client = useQueryClient();
  const go = useGo();
  const [upload, setUpload] = useState<Schemas['UploadView']>();
  const [sending, setSending] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [shown, setShown] = useState<Schemas['LogView']>();
  const [fitted, setFitted] = useState<Schemas['LogView']>();
  const [removed, setRemoved] = useState<Schemas['LogView']>();
  const told = (e: unknown) => setProblem(e instanceof Error ? e.message : String(e));
  const take = async (chosen: File) => {
    setProblem(undefined);
    setSending(true);
    try {
      setUpload(
        await send<Schemas['UploadView']>(
          `/cars/${view.id}/uploads?name=${encodeURIComponent(chosen.name)}`,
          chosen,
          'application/octet-stream',
        ),
      );
    } catch (e) {
      told(e);
    } finally {
      setSending(false);
    }
  };
  const drive = async (log: Schemas['LogView']) => {
    try {
      const duty = await create<Schemas['DutyView']>(`/logs/${log.id}/duty`);
      client.setQueryData<CarView>(['car', view.id], (v) => v && { ...v, duties: [...v.duties, duty] });
      go({ duty: duty.id });
    } catch (e) {
      told(e);
    }
  };
  return (
    <section aria-label="Logs">
      <Row style={{ justifyContent: 'space-between', marginBottom: 6 }}>
        <Heading>Logs of this car</Heading>
        <FileChoice
          label="Log file"
          action={sending ? 'Reading…' : 'Import log…'}
          accept=".csv,.txt,.tsv,.log,.gz,.gpx"
          isDisabled={sending}
          onFile={(chosen) => void take(chosen)}
        />
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      {view.logs.length === 0 ? (
        <Muted>
          None yet. A baseline log from before any parts are bought is the best evidence there is: values separated by
          commas, semicolons or tabulators from any logger, or GPX for the speed alone.
        </Muted>
      ) : (
        <FigureTable aria-label="Logs">
          <thead>
            <tr>
              <th scope="col">Log</th>
              <th scope="col">Minutes</th>
              <th scope="col">Rows</th>
              <th scope="col">Air</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {view.logs.map((l) => (
              <LogRow
                key={l.id}
                log={l}
                onShow={() => setShown(l)}
                onDrive={() => void drive(l)}
                onFit={() => setFitted(l)}
                onRemove={() => setRemoved(l)}
              />
            ))}
          </tbody>
        </FigureTable>
      )}
      {upload && <ImportSheet upload={upload} onClose={() => setUpload(undefined)} />}
      {shown && (
        <Sheet title={shown.log.name} onClose={() => setShown(undefined)} widest="1000px">
          <LogPicture id={shown.id} height={420} />
          <Row>
            <Muted>
              {shown.log.file}, sensor {SENSORS.find((s) => s.id === shown.log.sensor)?.name.toLowerCase()}
            </Muted>
            <Button onPress={() => setShown(undefined)}>Close</Button>
          </Row>
        </Sheet>
      )}
      {fitted && <FitSheet log={fitted} onClose={() => setFitted(undefined)} />}
      {removed && (
        <AskSure
          title="Remove this log"
          text={`“${removed.log.name}” goes for good. What was learned from it stays in the car.`}
          action="Remove it"
          onClose={() => setRemoved(undefined)}
          onSure={() =>
            void call('DELETE', `/logs/${removed.id}`, undefined, {
              headers: { 'If-Match': `"${removed.version}"` },
            })
              .then(() =>
                client.setQueryData<CarView>(
                  ['car', view.id],
                  (v) => v && { ...v, logs: v.logs.filter((l) => l.id !== removed.id) },
                ),
              )
              .catch(told)
          }
        />
      )}
    </section>
  );
}

function LogRow(props: {
  log: Schemas['LogView'];
  onShow: () => void;
  onDrive: () => void;
  onFit: () => void;
  onRemove: () => void;
}) {
  const { show } = usePreferences();
  const { log } = props.log;
  return (
    <tr>
      <th scope="row" style={{ whiteSpace: 'normal' }}>
        {log.name}
      </th>
      <td>{(log.durationSeconds / 60).toFixed(0)}</td>
      <td>{log.rows.toLocaleString('en')}</td>
      <td>{show(log.ambientC, 'temperature')}</td>
      <td>
        <Row style={{ justifyContent: 'flex-end', flexWrap: 'nowrap' }}>
          <Button aria-label={`Fit ${log.name}`} isDisabled={!log.channels.includes('OIL')} onPress={props.onFit}>
            Fit
          </Button>
          <Actions
            label={`More about ${log.name}`}
            actions={[
              { id: 'show', name: 'Show it', run: props.onShow },
              {
                id: 'drive',
                name: 'Make a duty of it',
                disabled: !log.channels.includes('SPEED'),
                run: props.onDrive,
              },
              { id: 'remove', name: 'Remove…', run: props.onRemove },
            ]}
          />
        </Row>
      </td>
    </tr>
  );
}

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(80px, 1fr) minmax(140px, 180px) 92px);
  gap: 6px 10px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(80px, 1fr) minmax(140px, 180px) 92px;
  }
  align-items: center;
`;

const Lines = styled.pre`
  margin: 0;
  padding: 8px 10px;
  font-size: 12px;
  overflow-x: auto;
  background: ${(p) => p.theme.sheet};
  border: 1px solid ${(p) => p.theme.faint};
  border-radius: 4px;
`;

/** A log before it is kept: how it was understood, and what a person says of it. */
function ImportSheet({ upload, onClose }: { upload: Schemas['UploadView']; onClose: () => void }) {
  const { view, car, duty } = useBench();
  const client = useQueryClient();
  const [preview, setPreview] = useState(upload.preview);
  const [name, setName] = useState(upload.name.replace(/\.(csv|txt|tsv|log|gpx)(\.gz)?$/i, '').slice(0, 120));
  const [sensor, setSensor] = useState(car.sensor);
  const [ambientC, setAmbient] = useState(duty.ambientC);
  const [altitudeM, setAltitude] = useState(duty.altitudeM);
  const [trailerKg, setTrailer] = useState(duty.climb?.trailerKg ?? 0);
  const [problem, setProblem] = useState<string>();
  const [job, setJob] = useState<JobView>();
  const [kept, setKept] = useState<{ log: Schemas['LogDocument']; report: Schemas['LogReport'] }>();
  const format = preview.format;
  const correct = async (next: Format) => {
    // What was chosen stays on the screen even where the server cannot read the file so.
    setPreview((p) => ({ ...p, format: next }));
    try {
      setPreview(await call<Schemas['PreviewDocument']>('POST', `/uploads/${upload.id}/preview`, next));
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };
  const leave = () => {
    void call('DELETE', `/uploads/${upload.id}`).catch(() => undefined);
    onClose();
  };
  const keep = async () => {
    setProblem(undefined);
    try {
      const started = await call<JobView>('POST', `/uploads/${upload.id}/keep`, {
        name,
        sensor,
        ambientC,
        altitudeM,
        trailerKg,
        ...(format ? { format } : {}),
      });
      const done = await watch<{ id: string; log: Schemas['LogDocument']; report: Schemas['LogReport'] }>(
        started,
        setJob,
      );
      client.setQueryData<CarView>(
        ['car', view.id],
        (v) => v && { ...v, logs: [...v.logs, { id: done.id, version: 1, log: done.log }] },
      );
      await client.invalidateQueries({ queryKey: ['car', view.id] });
      setKept(done);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setJob(undefined);
    }
  };
  if (kept) {
    return (
      <Sheet title={`“${kept.log.name}” is kept`} onClose={onClose} widest="640px">
        <p style={{ margin: 0 }}>
          {kept.report.rows.toLocaleString('en')} rows over {(kept.report.durationSeconds / 60).toFixed(1)} minutes.
          {kept.report.missingValues > 0 &&
            ` ${kept.report.missingValues.toLocaleString('en')} single values are missing.`}
        </p>
        <Spoiled report={kept.report} />
        <Row>
          <Button onPress={onClose} autoFocus>
            Done
          </Button>
        </Row>
      </Sheet>
    );
  }
  return (
    <Sheet title={`Import ${upload.name}`} onClose={leave} widest="1000px">
      <Fields style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))' }}>
        <TextEntry label="Name of the log" value={name} onChange={setName} />
        <Pick label="Oil sensor sat" value={sensor} options={SENSORS} onChange={setSensor} />
        <DocumentNumber
          label="Air on the day"
          schema="KeepDocument"
          field="ambientC"
          quantity="temperature"
          value={ambientC}
          step={1}
          onChange={setAmbient}
        />
        <DocumentNumber
          label="Mean altitude"
          schema="KeepDocument"
          field="altitudeM"
          quantity="distance"
          value={altitudeM}
          step={10}
          onChange={setAltitude}
        />
        <DocumentNumber
          label="Trailer behind it"
          schema="KeepDocument"
          field="trailerKg"
          quantity="mass"
          value={trailerKg}
          step={50}
          onChange={setTrailer}
        />
      </Fields>
      {format && (
        <>
          <Heading>How it is written</Heading>
          <Fields style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))' }}>
            <Pick
              label="Columns part at"
              value={format.delimiter}
              options={[
                { id: 'COMMA', name: 'Comma' },
                { id: 'SEMICOLON', name: 'Semicolon' },
                { id: 'TAB', name: 'Tabulator' },
                { id: 'BAR', name: 'Upright bar' },
              ]}
              onChange={(delimiter) => void correct({ ...format, delimiter })}
            />
            <Pick
              label="Times are"
              value={format.time}
              options={[
                { id: 'NUMBER', name: 'Numbers' },
                { id: 'CLOCK', name: 'With colons' },
                { id: 'ISO', name: 'Date and time' },
                { id: 'ROWS', name: 'Not there' },
              ]}
              onChange={(time) =>
                void correct({
                  ...format,
                  time,
                  rowsPerSecond: time === 'ROWS' ? (format.rowsPerSecond ?? 10) : undefined,
                })
              }
            />
            {format.time === 'ROWS' && (
              <DocumentNumber
                label="Rows per second"
                schema="LogFormat"
                field="rowsPerSecond"
                digits={1}
                value={format.rowsPerSecond ?? 10}
                step={1}
                onChange={(rowsPerSecond) => void correct({ ...format, rowsPerSecond })}
              />
            )}
            <QuantityField
              label="Names in line"
              value={format.headerLine}
              step={1}
              min={0}
              max={1000}
              onChange={(v) => void correct({ ...format, headerLine: Math.round(v) })}
            />
            <QuantityField
              label="Values from line"
              value={format.firstDataLine}
              step={1}
              min={1}
              max={1001}
              onChange={(v) => void correct({ ...format, firstDataLine: Math.round(v) })}
            />
            <Toggle
              label="Decimal comma"
              value={format.decimalComma}
              onChange={(decimalComma) => void correct({ ...format, decimalComma })}
            />
          </Fields>
          <Columns role="group" aria-label="Columns of the file">
            {format.columns.map((c, i) => (
              <ColumnRow
                key={i}
                column={c}
                onChange={(column) =>
                  void correct({ ...format, columns: format.columns.map((x, k) => (k === i ? column : x)) })
                }
              />
            ))}
          </Columns>
        </>
      )}
      <Lines tabIndex={0} aria-label="First lines of the file">
        {preview.lines.join('\n')}
      </Lines>
      <FigureTable aria-label="First rows as they were understood">
        <thead>
          <tr>
            {preview.channels.map((c) => (
              <th key={c} scope="col">
                {CHANNELS[c]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.head.slice(0, 4).map((row, i) => (
            <tr key={i}>
              {row.map((v, k) => (
                <td key={k}>{v === null ? '–' : v}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Spoiled report={preview.report} />
      {problem && <p role="alert">▲ {problem}</p>}
      {job ? (
        <Progress label="Rows read" done={job.done} total={0} onCancel={() => void call('DELETE', `/jobs/${job.id}`)} />
      ) : (
        <Row>
          <Button onPress={() => void keep()} isDisabled={name.trim() === ''}>
            Keep this log
          </Button>
          <Button onPress={leave}>Cancel</Button>
        </Row>
      )}
    </Sheet>
  );
}

function ColumnRow({
  column,
  onChange,
}: {
  column: Format['columns'][number];
  onChange: (column: Format['columns'][number]) => void;
}) {
  const units = column.channel ? UNITS[column.channel] : [];
  return (
    <>
      <span>{column.name || '(no name)'}</span>
      <Pick
        label={`Column ${column.name} holds`}
        hideLabel
        value={column.channel ?? 'none'}
        options={[
          { id: 'none', name: 'not read' },
          ...Object.entries(CHANNELS).map(([id, name]) => ({ id: id as Channel, name })),
        ]}
        onChange={(channel) =>
          onChange(
            channel === 'none'
              ? { name: column.name }
              : { name: column.name, channel: channel as Channel, unit: UNITS[channel as Channel][0] },
          )
        }
      />
      {column.channel && units.length > 1 ? (
        <Pick
          label={`Unit of column ${column.name}`}
          hideLabel
          value={column.unit ?? units[0] ?? 'NONE'}
          options={units.map((u) => ({ id: u, name: UNIT_SIGNS[u] ?? u }))}
          onChange={(unit) => onChange({ ...column, unit })}
        />
      ) : (
        <Muted>{column.unit ? UNIT_SIGNS[column.unit] : ''}</Muted>
      )}
    </>
  );
}

function Spoiled({ report }: { report: Schemas['LogReport'] }) {
  return (
    <>
      {report.spoiled > 0 && (
        <details>
          <summary>
            ▲ {report.spoiled.toLocaleString('en')} {report.spoiled === 1 ? 'row is' : 'rows are'} left out
          </summary>
          <ul style={{ margin: '6px 0 0', paddingLeft: 20 }}>
            {report.samples.slice(0, 20).map((s) => (
              <li key={s.line}>
                Line {s.line}: {s.reason}
              </li>
            ))}
          </ul>
        </details>
      )}
      {report.outOfRange.map((o) => (
        <p key={o.channel} style={{ margin: 0 }}>
          ▲ {o.readings.toLocaleString('en')} {o.readings === 1 ? 'reading' : 'readings'} of{' '}
          {CHANNELS[o.channel].toLowerCase()} left out: no car shows such a figure. Check the sensor or its unit.
        </p>
      ))}
      {report.clockJumps > 0 && (
        <p style={{ margin: 0 }}>
          ▲ The logger&apos;s clock was set{' '}
          {report.clockJumps === 1 ? 'once' : `${report.clockJumps.toLocaleString('en')} times`} while it ran. The times
          go on from where they were.
        </p>
      )}
    </>
  );
}

const FACTORS: Record<string, string> = {
  HEAT: 'Heat into the oil',
  LOSSES: 'Heat lost by sump and block',
  MASS: 'Oil and metal that warm up',
  EFFICACY: 'Efficacy of the core',
  AIR: 'Air that arrives',
  COOLANT: 'Heat into the coolant',
};

/** What a log says about the car, and how sure it is; one click puts it into the car, another takes it out again. */
export function FitSheet(props: { log: Schemas['LogView']; onClose: () => void; design?: string | undefined }) {
  const { say } = usePreferences();
  const { log, onClose } = props;
  const { view, car, changeCar, designId } = useBench();
  const [driven, setDriven] = useState(
    () => props.design ?? view.designs.find((d) => d.design.cooler === undefined)?.id ?? designId,
  );
  const design = view.designs.find((d) => d.id === driven)?.design;
  const fit = useQuery({
    queryKey: ['fit', log.id, car, design],
    queryFn: () => call<Schemas['FitAnswer']>('POST', `/logs/${log.id}/fit`, { car, design }),
    staleTime: Infinity,
    retry: false,
  });
  const use = () => {
    if (fit.data) {
      changeCar({ ...car, sensor: car.sensor, fitted: fit.data.fitted });
      onClose();
    }
  };
  return (
    <Sheet title={`What “${log.log.name}” says`} onClose={onClose} widest="820px">
      <div style={{ maxWidth: 340 }}>
        <Pick
          label="Design that was driven"
          value={driven}
          options={view.designs.map((d) => ({ id: d.id, name: d.design.name }))}
          onChange={setDriven}
        />
      </div>
      {fit.error && <p role="alert">▲ {fit.error.message}</p>}
      {!fit.data && !fit.error && <Muted>Fitting…</Muted>}
      {fit.data && (
        <>
          <FigureTable aria-label="What was learned">
            <thead>
              <tr>
                <th scope="col">Factor on the car’s own figure</th>
                <th scope="col">Learned</th>
                <th scope="col">±</th>
                <th scope="col">Before ±</th>
              </tr>
            </thead>
            <tbody>
              {fit.data.estimates.map((e) => (
                <tr key={e.parameter}>
                  <th scope="row">{FACTORS[e.parameter]}</th>
                  <td>× {e.factor.toFixed(2)}</td>
                  <td>{e.standardError.toFixed(2)}</td>
                  <td>{e.prior.toFixed(2)}</td>
                </tr>
              ))}
            </tbody>
          </FigureTable>
          <Residuals
            timeSeconds={fit.data.timeSeconds}
            residualK={fit.data.residualK}
            rmsK={fit.data.rmsK}
            height={150}
          />
          <ul style={{ margin: 0, paddingLeft: 20 }}>
            {fit.data.notes.map((n) => (
              <li key={say(n)}>{say(n)}</li>
            ))}
          </ul>
          <Row>
            <Button onPress={use}>Use it in the car’s model</Button>
            <Button onPress={onClose}>Cancel</Button>
          </Row>
          <Muted>It can be taken out again at any time, under “Heat into the oil” or in Prove.</Muted>
        </>
      )}
    </Sheet>
  );
}
