import { useEffect, useState } from 'react';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Row, TextEntry } from '../../kit/kit';
import type { Entry, Sheet, SheetStep, StepState } from './useSheet';
import { BuildPicture } from './BuildPicture';
import { when } from '../../words/moments';
import { useAwake } from './useAwake';
import { useNarrow } from '../../kit/narrow';

export function Timer(props: { seconds: number; started: string | undefined; onStart: () => void; mayStart: boolean }) {
  const { seconds, started, onStart, mayStart } = props;
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (started === undefined) {
      return;
    }
    const tick = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(tick);
  }, [started]);
  const left = started === undefined ? seconds : seconds - Math.max(0, now - Date.parse(started)) / 1000;
  useAwake(started !== undefined && left > 0);
  const s = Math.ceil(Math.max(0, left));
  const clock = `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
  return (
    <Row>
      <span role="timer" style={{ fontSize: 26, fontWeight: 650, fontVariantNumeric: 'tabular-nums', minWidth: 90 }}>
        {clock}
      </span>
      <Button onPress={onStart} isDisabled={!mayStart} style={{ minHeight: 52 }}>
        {started === undefined ? 'Start the timer' : 'Start it again'}
      </Button>
      <strong aria-live="assertive">{started !== undefined && left <= 0 ? 'Time is up' : ''}</strong>
    </Row>
  );
}

export function Notes(props: {
  buildId: string;
  step: SheetStep;
  state: StepState;
  sheet: Sheet;
  mayWrite: boolean;
  waiting: readonly Entry[];
}) {
  const { buildId, step, state, sheet, mayWrite, waiting } = props;
  const [writing, setWriting] = useState(false);
  const narrow = useNarrow();
  const notes = [...state.notes, ...waiting.filter((w) => w.kind === 'NOTE' || w.kind === 'PICTURE')];
  return (
    <>
      {notes.map((n) =>
        n.kind === 'PICTURE' ? (
          <BuildPicture
            key={n.id}
            buildId={buildId}
            id={n.text ?? ''}
            waits={waiting.includes(n)}
            alt={`Taken by ${n.who}, ${when(n.at)}, at: ${step.what}`}
          />
        ) : (
          <p key={n.id}>
            <Muted>
              {n.who}, {when(n.at)}:
            </Muted>{' '}
            {n.text}
          </p>
        ),
      )}
      {waiting.some((w) => w.kind === 'PICTURE') && <Muted>A picture waits to be sent.</Muted>}
      {mayWrite && writing && (
        <TextEntry
          label="Note"
          value=""
          longest={2000}
          autoFocus
          needed={false}
          onChange={(text) => {
            setWriting(false);
            if (text.trim() !== '') {
              sheet.write({ kind: 'NOTE', on: step.id, text: text.trim() });
            }
          }}
        />
      )}
      {mayWrite && (
        <Row>
          {!writing && <Button onPress={() => setWriting(true)}>Write a note</Button>}
          <FileChoice
            label={`Picture for: ${step.what}`}
            action={narrow ? 'Take a picture' : 'Add a picture'}
            accept="image/jpeg,image/png,image/webp"
            camera={narrow}
            onFile={(picked) =>
              void sheet.addPicture(picked).then((text) => sheet.write({ kind: 'PICTURE', on: step.id, text }))
            }
          />
        </Row>
      )}
    </>
  );
}
