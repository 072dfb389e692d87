import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { amendCar } from '../../api/amend';
import { api, read, basedOn, create, send, type Schemas } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { useGo } from '../../bench/useGo';
import { useMay } from '../../bench/me';
import { useBench } from '../../bench/workbench';
import { FileChoice } from '../../kit/FileChoice';
import { Actions, AskSure, Button, Heading, Muted, Row, Sheet } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { LogPicture } from '../../pictures/LogPicture';
import { SENSORS } from './channels';
import { ImportSheet } from './ImportSheet';
import { FitSheet } from './FitSheet';
import { Figure } from '../figure/Figure';

/** A log that came together with its car: to be looked at, or what is wrong with it. */
export interface BroughtLog {
  readonly upload?: Schemas['UploadView'];
  readonly problem?: string;
}

/** The car's logs: brought in, looked at, driven again, fitted. */
export function Logs() {
  const { view } = useBench();
  const keeps = useMay('BUILDER');
  const client = useQueryClient();
  const go = useGo();
  // One that came with the car is looked at first.
  const brought = useLocation().state as BroughtLog | null;
  const [upload, setUpload] = useState<Schemas['UploadView'] | undefined>(brought?.upload);
  const [sending, setSending] = useState(false);
  const [problem, setProblem] = useState(brought?.problem);
  const [shown, setShown] = useState<Schemas['LogView']>();
  const [fitted, setFitted] = useState<Schemas['LogView']>();
  const [removed, setRemoved] = useState<Schemas['LogView']>();
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
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setSending(false);
    }
  };
  const drive = async (log: Schemas['LogView']) => {
    try {
      const duty = await create((header) =>
        api.POST('/api/logs/{id}/duty', { params: { path: { id: log.id }, header } }),
      );
      await amendCar(client, view.id, (v) => ({ ...v, duties: [...v.duties, duty] }));
      go({ duty: duty.id });
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
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
          isDisabled={sending || !keeps}
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
            read(
              api.DELETE('/api/logs/{id}', {
                params: { path: { id: removed.id }, header: basedOn(removed.version) },
              }),
            ).then(() => amendCar(client, view.id, (v) => ({ ...v, logs: v.logs.filter((l) => l.id !== removed.id) })))
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
  const keeps = useMay('BUILDER');
  return (
    <tr>
      <th scope="row" style={{ whiteSpace: 'normal' }}>
        {log.name}
      </th>
      <td>
        <Figure of="READING">{(log.durationSeconds / 60).toFixed(0)}</Figure>
      </td>
      <td>
        <Figure of="READING">{log.rows.toLocaleString('en')}</Figure>
      </td>
      <td>
        <Figure of="READING">{show(log.ambientC, 'temperature')}</Figure>
      </td>
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
                disabled: !keeps || !log.channels.includes('SPEED'),
                run: props.onDrive,
              },
              { id: 'remove', name: 'Remove…', disabled: !keeps, run: props.onRemove },
            ]}
          />
        </Row>
      </td>
    </tr>
  );
}
