import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { api, read, type Schemas } from '../../api/client';
import { range } from '../../api/descriptions';
import { queries } from '../../api/queries';
import { useOutbox } from '../../bench/useOutbox';
import { signed, useWho } from '../../bench/who';
import { type Preferences, usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { AskName, Button, Fold, Heading, Muted, Pick, QuantityField, Row, TextEntry } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { Station } from '../Station';

type View = Schemas['CareView'];
type Task = Schemas['CareTask'];
type Entry = Schemas['CareEntryDocument'];
type Kind = Entry['kind'];

const URGENCY: Record<Task['urgency'], string> = { DUE: '▲ Due', SOON: '● Soon', LATER: 'Later', DONE: '✓ Done' };

const HAPPENINGS = [
  { id: 'FIRST_DRIVE', name: 'First drive after the build' },
  { id: 'FILTER_CHANGE', name: 'Oil and filter changed' },
  { id: 'SERVICE', name: 'Service' },
  { id: 'HARD_DAY', name: 'A day on a track, or a long climb' },
] as const;

const READINGS = [
  { id: 'OIL_ANALYSIS', name: 'Oil analysis' },
  { id: 'DASH', name: 'Dash reading' },
  { id: 'LAPS', name: 'Laps without a logger' },
] as const;

const KINDS: Record<Kind, string> = {
  DONE: 'Done',
  HAPPENED: 'Happened',
  DRIVEN: 'Driven',
  OIL_ANALYSIS: 'Oil analysis',
  DASH: 'Dash reading',
  LAPS: 'Laps',
  STRUCK: 'Does not count',
};

const Tasks = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & li {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr) auto;
    gap: 4px 14px;
    align-items: start;
    padding: 12px 0;
    border-bottom: 1px solid ${(p) => p.theme.faint};
  }
  & h3 {
    margin: 0;
    font-size: 16px;
    font-weight: 600;
  }
  & p {
    margin: 2px 0 0;
  }
`;

/** What is due after a build, by date, distance, hours or events, and everything that was written. */
export function CareStation() {
  const { paper, show } = usePreferences();
  const { view: car } = useBench();
  const client = useQueryClient();
  const [who, setWho] = useWho();
  const care = useQuery(queries.care(car.id));
  const outbox = useOutbox<Entry>({
    key: `isotherm.care:${car.id}`,
    send: async (entry) => {
      const written = await read(
        api.POST('/api/cars/{carId}/care/entries', { params: { path: { carId: car.id } }, body: entry }),
      );
      client.setQueryData(queries.care(car.id).queryKey, written);
    },
    onRefused: () => void client.invalidateQueries(queries.care(car.id)),
  });
  const write: Write = (what) => outbox.add({ ...signed(who), ...what });
  if (care.error) {
    return <p role="alert">▲ The care book cannot be read: {care.error.message}</p>;
  }
  if (!care.data) {
    return null;
  }
  const mayWrite = who.trim() !== '';
  return (
    <Station
      choices={
        <>
          <TextEntry label="Your name" value={who} longest={60} onChange={setWho} />
          {!mayWrite && <p style={{ margin: 0 }}>▲ Say who works: every entry carries a name.</p>}
          {mayWrite && <Written care={care.data} write={write} />}
          {outbox.refused && <p role="alert">▲ {outbox.refused}</p>}
          {outbox.offline && (
            <p role="status">
              No connection: {outbox.waiting.length === 1 ? 'an entry is' : `${outbox.waiting.length} entries are`} kept
              here and sent when it is back.
            </p>
          )}
          <a href={`/api/cars/${car.id}/care.ics${paper}`}>Calendar to subscribe to</a>
          <Muted>Intervals are usual ones and estimates: the makers’ own come first.</Muted>
        </>
      }
      pictures={
        <>
          <Heading>What is due</Heading>
          {care.data.build === undefined ? (
            <Muted>Care begins with the first build: its date, its oil and its hoses decide what is due.</Muted>
          ) : (
            <Muted>
              Since “{care.data.build}”, {care.data.built}
              {care.data.odometerKm !== undefined && `, at ${show(care.data.odometerKm, 'travel')} now`}.
            </Muted>
          )}
          <Tasks aria-label="Tasks">
            {care.data.tasks.map((t) => (
              <OneTask key={t.id} task={t} odometerKm={care.data.odometerKm} mayWrite={mayWrite} write={write} />
            ))}
          </Tasks>
        </>
      }
      side={<History care={care.data} waiting={outbox.waiting} mayWrite={mayWrite} write={write} />}
    />
  );
}

type Write = (what: Omit<Entry, 'id' | 'at' | 'who'>) => void;

function OneTask(props: { task: Task; odometerKm: number | undefined; mayWrite: boolean; write: Write }) {
  const { task, odometerKm, mayWrite, write } = props;
  const { say, show } = usePreferences();
  const [asked, setAsked] = useState(false);
  const [km, setKm] = useState<number>();
  const shown = km ?? odometerKm;
  return (
    <li aria-label={say(task.what)}>
      <strong>{URGENCY[task.urgency]}</strong>
      <div>
        <h3>{say(task.what)}</h3>
        <p>{task.reasons.map(say).join(', ')}</p>
        <p>
          <Muted>{say(task.why)}</Muted>
        </p>
        {task.urgency !== 'DONE' && <p>▲ {say(task.caution)}</p>}
        {task.last && (
          <p>
            <Muted>
              Last by {task.last.who}, {task.last.at.slice(0, 10)}
              {task.last.odometerKm !== undefined && `, at ${show(task.last.odometerKm, 'travel')}`}
              {task.last.text && `: ${task.last.text}`}
            </Muted>
          </p>
        )}
      </div>
      <Button style={{ minHeight: 52 }} isDisabled={!mayWrite} onPress={() => setAsked(true)}>
        Done…
      </Button>
      {asked && (
        <AskName
          title={say(task.what)}
          text={`▲ ${say(task.caution)}`}
          label="What was found, figure used"
          value="in order"
          longest={2000}
          action="Write it down"
          onClose={() => {
            setAsked(false);
            // The next time begins from what the book says then.
            setKm(undefined);
          }}
          onName={(text) =>
            write({ kind: 'DONE', on: task.id, text, ...(shown === undefined ? {} : { odometerKm: shown }) })
          }
        >
          <Odometer value={shown ?? 0} onChange={setKm} />
        </AskName>
      )}
    </li>
  );
}

function Odometer({ value, onChange }: { value: number; onChange: (km: number) => void }) {
  const { min, max } = range('CareEntryDocument', 'odometerKm');
  return (
    <QuantityField
      label="Odometer"
      quantity="travel"
      value={value}
      min={min}
      max={max}
      step={100}
      onChange={onChange}
    />
  );
}

function Written({ care, write }: { care: View; write: Write }) {
  const { view } = useBench();
  const [km, setKm] = useState(care.odometerKm ?? 0);
  const [what, setWhat] = useState<(typeof HAPPENINGS)[number]['id']>('HARD_DAY');
  const [reading, setReading] = useState<(typeof READINGS)[number]['id']>('OIL_ANALYSIS');
  const [log, setLog] = useState(view.logs[0]?.id ?? '');
  const takeLog = async () => {
    const { hours } = await read(api.GET('/api/logs/{id}/oil-hours', { params: { path: { id: log } } }));
    write({ kind: 'DRIVEN', oilHours: hours, text: view.logs.find((l) => l.id === log)?.log.name ?? '' });
  };
  return (
    <>
      <Odometer value={km} onChange={setKm} />
      <Button onPress={() => write({ kind: 'DRIVEN', odometerKm: km })}>Save odometer reading</Button>
      <Pick label="Something happened" value={what} options={HAPPENINGS} onChange={setWhat} />
      <Button onPress={() => write({ kind: 'HAPPENED', on: what })}>Record for today</Button>
      {view.logs.length > 0 && (
        <Fold name="Add oil hours from a log">
          <Pick
            label="Log"
            value={log}
            options={view.logs.map((l) => ({ id: l.id, name: l.log.name }))}
            onChange={setLog}
          />
          <Button onPress={() => void takeLog()}>Add its hours</Button>
        </Fold>
      )}
      <Fold name="A reading by hand">
        <Pick label="What was read" value={reading} options={READINGS} onChange={setReading} />
        <TextEntry
          key={care.entries.length}
          label="Figures"
          value=""
          longest={2000}
          needed={false}
          onChange={(text) => {
            if (text.trim() !== '') {
              write({ kind: reading, text: text.trim() });
            }
          }}
        />
      </Fold>
    </>
  );
}

function words(e: Entry, show: Preferences['show']): string {
  return [
    e.kind === 'HAPPENED' ? HAPPENINGS.find((h) => h.id === e.on)?.name : undefined,
    e.odometerKm === undefined ? undefined : show(e.odometerKm, 'travel'),
    e.oilHours === undefined ? undefined : `${e.oilHours.toFixed(1)} h at ${show(100, 'temperature')}`,
    e.text,
  ]
    .filter((w) => w !== undefined && w !== '')
    .join(', ');
}

function told(e: Entry, care: View, { say, show }: Preferences): string {
  const task = care.tasks.find((t) => t.id === e.on);
  const what = e.kind === 'DONE' ? `: ${task ? say(task.what) : (e.on ?? '')}` : '';
  const rest = words(e, show);
  return `${KINDS[e.kind]}${what}${rest && `, ${rest}`}`;
}

function History(props: { care: View; waiting: readonly Entry[]; mayWrite: boolean; write: Write }) {
  const { care, waiting, mayWrite, write } = props;
  const preferences = usePreferences();
  const [asked, setAsked] = useState<Entry>();
  return (
    <>
      <Heading>The care book</Heading>
      {care.entries.length + waiting.length === 0 && <Muted>Nothing was written yet.</Muted>}
      <FigureTable aria-label="The care book">
        <tbody>
          {[...waiting].reverse().map((entry) => (
            <tr key={entry.id}>
              <th scope="row">
                {entry.at.slice(0, 10)}, {entry.who}: {told(entry, care, preferences)}
              </th>
              <td>
                <Muted>waits</Muted>
              </td>
            </tr>
          ))}
          {[...care.entries].reverse().map(({ entry, counts }) => (
            <tr key={entry.id}>
              <th scope="row" style={{ textDecoration: counts || entry.kind === 'STRUCK' ? 'none' : 'line-through' }}>
                {entry.at.slice(0, 10)}, {entry.who}: {told(entry, care, preferences)}
              </th>
              <td>
                {counts && mayWrite && (
                  <Button
                    aria-label={`Does not count: ${KINDS[entry.kind]}, ${entry.at.slice(0, 10)}, ${words(entry, preferences.show)}`}
                    onPress={() => setAsked(entry)}
                  >
                    ✕
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Row>
        <Muted>Nothing is deleted: a correction is an entry of its own.</Muted>
      </Row>
      {asked && (
        <AskName
          title="This entry does not count"
          label="Why not"
          value=""
          longest={2000}
          action="Strike it"
          onClose={() => setAsked(undefined)}
          onName={(text) => write({ kind: 'STRUCK', on: asked.id, text })}
        />
      )}
    </>
  );
}
