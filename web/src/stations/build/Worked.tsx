import { Fragment, useState } from 'react';
import styled from 'styled-components';
import { useWho } from '../../bench/who';
import { usePreferences } from '../../preferences/preferences';
import { AskName, Button, Fold, Heading, Muted } from '../../kit/kit';
import { useNarrow } from '../../kit/narrow';
import { OpenLeaks } from './Leaks';
import { leaksWith } from './leaks';
import { Loose } from './Loose';
import { progressWith } from './progressWith';
import { when } from '../../words/moments';
import { SheetAtHand, StepCard } from './StepCard';
import { type BuildView, type Entry, type GateState, type Sheet, type SheetStep } from './useSheet';
import { word } from '../../words/words';

const Steps = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
`;

const Stop = styled.div`
  position: sticky;
  /* Up to the column's own edge: nothing shows above it. */
  top: -14px;
  z-index: 5;
  padding: 14px 16px;
  background: ${(p) => p.theme.ink};
  color: ${(p) => p.theme.paper};
  border-radius: 4px;
  font-size: 18px;
  font-weight: 650;
`;

const GateCard = styled.div`
  margin: 8px 0;
  padding: 12px 16px;
  border: 2px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  background: ${(p) => p.theme.press};
  & p {
    margin: 0 0 8px;
  }
  & ul {
    margin: 0 0 10px;
    padding-left: 20px;
  }
`;

/** One list for all steps about which nothing is on its way. */
const NOTHING: readonly Entry[] = [];

export function Worked(props: { view: BuildView; sheet: Sheet; mayWrite: boolean; turning: boolean }) {
  const { view, sheet, mayWrite, turning } = props;
  const { say } = usePreferences();
  const narrow = useNarrow();
  const { known } = useWho();
  const { build, progress } = view;
  const states = new Map(progress.steps.map((s) => [s.id, s]));
  const here = progressWith(view, sheet.waiting);
  const last = progress.alarms.at(-1);
  // An open leak comes before everything else.
  const leaks = leaksWith(view, sheet.waiting).some((l) => l.open);
  const next = build.steps.find((s) => !here.isDone(s.id));
  const stages = [...new Set(build.steps.map((s) => s.stage))];
  const firstBehind = new Map(
    here.gates.map((g) => [g.gate, build.steps.find((s) => s.behind === g.gate)?.id] as const),
  );
  /** A step, with the gate that is before it. On a phone the next one stands alone, and in the list it is a line. */
  const stepOf = (s: SheetStep, where: 'next' | 'all') => {
    const state = states.get(s.id);
    const mine = sheet.waiting.filter((w) => w.on === s.id);
    const gate = here.gates.find((g) => firstBehind.get(g.gate) === s.id);
    return (
      state && (
        <Fragment key={s.id}>
          {gate && (!gate.open || gate.override) && (
            <li>
              <Gate gate={gate} view={view} sheet={sheet} mayWrite={mayWrite} />
            </li>
          )}
          <StepCard
            step={s}
            state={state}
            refusal={here.refusal(s)}
            mine={mine.length > 0 ? mine : NOTHING}
            done={here.isDone(s.id)}
            write={sheet.write}
            mayWrite={mayWrite}
            turn={!leaks && next?.id === s.id && (where === 'next' || !narrow)}
          />
        </Fragment>
      )
    );
  };
  const all = (
    <>
      {stages.map((stage) => (
        <section key={stage} id={`stage-${stage}`} aria-label={word('stage', stage)}>
          <Heading>{word('stage', stage)}</Heading>
          <Steps>{build.steps.filter((s) => s.stage === stage).map((s) => stepOf(s, 'all'))}</Steps>
          {(stage === 'STRIP' || stage === 'REFIT') && (
            <Loose view={view} sheet={sheet} mayWrite={mayWrite} back={stage === 'REFIT'} />
          )}
        </section>
      ))}
    </>
  );
  return (
    <SheetAtHand value={{ view, sheet }}>
      {last && (
        <Stop role="alert" style={turning ? {} : { position: 'static', fontSize: 15 }}>
          ▲ {last.message ? say(last.message) : last.text}
          {!turning && <span style={{ fontWeight: 400 }}> ({when(last.at)})</span>}
        </Stop>
      )}
      {sheet.refused.map((r) => (
        <GateCard role="alert" key={r.entry.id}>
          <p>
            ✕ Not taken: {noted(r.entry, build.steps)} ({r.entry.who}, {when(r.entry.at)}). {r.why}
          </p>
          <Button onPress={() => sheet.forget(r.entry.id)}>I have read it</Button>
        </GateCard>
      ))}
      <OpenLeaks view={view} sheet={sheet} mayWrite={mayWrite} />
      {!mayWrite && (
        <Muted>
          {known
            ? 'A viewer reads this sheet. An owner can make you a builder.'
            : 'Say who works: every entry carries a name.'}
        </Muted>
      )}
      {narrow && next && (
        <section aria-label="Next step">
          <Heading>
            {word('stage', next.stage)}: {here.done + 1} of {build.steps.length}
          </Heading>
          <Steps>{stepOf(next, 'next')}</Steps>
          {(next.stage === 'STRIP' || next.stage === 'REFIT') && (
            <Loose view={view} sheet={sheet} mayWrite={mayWrite} back={next.stage === 'REFIT'} />
          )}
        </section>
      )}
      {narrow ? (
        <Fold name="All steps" short={`${here.done} of ${build.steps.length} done`} open={!next}>
          {all}
        </Fold>
      ) : (
        all
      )}
    </SheetAtHand>
  );
}

function Gate(props: { gate: GateState; view: BuildView; sheet: Sheet; mayWrite: boolean }) {
  const { gate, view, sheet, mayWrite } = props;
  const [asked, setAsked] = useState(false);
  const { say } = usePreferences();
  const shut = say(gate.words);
  const name = (id: string) => view.build.steps.find((s) => s.id === id)?.what ?? id;
  return (
    <GateCard role="group" aria-label={shut}>
      {gate.override ? (
        <p style={{ margin: 0 }}>
          ▲ {shut}: passed all the same by {gate.override.who}, {when(gate.override.at)}: “{gate.override.text}”
        </p>
      ) : (
        <>
          <p>
            <strong>✕ {shut}.</strong> First:
          </p>
          <ul>
            {gate.missing.map((id) => (
              <li key={id}>{name(id)}</li>
            ))}
          </ul>
          <Button isDisabled={!mayWrite} onPress={() => setAsked(true)}>
            Pass it all the same…
          </Button>
        </>
      )}
      {asked && (
        <AskName
          title={shut}
          text="▲ This gate keeps an engine from running without oil, or a leak from hiding behind a bumper. Your reason stays on the sheet with your name."
          label="Reason"
          value=""
          longest={2000}
          action="Pass it"
          onClose={() => setAsked(false)}
          onName={(text) => sheet.write({ kind: 'OVERRIDE', on: gate.gate, text })}
        />
      )}
    </GateCard>
  );
}

/** What somebody wrote, in words that are known again. */
function noted(entry: Entry, steps: readonly SheetStep[]): string {
  const step = steps.find((s) => s.id === entry.on)?.what;
  const what = {
    DONE: 'done',
    NOT_DONE: 'not done',
    READING: `reading ${entry.value ?? ''}`,
    LIVE_READING: `reading ${entry.value ?? ''}`,
    NOTE: `note “${entry.text ?? ''}”`,
    PICTURE: 'picture',
    TIMER: 'timer',
    OVERRIDE: `gate passed: “${entry.text ?? ''}”`,
    OFF: `came off: ${entry.text ?? ''}`,
    BACK_ON: 'back on',
    NOT_OFF: 'was not taken off',
    ALARM: 'alarm',
    LEAK: `leak: ${entry.text ?? ''}`,
    LEAK_STEP: `leak, ${(entry.text ?? '').toLowerCase().replaceAll('_', ' ')}`,
    NO_LEAK: `no leak: “${entry.text ?? ''}”`,
  }[entry.kind];
  return step ? `${what}, “${step}”` : what;
}
