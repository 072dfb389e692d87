import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { api, create, read, watch, type Schemas, type JobView } from '../../api/client';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import {
  Button,
  DayEntry,
  Heading,
  isDay,
  Pick,
  Progress,
  QuantityField,
  Row,
  Sheet,
  TextEntry,
  today,
  Toggle,
} from '../../kit/kit';
import { Fields, FigureTable } from '../../kit/layout';
import { CHANNELS, SENSORS } from './channels';
import { ColumnRow } from './ColumnRow';
import { Spoiled } from './Spoiled';
import { Format } from './format';

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
export function ImportSheet({ upload, onClose }: { upload: Schemas['UploadView']; onClose: () => void }) {
  const { view, car, duty, design, designId } = useBench();
  const client = useQueryClient();
  const [preview, setPreview] = useState(upload.preview);
  const [name, setName] = useState(upload.name.replace(/\.(csv|txt|tsv|log|gpx)(\.gz)?$/i, '').slice(0, 120));
  const [sensor, setSensor] = useState(car.sensor);
  const [ambientC, setAmbient] = useState(duty.ambientC);
  const [altitudeM, setAltitude] = useState(duty.altitudeM);
  const [trailerKg, setTrailer] = useState(duty.climb?.trailerKg ?? 0);
  const [driven, setDriven] = useState(
    // What is in the car is most likely what was driven.
    view.designs.some((d) => d.id === car.designs?.built) ? (car.designs?.built ?? designId) : designId,
  );
  const [day, setDay] = useState(today);
  const [problem, setProblem] = useState<string>();
  const [job, setJob] = useState<JobView>();
  const [kept, setKept] = useState<{ log: Schemas['LogDocument']; report: Schemas['LogReport'] }>();
  const format = preview.format;
  const correct = async (next: Format) => {
    // What was chosen stays on the screen even where the server cannot read the file so.
    setPreview((p) => ({ ...p, format: next }));
    try {
      setPreview(await read(api.POST('/api/uploads/{id}/preview', { params, body: next })));
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };
  const params = { path: { id: upload.id } };
  const leave = () => {
    void read(api.DELETE('/api/uploads/{id}', { params })).catch(() => undefined);
    onClose();
  };
  const keep = async () => {
    setProblem(undefined);
    try {
      const body = {
        name,
        sensor,
        ambientC,
        altitudeM,
        trailerKg,
        design: driven,
        ...(day ? { day } : {}),
        ...(format ? { format } : {}),
      };
      const started = await create((header) =>
        api.POST('/api/uploads/{id}/keep', { params: { ...params, header }, body }),
      );
      const done = await watch<{ id: string; log: Schemas['LogDocument']; report: Schemas['LogReport'] }>(
        started,
        setJob,
      );
      client.setQueryData(
        queries.car(view.id).queryKey,
        (v) => v && { ...v, logs: [...v.logs, { id: done.id, version: 1, log: done.log }] },
      );
      await client.invalidateQueries(queries.car(view.id));
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
        <Pick
          label="Design driven"
          value={driven}
          options={view.designs.map((d) => ({ id: d.id, name: d.id === designId ? design.name : d.design.name }))}
          onChange={setDriven}
        />
        <DayEntry label="Day driven" value={day} onChange={setDay} />
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
        <Progress
          label="Rows read"
          done={job.done}
          total={0}
          onCancel={() => void read(api.DELETE('/api/jobs/{id}', { params: { path: { id: job.id } } }))}
        />
      ) : (
        <Row>
          <Button onPress={() => void keep()} isDisabled={name.trim() === '' || (day !== '' && !isDay(day))}>
            Keep this log
          </Button>
          <Button onPress={leave}>Cancel</Button>
        </Row>
      )}
    </Sheet>
  );
}
