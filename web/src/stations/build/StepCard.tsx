import { gently } from '../../kit/motion';
import { createContext, memo, use, useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { when } from '../../words/moments';
import { usePreferences } from '../../preferences/preferences';
import { Button, Muted } from '../../kit/kit';
import { PHONE, useNarrow } from '../../kit/narrow';
import { SOURCE } from './measures';
import { ReadingField } from './ReadingField';
import type { Message } from '../../words/words';
import { Caution } from './Caution';
import { LeaksAt } from './Leaks';
import type { BuildView, Entry, Sheet, SheetStep, StepState } from './useSheet';
import { Notes, Timer } from './StepNotes';
import { useFigure } from './useFigure';

const Card = styled.li`
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  gap: 0 14px;
  padding: 10px 0;
  border-bottom: 1px solid ${(p) => p.theme.faint};
  & h3 {
    font-size: 16px;
    font-weight: 600;
    margin: 0;
    line-height: 1.35;
  }
  & .more {
    display: flex;
    flex-direction: column;
    gap: 10px;
    margin-top: 8px;
  }
  & p {
    margin: 0;
  }
  & .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 22px;
    margin: 0;
  }
  & .figures dt {
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & .figures dd {
    margin: 0;
    font-size: 19px;
    font-weight: 600;
    font-variant-numeric: tabular-nums;
  }
  & .figures small {
    display: block;
    font-size: 12px;
    font-weight: 400;
    color: ${(p) => p.theme.soft};
    max-width: 230px;
  }
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr);
    & h3 {
      font-size: 18px;
    }
    & > button {
      order: 2;
      width: 100%;
      font-size: 18px;
      margin-top: 10px;
    }
  }
  & img {
    max-width: 220px;
    max-height: 160px;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 4px;
  }
`;

const Tick = styled(Button)`
  width: 60px;
  min-height: 60px;
  align-self: start;
  font-size: 26px;
  padding: 0;
  &[aria-pressed='true'] {
    background: ${(p) => p.theme.ink};
    color: ${(p) => p.theme.paper};
  }
`;

const Title = styled.button`
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 4px 0;
  min-height: 44px;
  text-align: left;
  cursor: pointer;
  width: 100%;
  border-radius: 3px;
  &:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
`;

/** What an open step shows more of: the sheet that is worked on. */
export const SheetAtHand = createContext<{ view: BuildView; sheet: Sheet } | undefined>(undefined);

/**
 * One step: a line when it is not its turn, everything of it when it is or when it is asked for. It is given what it shows, not
 * the sheet, so that of some fifty steps a tick draws only those that it changes.
 */
export const StepCard = memo(function StepCard(props: {
  step: SheetStep;
  state: StepState;
  refusal: Message | undefined;
  /** What is written here about it and has not arrived yet; the same list as long as that is nothing. */
  mine: readonly Entry[];
  done: boolean;
  write: Sheet['write'];
  mayWrite: boolean;
  turn: boolean;
}) {
  const { step, state, refusal, done, write, mayWrite, turn } = props;
  const narrow = useNarrow();
  const [asked, setAsked] = useState<boolean>();
  const open = asked ?? turn;
  const card = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (turn) {
      card.current?.scrollIntoView({ block: 'nearest', behavior: gently() });
    }
  }, [turn]);
  return (
    <Card ref={card} aria-current={turn ? 'step' : undefined} aria-label={step.what}>
      <Tick
        aria-label={done ? `Not done: ${step.what}` : `Done: ${step.what}`}
        aria-pressed={done}
        isDisabled={!mayWrite || (!done && refusal !== undefined)}
        onPress={() => {
          setAsked(undefined);
          write({ kind: done ? 'NOT_DONE' : 'DONE', on: step.id });
        }}
      >
        {done ? '✓' : ''}
        {narrow && (done ? ' Done' : 'Done')}
      </Tick>
      <div>
        <Title aria-expanded={open} onClick={() => setAsked(!open)}>
          <h3>
            {!open && step.caution && <span aria-label="With a caution">▲ </span>}
            {step.what}
          </h3>
          {state.done && (
            <Muted>
              {state.done.who}, {when(state.done.at)}
            </Muted>
          )}
        </Title>
        {open && <Opened {...props} />}
      </div>
    </Card>
  );
});

function useSheetAtHand() {
  const atHand = use(SheetAtHand);
  if (!atHand) {
    throw new Error('A step needs a sheet at hand above it');
  }
  return atHand;
}

function Opened(props: {
  step: SheetStep;
  state: StepState;
  refusal: Message | undefined;
  mine: readonly Entry[];
  done: boolean;
  mayWrite: boolean;
}) {
  const { step, state, refusal, mine, done, mayWrite } = props;
  const { say } = usePreferences();
  const figure = useFigure();
  const { view, sheet } = useSheetAtHand();
  const reading = mine.filter((w) => w.kind === 'READING').at(-1) ?? state.reading;
  return (
    <div className="more">
      <Muted>{step.why}.</Muted>
      {step.caution && <Caution>{step.caution}</Caution>}
      {step.figures.length > 0 && (
        <dl className="figures">
          {step.figures.map((f, i) => (
            <div key={i}>
              <dt>{f.name}</dt>
              <dd>
                {figure(f)}
                <small>
                  {SOURCE[f.source]}: {f.from}
                </small>
              </dd>
            </div>
          ))}
        </dl>
      )}
      {step.reading && (
        <div>
          <ReadingField
            reading={step.reading}
            value={reading?.value}
            onRead={(value) => sheet.write({ kind: 'READING', on: step.id, value })}
          />
          {reading?.kind === 'LIVE_READING' && <Muted>filled in by the logger, {when(reading.at)}</Muted>}
        </div>
      )}
      {step.timerSeconds !== undefined && (
        <Timer
          seconds={step.timerSeconds}
          started={mine.filter((w) => w.kind === 'TIMER').at(-1)?.at ?? state.timer?.at}
          onStart={() => sheet.write({ kind: 'TIMER', on: step.id })}
          mayStart={mayWrite}
        />
      )}
      {!done && refusal && <p>✕ {say(refusal)}</p>}
      <LeaksAt view={view} step={step} sheet={sheet} mayWrite={mayWrite} />
      <Notes buildId={view.id} step={step} state={state} sheet={sheet} mayWrite={mayWrite} waiting={mine} />
    </div>
  );
}
