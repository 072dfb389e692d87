import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { PHONE } from '../../kit/narrow';
import { queries } from '../../api/queries';
import { careKey, careWays } from '../../bench/senders';
import { useOutbox } from '../../bench/useOutbox';
import { useMay } from '../../bench/me';
import { signed, useWho } from '../../bench/who';
import { usePreferences } from '../../preferences/preferences';
import { useGo } from '../../bench/useGo';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted, Row, TextEntry } from '../../kit/kit';
import { Station } from '../Station';
import { OneTask } from './OneTask';
import { OwnTask } from './OwnTask';
import { Trends } from './Trends';
import { Written } from './Written';
import { History } from './History';
import { Entry, told, Write } from './entries';

const Tasks = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & li {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr) auto;
    @media ${PHONE} {
      grid-template-columns: minmax(0, 1fr);
    }
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
  const preferences = usePreferences();
  const { paper, show } = preferences;
  const { view: car } = useBench();
  const client = useQueryClient();
  const go = useGo();
  const { who, setWho, known } = useWho();
  const mayWrite = useMay('BUILDER') && who.trim() !== '';
  const [adding, setAdding] = useState(false);
  const care = useQuery(queries.care(car.id));
  const outbox = useOutbox<Entry>({ key: careKey(car.id), ...careWays(client, car.id) });
  const write: Write = (what) => outbox.add({ ...signed(who), ...what });
  if (care.error) {
    return <p role="alert">▲ The care book cannot be read: {care.error.message}</p>;
  }
  if (!care.data) {
    return null;
  }
  return (
    <Station
      first="work"
      choices={
        <>
          {!known && <TextEntry label="Your name" value={who} longest={60} onChange={setWho} />}
          {!mayWrite && (
            <Muted>
              {known
                ? 'A viewer reads this book. An owner can make you a builder.'
                : 'Say who works: every entry carries a name.'}
            </Muted>
          )}
          {mayWrite && <Written care={care.data} write={write} />}
          {outbox.refused.map((r) => (
            <p role="alert" key={r.entry.id}>
              ▲ Not taken: {told(r.entry, care.data, preferences)}. {r.why}{' '}
              <Button onPress={() => outbox.forget(r.entry.id)}>I have read it</Button>
            </p>
          ))}
          {outbox.offline && (
            <p role="status">
              No connection: {outbox.waiting.length === 1 ? 'an entry is' : `${outbox.waiting.length} entries are`} kept
              here and sent when it is back.
            </p>
          )}
          <a href={`/api/cars/${car.id}/care.ics${paper}`}>Calendar to subscribe to</a>
          <Muted>Intervals are usual ones and estimates: the makers' own come first.</Muted>
        </>
      }
      pictures={
        <>
          <Heading>What is due</Heading>
          {care.data.build === undefined ? (
            <>
              <Muted>
                Care begins with the first build: its date, its oil and its hoses decide what is due. Tasks of your own,
                the odometer and figures of the oil can be written before.
              </Muted>
              <Row>
                <Button onPress={() => go({ station: 'build' })}>Begin a build</Button>
              </Row>
            </>
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
          {mayWrite && (
            <Row>
              <Button onPress={() => setAdding(true)}>Add task…</Button>
            </Row>
          )}
          {adding && <OwnTask write={write} onClose={() => setAdding(false)} />}
          <Trends care={care.data} />
        </>
      }
      side={<History care={care.data} waiting={outbox.waiting} mayWrite={mayWrite} write={write} />}
    />
  );
}
