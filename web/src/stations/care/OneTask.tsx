import { useState } from 'react';
import { range } from '../../api/descriptions';
import { usePreferences } from '../../preferences/preferences';
import { AskName, Button, Muted, QuantityField } from '../../kit/kit';
import { every, Task, URGENCY, Write } from './entries';
import { OwnTask } from './OwnTask';
import { Figure } from '../figure/Figure';

export function OneTask(props: { task: Task; odometerKm: number | undefined; mayWrite: boolean; write: Write }) {
  const { task, odometerKm, mayWrite, write } = props;
  const { say, show } = usePreferences();
  const [asked, setAsked] = useState(false);
  const [own, setOwn] = useState(false);
  const [km, setKm] = useState<number>();
  const shown = km ?? odometerKm;
  return (
    <li aria-label={say(task.what)}>
      <strong>{URGENCY[task.urgency]}</strong>
      <div>
        <h3>{say(task.what)}</h3>
        <p>
          <Figure of="DUE">{task.reasons.map(say).join(', ')}</Figure>
        </p>
        <p>
          <Muted>{say(task.why)}</Muted>
        </p>
        {task.usual && (
          <p>
            <Muted>
              By {task.whose}: {every(task.interval, show)}. Usual: {every(task.usual, show)}.
            </Muted>
          </p>
        )}
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
      <div style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
        <Button style={{ minHeight: 52 }} isDisabled={!mayWrite} onPress={() => setAsked(true)}>
          Done…
        </Button>
        {mayWrite && <Button onPress={() => setOwn(true)}>Interval…</Button>}
      </div>
      {own && <OwnTask task={task} write={write} onClose={() => setOwn(false)} />}
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

export function Odometer({ value, onChange }: { value: number; onChange: (km: number) => void }) {
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
