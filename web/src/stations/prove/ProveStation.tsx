import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { download } from '../../bench/download';
import { useBench } from '../../bench/workbench';
import { Button, Coming, Heading, Muted, Pick } from '../../kit/kit';
import { formatFigure } from '../../units/units';
import { quantityOf, word } from '../../words/words';
import { FigureTable } from '../../kit/layout';
import { LapsPicture } from '../../pictures/LapsPicture';
import { Logs } from '../duty/Logs';
import { FitSheet } from '../duty/FitSheet';
import { TakeLogOut } from '../duty/TakeLogOut';
import { Readings } from '../Readings';
import { Station } from '../Station';
import { Figure } from '../figure/Figure';
import { pair } from './pair';

/** Decimals that an interval leaves worth writing. */
const fine = (low: number, high: number) => (high - low >= 2 ? 0 : 1);

type Answer = Schemas['ProofAnswer'];
type Figure = Schemas['ProofFigure'];

const Said = styled.section`
  border: 1px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  padding: 12px 14px;
  & h2 {
    font-size: 18px;
    margin: 0 0 6px;
  }
  & p {
    margin: 0;
  }
`;

const PROOF_HIGH = 700;

const MODEL_HIGH = 440;

/** Before against after, fairly, and each against the model. */
export function ProveStation() {
  const { paper } = usePreferences();
  const { view, car, design, designId } = useBench();
  const logs = view.logs;
  const designs = view.designs.map((d) => ({ id: d.id, name: d.id === designId ? design.name : d.design.name }));
  const documentOf = (id: string) => (id === designId ? design : view.designs.find((d) => d.id === id)?.design);
  const bare = view.designs.find((d) => d.design.cooler === undefined)?.id ?? designId;
  const [opened] = useState(() => pair(view).map((l) => l?.id));
  const [before, setBefore] = useState(opened[0]);
  const [after, setAfter] = useState(opened[1]);
  // A log knows the design that was driven; where it does not, the car as it was is held against the design at hand.
  const driven = (log: string | undefined, otherwise: string) => {
    const known = logs.find((l) => l.id === log)?.log.design;
    return view.designs.some((d) => d.id === known) && known ? known : otherwise;
  };
  const [beforeDesign, setBeforeDesign] = useState(() => driven(before, bare));
  const [afterDesign, setAfterDesign] = useState(() => driven(after, designId));
  const [fitting, setFitting] = useState(false);
  const [problem, setProblem] = useState<string>();
  const report = () =>
    download(`/api/logs/proof.pdf${paper}`, asked, 'proof.pdf').then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  const first = logs.find((l) => l.id === before) ?? logs[0];
  const second = logs.find((l) => l.id === after) ?? logs.find((l) => l.id !== first?.id);
  const then = documentOf(beforeDesign);
  const now = documentOf(afterDesign);
  const asked =
    first && second && first.id !== second.id && then && now
      ? { car, before: first.id, beforeDesign: then, after: second.id, afterDesign: now }
      : undefined;
  const proof = useQuery(queries.proof(asked));
  const names = logs.map((l) => ({ id: l.id, name: l.log.name }));
  return (
    <Station
      choices={
        <>
          {first && second ? (
            <>
              <Pick
                label="Before"
                value={first.id}
                options={names}
                onChange={(id) => {
                  setBefore(id);
                  setBeforeDesign(driven(id, beforeDesign));
                }}
              />
              <Pick label="Design in it then" value={beforeDesign} options={designs} onChange={setBeforeDesign} />
              <Pick
                label="After"
                value={second.id}
                options={names}
                onChange={(id) => {
                  setAfter(id);
                  setAfterDesign(driven(id, afterDesign));
                }}
              />
              <Pick label="Design in it now" value={afterDesign} options={designs} onChange={setAfterDesign} />
              <Button onPress={() => setFitting(true)}>What the second log teaches…</Button>
              <Button onPress={() => void report()} isDisabled={!asked || !proof.data}>
                Report on one page
              </Button>
              {problem && <p role="alert">▲ {problem}</p>}
            </>
          ) : (
            <Muted>Two logs are needed, one from before and one from after. Import them beside this.</Muted>
          )}
          {fitting && second && <FitSheet log={second} design={afterDesign} onClose={() => setFitting(false)} />}
        </>
      }
      pictures={
        <>
          {first && second && first.id === second.id && <p role="alert">▲ Before and after are the same log.</p>}
          {proof.error && <p role="alert">▲ {proof.error.message}</p>}
          {asked && proof.isPending && <Coming height={PROOF_HIGH}>Comparing…</Coming>}
          {asked && proof.data && <Told answer={proof.data} behind={proof.isPlaceholderData} />}
          <Readings />
          <Logs />
        </>
      }
      side={
        asked && (
          <>
            {proof.isPending && <Coming height={MODEL_HIGH}>Comparing…</Coming>}
            {proof.data && <Model answer={proof.data} />}
          </>
        )
      }
    />
  );
}

function Told({ answer, behind }: { answer: Answer; behind: boolean }) {
  const { say, show, units } = usePreferences();
  const figure = (f: Figure, v: number | undefined) => {
    if (v === undefined) {
      return '–';
    }
    const quantity = quantityOf(f.measure);
    return formatFigure(v, quantity, units[quantity]);
  };
  const interval = (f: Schemas['FigureDocument'], quantity: 'temperature' | 'temperatureDifference') =>
    f.value === undefined || f.low === undefined || f.high === undefined
      ? '–'
      : `${show(f.value, quantity, fine(f.low, f.high))} (${show(f.low, quantity, fine(f.low, f.high))} to ${show(f.high, quantity, fine(f.low, f.high))})`;
  return (
    <>
      <Said aria-label="Proof" aria-busy={behind}>
        <h2>{word('comparison', answer.verdict, 'what')}</h2>
        {answer.reasons.map((r) => (
          <p key={say(r)}>{say(r)}</p>
        ))}
      </Said>
      <FigureTable aria-label="Brought to the first day">
        <thead>
          <tr>
            <td />
            <th scope="col">Value, with its 90 % interval</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Plateau before</th>
            <td>
              <Figure of="MATCHED_PLATEAU">{interval(answer.plateauBeforeC, 'temperature')}</Figure>
            </td>
          </tr>
          <tr>
            <th scope="row">Plateau after, at the first day's air and pace</th>
            <td>
              <Figure of="MATCHED_PLATEAU">{interval(answer.plateauAfterC, 'temperature')}</Figure>
            </td>
          </tr>
          <tr aria-current="true">
            <th scope="row">Difference</th>
            <td>
              <Figure of="SESSION_DIFFERENCE">{interval(answer.differenceK, 'temperatureDifference')}</Figure>
            </td>
          </tr>
        </tbody>
      </FigureTable>
      {answer.laps && <LapsPicture laps={answer.laps} height={260} />}
      <FigureTable aria-label="What was read">
        <thead>
          <tr>
            <th scope="col">As it was read, uncorrected</th>
            <th scope="col">Before</th>
            <th scope="col">After</th>
          </tr>
        </thead>
        <tbody>
          {answer.figures.map((f) => (
            <tr key={f.kind ?? 'AIR'}>
              <th scope="row">{f.kind ? word('sessionFigure', f.kind) : 'Air on the day'}</th>
              <td>
                <Figure of="READING">{figure(f, f.before)}</Figure>
              </td>
              <td>
                <Figure of="READING">{figure(f, f.after)}</Figure>
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
    </>
  );
}

function Model({ answer }: { answer: Answer }) {
  const { say, show } = usePreferences();
  const { car } = useBench();
  return (
    <>
      <Heading>The model against the logs</Heading>
      {(
        [
          ['Before', answer.predictedBefore],
          ['After', answer.predictedAfter],
        ] as const
      ).map(([name, p]) => (
        <section key={name} aria-label={`Model, ${name.toLowerCase()}`}>
          <strong>{name}</strong>
          <p style={{ margin: '2px 0' }}>
            Peak predicted{' '}
            <Figure of="PEAK" other>
              {`${show(p.medianC, 'temperature', fine(p.lowC, p.highC))} (${show(p.lowC, 'temperature', fine(p.lowC, p.highC))} to ${show(p.highC, 'temperature', fine(p.lowC, p.highC))})`}
            </Figure>
            , read <Figure of="READING">{p.readC === undefined ? '–' : show(p.readC, 'temperature', 1)}</Figure>.
          </p>
          {p.untaught && (
            <p style={{ margin: '2px 0' }}>
              Before a log taught the model:{' '}
              {show(p.untaught.medianC, 'temperature', fine(p.untaught.lowC, p.untaught.highC))} (
              {show(p.untaught.lowC, 'temperature', fine(p.untaught.lowC, p.untaught.highC))} to{' '}
              {show(p.untaught.highC, 'temperature', fine(p.untaught.lowC, p.untaught.highC))}).
            </p>
          )}
          <Muted>{say(p.words)}</Muted>
        </section>
      ))}
      {car.fitted && (
        <>
          <Muted>“{car.fitted.log}” has taught the car's model.</Muted>
          <TakeLogOut />
        </>
      )}
      {answer.alike !== undefined && (
        <Muted>
          Speed traces of the two mean laps match (correlation <Figure of="AGREEMENT">{answer.alike.toFixed(2)}</Figure>
          ).
        </Muted>
      )}
      <Muted>
        The step from one day to the other is the model's own; the interval holds laps, thermometers, and how far such
        steps may be off.
      </Muted>
    </>
  );
}
