import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { choices } from '../../api/descriptions';
import { Button, Muted, Pick, QuantityField, Row, Sheet as Leaf, TextEntry } from '../../kit/kit';
import { usePreferences } from '../../preferences/preferences';
import { word } from '../../words/words';
import { Caution } from './Caution';
import { type LeakState, leaksWith } from './leaks';
import { when } from '../../words/moments';
import type { BuildView, LeakKind, Sheet, SheetStep } from './useSheet';

const Card = styled.section`
  margin: 8px 0;
  padding: 12px 16px;
  border: 3px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  & p {
    margin: 0;
  }
  & ol {
    margin: 0;
    padding-left: 22px;
  }
`;

/** Torque that nobody has to scroll past: makers' figures for the joints of an oil line lie well inside. */
const MOST_NM = 200;

/** Stages in which somebody looks for leaks. */
const LOOKED = ['LEAK_CHECK', 'FIRST_DRIVE', 'SECOND_CHECK'];

/** What is open stands first, whatever step is next: the work waits for it. */
export function OpenLeaks(props: { view: BuildView; sheet: Sheet; mayWrite: boolean }) {
  return leaksWith(props.view, props.sheet.waiting)
    .filter((l) => l.open)
    .map((l) => <OpenLeak key={l.found.id} leak={l} {...props} />);
}

function OpenLeak({ leak, sheet, mayWrite }: { leak: LeakState; sheet: Sheet; mayWrite: boolean }) {
  const { say, show } = usePreferences();
  const [torque, setTorque] = useState<number>();
  const [mistaken, setMistaken] = useState(false);
  const next = leak.steps.find((s) => !s.done);
  const card = useRef<HTMLElement>(null);
  useEffect(() => {
    card.current?.scrollIntoView({ block: 'start' });
  }, []);
  const id = leak.found.id;
  return (
    <Card ref={card} aria-label={`Leak: ${leak.found.text ?? ''}`}>
      <p>
        <strong>▲ Leak: {leak.found.text}.</strong> {word('leakKind', leak.kind)}. The work waits until it is dry.
      </p>
      <ol>
        {leak.steps.map((s) =>
          s.done ? (
            <li key={s.step}>
              ✓ <Muted as="span">{say(s.what)}</Muted>
              {s.done.value !== undefined && <b> {show(s.done.value, 'torque')}</b>}
            </li>
          ) : (
            s === next && (
              <li key={s.step} aria-current="step">
                <p style={{ fontWeight: 600 }}>{say(s.what)}</p>
                <Caution>{say(s.caution)}</Caution>
                {s.step === 'TIGHTEN' && (
                  <QuantityField
                    label="Torque used at the leak"
                    quantity="torque"
                    value={torque}
                    step={1}
                    min={0}
                    max={MOST_NM}
                    onChange={setTorque}
                  />
                )}
              </li>
            )
          ),
        )}
      </ol>
      <Row>
        {next && (
          <Button
            isDisabled={!mayWrite}
            style={{ minHeight: 52, flex: 1 }}
            onPress={() =>
              sheet.write({
                kind: 'LEAK_STEP',
                on: id,
                text: next.step,
                ...(next.step === 'TIGHTEN' && torque !== undefined ? { value: torque } : {}),
              })
            }
          >
            {next.step === 'DRY' ? 'It is dry' : 'Done, next'}
          </Button>
        )}
        <Button isDisabled={!mayWrite} onPress={() => setMistaken(!mistaken)}>
          No leak after all…
        </Button>
      </Row>
      {mistaken && (
        <TextEntry
          label="What it was"
          value=""
          longest={2000}
          autoFocus
          onChange={(text) => sheet.write({ kind: 'NO_LEAK', on: id, text })}
        />
      )}
    </Card>
  );
}

/** One press from any look for leaks, and what was mended there. */
export function LeaksAt(props: { view: BuildView; step: SheetStep; sheet: Sheet; mayWrite: boolean }) {
  const { view, step, sheet, mayWrite } = props;
  const [asked, setAsked] = useState(false);
  if (!LOOKED.includes(step.stage)) {
    return null;
  }
  const here = leaksWith(view, sheet.waiting).filter((l) => l.found.on === step.id && !l.open);
  return (
    <>
      {here.map((l) => (
        <p key={l.found.id}>
          {l.mistaken
            ? `No leak at ${l.found.text ?? ''}: ${l.mistaken.text ?? ''}`
            : `Leaked at ${l.found.text ?? ''}; mended and dry, ${l.steps.at(-1)?.done?.who ?? ''}, ${when(l.steps.at(-1)?.done?.at ?? l.found.at)}`}
        </p>
      ))}
      {mayWrite && (
        <Row>
          <Button onPress={() => setAsked(true)} style={{ minHeight: 48 }}>
            A leak here…
          </Button>
        </Row>
      )}
      {asked && (
        <Where
          view={view}
          onClose={() => setAsked(false)}
          onFound={(text, leak) => {
            setAsked(false);
            sheet.write({ kind: 'LEAK', on: step.id, text, leak });
          }}
        />
      )}
    </>
  );
}

function Where(props: { view: BuildView; onClose: () => void; onFound: (text: string, kind: LeakKind) => void }) {
  const { view, onClose, onFound } = props;
  const [kind, setKind] = useState<LeakKind>('OTHER');
  const [text, setText] = useState('');
  const joints = view.build.steps.filter((s) => s.joint);
  return (
    <Leaf title="Where does it leak?" onClose={onClose} alert>
      <Caution>Ignition off first. Nobody under a running engine.</Caution>
      {joints.map((s) => (
        <Button
          key={s.id}
          style={{ minHeight: 52, textAlign: 'left' }}
          onPress={() => onFound(s.joint?.name ?? '', s.joint?.kind ?? 'OTHER')}
        >
          {s.joint?.name}
        </Button>
      ))}
      <TextEntry label="Somewhere else: where" value={text} longest={120} needed={false} onChange={setText} />
      <Pick
        label="What leaks there"
        value={kind}
        options={choices('EntryDocument', 'leak').map((id) => ({ id, name: word('leakKind', id) }))}
        onChange={setKind}
      />
      <Row>
        <Button isDisabled={text.trim() === ''} onPress={() => onFound(text.trim(), kind)}>
          Record this leak
        </Button>
        <Button onPress={onClose}>Cancel</Button>
      </Row>
    </Leaf>
  );
}
