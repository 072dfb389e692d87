import { gently } from '../../kit/motion';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { api, read, basedOn, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useMay } from '../../bench/me';
import { useWho } from '../../bench/who';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Actions, AskSure, Muted, Pick, Row, Sheet as Leaf, TextEntry } from '../../kit/kit';
import { useNarrow } from '../../kit/narrow';
import { Station } from '../Station';
import { Gauges } from './Gauges';
import { when } from '../../words/moments';
import { useLive, useTurning } from './useLive';
import { progressWith } from './progressWith';
import { useSheet } from './useSheet';
import { word } from '../../words/words';
import { Worked } from './Worked';
import { Begin } from './Begin';

type Summary = Schemas['BuildSummary'];

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
  const builds = useQuery(queries.builds(view.id));
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

function OneBuild(props: { summary: Summary; builds: readonly Summary[]; onChoose: (id: string | undefined) => void }) {
  const { paper } = usePreferences();
  const { summary, builds, onChoose } = props;
  const client = useQueryClient();
  const { who, setWho, known } = useWho();
  const keeps = useMay('BUILDER');
  const mayWrite = keeps && who.trim() !== '';
  const [removing, setRemoving] = useState(false);
  const [another, setAnother] = useState(false);
  const sheet = useSheet(summary.id, who);
  useLive(summary.id, sheet.refresh);
  const turning = useTurning(summary.id);
  const { view } = sheet;
  const bench = useBench();
  // On a phone the choices are far below: who works is asked where it is missed.
  const askName = useNarrow() && !known && who.trim() === '';
  if (sheet.error) {
    return <p role="alert">▲ This build cannot be read: {sheet.error.message}</p>;
  }
  if (!view) {
    return null;
  }
  const stages = [...new Set(view.build.steps.map((s) => s.stage))];
  const here = progressWith(view, sheet.waiting);
  const next = view.build.steps.find((s) => !here.isDone(s.id));
  const remove = async () => {
    await read(api.DELETE('/api/builds/{id}', { params: { path: { id: view.id }, header: basedOn(view.version) } }));
    await client.invalidateQueries(queries.builds(bench.view.id));
    onChoose(undefined);
  };
  return (
    <Station
      first="work"
      choices={
        <>
          <Row style={{ flexWrap: 'nowrap', alignItems: 'end' }}>
            <div style={{ flex: 1, minWidth: 0 }}>
              <Pick label="Build" value={summary.id} options={builds} onChange={onChoose} />
            </div>
            <Actions
              label="More about this build"
              actions={[
                { id: 'new', name: 'Begin another…', disabled: !keeps, run: () => setAnother(true) },
                { id: 'remove', name: 'Remove…', disabled: !keeps, run: () => setRemoving(true) },
              ]}
            />
          </Row>
          {!askName && !known && <TextEntry label="Your name" value={who} longest={60} onChange={setWho} />}
          <Muted role="status">
            {here.done} of {view.build.steps.length} done.{' '}
            {sheet.offline
              ? `No connection: ${sheet.waiting.length} entries are kept here and sent when it is back`
              : sheet.waiting.length > 0
                ? 'Saving…'
                : 'Saved'}
          </Muted>
          <Contents aria-label="Stages">
            {stages.map((stage) => {
              const steps = view.build.steps.filter((s) => s.stage === stage);
              const done = steps.filter((s) => here.isDone(s.id)).length;
              const now = steps.some((s) => s.id === next?.id);
              return (
                <a
                  key={stage}
                  href={`#${stage}`}
                  aria-current={now ? 'step' : undefined}
                  onClick={(e) => {
                    e.preventDefault();
                    document.getElementById(`stage-${stage}`)?.scrollIntoView({ behavior: gently() });
                  }}
                >
                  <span>{word('stage', stage)}</span>
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
          <a href={`/api/builds/${view.id}/hand-over.pdf${paper}`} download="hand-over.pdf">
            Hand-over paper as PDF
          </a>
          <a href={`/api/builds/${view.id}/hand-over.zip${paper}`} download="hand-over.zip">
            Hand-over archive with pictures
          </a>
          <Muted>
            Made from “{view.build.design.name}”, {when(view.build.startedAt)}. The maker's figure, local rules and
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
              onSure={remove}
            />
          )}
        </>
      }
      pictures={
        <>
          {askName && <TextEntry label="Your name" value={who} longest={60} onChange={setWho} />}
          <Worked view={view} sheet={sheet} mayWrite={mayWrite} turning={turning} />
        </>
      }
      side={<Gauges buildId={view.id} />}
    />
  );
}
