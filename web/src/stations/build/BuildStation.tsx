import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { call, create, type Schemas } from '../../api/client';
import { useWho } from '../../app/who';
import { usePreferences } from '../../app/preferences';
import { useBench } from '../../app/workbench';
import { Actions, AskName, AskSure, Button, Heading, Muted, Pick, Row, Sheet as Leaf, TextEntry } from '../../kit/kit';
import { Station } from '../Station';
import { Gauges } from './Gauges';
import { isDone, StepCard, when } from './StepCard';
import { useLive } from './useLive';
import { useSheet, type BuildView, type Sheet } from './useSheet';

type Stage = Schemas['SheetStep']['stage'];
type GateState = Schemas['GateState'];
type Summary = Schemas['BuildSummary'];

const STAGES: Record<Stage, string> = {
  PREPARE: 'Prepare',
  STRIP: 'What comes off',
  MOUNT: 'Mount the core',
  TAKEOFF: 'Takeoff',
  BENCH: 'Lines on the bench',
  LINES: 'Lines on the car',
  FILL: 'Fill and prime',
  LEAK_CHECK: 'Leak check',
  REFIT: 'What goes back on',
  FIRST_DRIVE: 'First drive',
  SECOND_CHECK: 'Second check',
};

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

const Contents = styled.nav`
  display: flex;
  flex-direction: column;
  & a {
    display: flex;
    justify-content: space-between;
    min-height: 40px;
    align-items: center;
    color: inherit;
    text-decoration: none;
    border-bottom: 1px solid ${(p) => p.theme.faint};
    border-radius: 2px;
  }
  & a:hover {
    background: ${(p) => p.theme.press};
  }
  & a:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
  }
  & a[aria-current] {
    font-weight: 650;
  }
`;

/** The run sheet of a build as it is worked through, with its gates and the gauges. */
export function BuildStation() {
  const { view } = useBench();
  const [search, setSearch] = useSearchParams();
  const builds = useQuery({
    queryKey: ['builds', view.id],
    queryFn: () => call<Summary[]>('GET', `/cars/${view.id}/builds`),
  });
  const choose = (id: string | undefined) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (id) {
          next.set('build', id);
        } else {
          next.delete('build');
        }
        return next;
      },
      { replace: true },
    );
  if (builds.error) {
    return <p role="alert">▲ The builds cannot be read: {builds.error.message}</p>;
  }
  if (!builds.data) {
    return null;
  }
  const chosen = builds.data.find((b) => b.id === search.get('build')) ?? builds.data.at(-1);
  return chosen ? (
    <OneBuild key={chosen.id} summary={chosen} builds={builds.data} onChoose={choose} />
  ) : (
    <Station choices={<Begin onBegun={choose} />} pictures={<NothingYet />} side={null} />
  );
}

function NothingYet() {
  return (
    <Muted>
      The run sheet is made from the design that is chosen above: what comes off, mounting, takeoff, lines, filling,
      leak checks, and what goes back on. It stays as it was made, whatever becomes of the design.
    </Muted>
  );
}

function Begin({ onBegun }: { onBegun: (id: string) => void }) {
  const { view, car, duty, design } = useBench();
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const [said, setSaid] = useState<string>();
  const begin = async (name: string) => {
    try {
      const begun = await create<BuildView>(`/cars/${view.id}/builds`, { name, car, duty, design });
      client.setQueryData(['build', begun.id], begun);
      await client.cancelQueries({ queryKey: ['builds', view.id] });
      await client.invalidateQueries({ queryKey: ['builds', view.id] });
      onBegun(begun.id);
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  return (
    <>
      <Button style={{ minHeight: 56 }} onPress={() => setAsked(true)} isDisabled={!design.cooler}>
        Begin a build of “{design.name}”
      </Button>
      {!design.cooler && <Muted>This design has no cooler: there is nothing to build.</Muted>}
      {design.cooler && !design.plumbing && (
        <Muted>Its hoses are not planned yet: the sheet will ask for them to be measured at the car.</Muted>
      )}
      {said && <p role="alert">▲ {said}</p>}
      {asked && (
        <AskName
          title="Begin a build"
          label="Name of the build"
          value={design.name}
          action="Begin"
          onClose={() => setAsked(false)}
          onName={(name) => void begin(name)}
        />
      )}
    </>
  );
}

function OneBuild(props: { summary: Summary; builds: readonly Summary[]; onChoose: (id: string | undefined) => void }) {
  const { paper } = usePreferences();
  const { summary, builds, onChoose } = props;
  const client = useQueryClient();
  const [who, setWho] = useWho();
  const [removing, setRemoving] = useState(false);
  const [another, setAnother] = useState(false);
  const sheet = useSheet(summary.id, who);
  const live = useLive(summary.id, sheet.refresh);
  const { view } = sheet;
  const bench = useBench();
  if (sheet.error) {
    return <p role="alert">▲ This build cannot be read: {sheet.error.message}</p>;
  }
  if (!view) {
    return null;
  }
  const stages = [...new Set(view.build.steps.map((s) => s.stage))];
  const states = new Map(view.progress.steps.map((s) => [s.id, s]));
  const remove = async () => {
    await call('DELETE', `/builds/${view.id}`, undefined, { headers: { 'If-Match': `"${view.version}"` } });
    await client.invalidateQueries({ queryKey: ['builds', bench.view.id] });
    onChoose(undefined);
  };
  return (
    <Station
      choices={
        <>
          <Row style={{ flexWrap: 'nowrap', alignItems: 'end' }}>
            <div style={{ flex: 1, minWidth: 0 }}>
              <Pick label="Build" value={summary.id} options={builds} onChange={onChoose} />
            </div>
            <Actions
              label="More about this build"
              actions={[
                { id: 'new', name: 'Begin another…', run: () => setAnother(true) },
                { id: 'remove', name: 'Remove…', run: () => setRemoving(true) },
              ]}
            />
          </Row>
          <TextEntry label="Your name" value={who} longest={60} onChange={setWho} />
          <Muted role="status">
            {view.progress.done} of {view.build.steps.length} done.{' '}
            {sheet.offline
              ? `No connection: ${sheet.waiting.length} entries are kept here and sent when it is back`
              : sheet.waiting.length > 0
                ? 'Saving…'
                : 'Saved'}
          </Muted>
          <Contents aria-label="Stages">
            {stages.map((stage) => {
              const steps = view.build.steps.filter((s) => s.stage === stage);
              const done = steps.filter((s) => states.get(s.id)?.done).length;
              const here = steps.some((s) => s.id === view.progress.next);
              return (
                <a
                  key={stage}
                  href={`#${stage}`}
                  aria-current={here ? 'step' : undefined}
                  onClick={(e) => {
                    e.preventDefault();
                    document.getElementById(`stage-${stage}`)?.scrollIntoView({ behavior: 'smooth' });
                  }}
                >
                  <span>{STAGES[stage]}</span>
                  <span>
                    {done} / {steps.length}
                  </span>
                </a>
              );
            })}
          </Contents>
          <a href={`/api/builds/${view.id}/sheet.pdf${paper}`} download="run-sheet.pdf">
            Run sheet as PDF
          </a>
          <Muted>
            Made from “{view.build.design.name}”, {when(view.build.startedAt)}. The maker’s figure, local rules and
            qualified people come before any figure here.
          </Muted>
          {another && (
            <Leaf title="Another build" onClose={() => setAnother(false)}>
              <Begin
                onBegun={(id) => {
                  setAnother(false);
                  onChoose(id);
                }}
              />
            </Leaf>
          )}
          {removing && (
            <AskSure
              title="Remove this build"
              text={`“${view.build.name}” goes for good, with everything that was written on its sheet.`}
              action="Remove it"
              onClose={() => setRemoving(false)}
              onSure={() => void remove()}
            />
          )}
        </>
      }
      pictures={
        <Worked view={view} sheet={sheet} mayWrite={who.trim() !== ''} running={(live?.values.RPM ?? 0) > 50} />
      }
      side={<Gauges buildId={view.id} live={live} />}
    />
  );
}

function Worked(props: { view: BuildView; sheet: Sheet; mayWrite: boolean; running: boolean }) {
  const { view, sheet, mayWrite, running } = props;
  const { say } = usePreferences();
  const { build, progress } = view;
  const states = new Map(progress.steps.map((s) => [s.id, s]));
  const last = progress.alarms.at(-1);
  const next = build.steps.find((s) => !isDone(states.get(s.id), sheet.waiting));
  const stages = [...new Set(build.steps.map((s) => s.stage))];
  const firstBehind = new Map(
    progress.gates.map((g) => [g.gate, build.steps.find((s) => s.behind === g.gate)?.id] as const),
  );
  return (
    <>
      {last && (
        <Stop role="alert" style={running ? {} : { position: 'static', fontSize: 15 }}>
          ▲ {last.message ? say(last.message) : last.text}
          {!running && <span style={{ fontWeight: 400 }}> ({when(last.at)})</span>}
        </Stop>
      )}
      {sheet.refused && (
        <GateCard role="alert">
          <p>✕ {sheet.refused}</p>
          <Button onPress={sheet.forgetRefusal}>I have read it</Button>
        </GateCard>
      )}
      {!mayWrite && <p style={{ margin: 0 }}>▲ Say who works, on the left: every entry carries a name.</p>}
      {stages.map((stage) => (
        <section key={stage} id={`stage-${stage}`} aria-label={STAGES[stage]}>
          <Heading>{STAGES[stage]}</Heading>
          <Steps>
            {build.steps
              .filter((s) => s.stage === stage)
              .map((s) => {
                const state = states.get(s.id);
                const gate = progress.gates.find((g) => firstBehind.get(g.gate) === s.id);
                return (
                  state && (
                    <Fragment key={s.id}>
                      {gate && (!gate.open || gate.override) && (
                        <li>
                          <Gate gate={gate} view={view} sheet={sheet} mayWrite={mayWrite} />
                        </li>
                      )}
                      <StepCard
                        buildId={view.id}
                        step={s}
                        state={state}
                        sheet={sheet}
                        mayWrite={mayWrite}
                        turn={next?.id === s.id}
                      />
                    </Fragment>
                  )
                );
              })}
          </Steps>
          {(stage === 'STRIP' || stage === 'REFIT') && (
            <Loose view={view} sheet={sheet} mayWrite={mayWrite} back={stage === 'REFIT'} />
          )}
        </section>
      ))}
    </>
  );
}

function Gate(props: { gate: GateState; view: BuildView; sheet: Sheet; mayWrite: boolean }) {
  const { gate, view, sheet, mayWrite } = props;
  const [asked, setAsked] = useState(false);
  const name = (id: string) => view.build.steps.find((s) => s.id === id)?.what ?? id;
  return (
    <GateCard role="group" aria-label={gate.words}>
      {gate.override ? (
        <p style={{ margin: 0 }}>
          ▲ {gate.words}: passed all the same by {gate.override.who}, {when(gate.override.at)}: “{gate.override.text}”
        </p>
      ) : (
        <>
          <p>
            <strong>✕ {gate.words}.</strong> First:
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
          title={gate.words}
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

function Loose(props: { view: BuildView; sheet: Sheet; mayWrite: boolean; back: boolean }) {
  const { view, sheet, mayWrite, back } = props;
  const { off } = view.progress;
  const waiting = sheet.waiting.filter((w) => w.kind === 'OFF');
  const isBack = (id: string) => sheet.waiting.some((w) => w.kind === 'BACK_ON' && w.on === id);
  return (
    <div style={{ padding: '8px 0 12px 78px', display: 'flex', flexDirection: 'column', gap: 8 }}>
      {(back ? off : [...off].reverse()).map((l) => (
        <Row key={l.off.id}>
          {back && (
            <Button
              aria-label={`Back on: ${l.off.text}`}
              aria-pressed={l.back !== undefined || isBack(l.off.id)}
              isDisabled={!mayWrite || l.back !== undefined}
              style={{ width: 52, minHeight: 52 }}
              onPress={() => sheet.write({ kind: 'BACK_ON', on: l.off.id })}
            >
              {l.back || isBack(l.off.id) ? '✓' : ''}
            </Button>
          )}
          <span>{l.off.text}</span>
          {!back && (
            <Button
              aria-label={`Was not taken off: ${l.off.text}`}
              isDisabled={!mayWrite || l.back !== undefined}
              onPress={() => sheet.write({ kind: 'NOT_OFF', on: l.off.id })}
            >
              ✕
            </Button>
          )}
        </Row>
      ))}
      {!back && waiting.map((w) => <span key={w.id}>{w.text}</span>)}
      {back && off.length === 0 && <Muted>Nothing is on the list of what came off.</Muted>}
      {!back && mayWrite && (
        <TextEntry
          key={off.length + waiting.length}
          label="Came off: what, and how many clips and bolts"
          value=""
          longest={200}
          needed={false}
          onChange={(text) => {
            if (text.trim() !== '') {
              sheet.write({ kind: 'OFF', text: text.trim() });
            }
          }}
        />
      )}
    </div>
  );
}
