import { useState } from 'react';
import { api, read } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { Button, Fold, Pick, TextEntry } from '../../kit/kit';
import { Odometer } from './OneTask';
import { FigureFields } from './Figures';
import { HAPPENINGS, READINGS, View, Write } from './entries';

export function Written({ care, write }: { care: View; write: Write }) {
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
        <FigureFields key={reading} figures={care.figures.filter((f) => f.kind === reading)} write={write} />
        <TextEntry
          key={care.entries.length}
          label={reading === 'LAPS' ? 'Figures' : 'In words'}
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
