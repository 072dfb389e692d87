import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { amend } from '../../api/amend';
import { api, create, send, type CaseDocument, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Fold, Heading, Muted, Row, TextEntry } from '../../kit/kit';
import { PHONE } from '../../kit/narrow';
import { IntervalRuler, rulerEnds } from '../../pictures/IntervalRuler';
import { usePreferences } from '../../preferences/preferences';
import { odds, percent } from '../../words/odds';
import { word } from '../../words/words';
import { ClassFigures } from './ClassFigures';
import type { BroughtLog } from '../../stations/duty/Logs';
import type { useFirstCase } from './useFirstCase';

const Box = styled.section`
  border: 1.5px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  padding: 16px 18px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  & p {
    margin: 0;
  }
  & .verdict {
    font-size: 20px;
    line-height: 1.25;
    font-weight: 650;
  }
`;

/** The room of the whole answer from the first: the name and the way on below it stay where they are when it comes. */
const Room = styled.div`
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 370px;
  @media ${PHONE} {
    min-height: 470px;
  }
`;

/** What can be said of the car already, with its odds, what would say more, and the way on. */
export function Answer({ asked }: { asked: ReturnType<typeof useFirstCase> }) {
  const { first, failed, from } = asked;
  if (!from) {
    return (
      <Box aria-label="Answer">
        <p className="verdict">The answer comes here</p>
        <Muted>
          Choose the car that is nearest to yours. What you do not say is taken as usual for such a car, and the answer
          says how sure it is. Each further answer makes it surer.
        </Muted>
      </Box>
    );
  }
  return (
    <>
      <Box aria-label="Answer" aria-live="polite" aria-busy={!first}>
        {failed && <p role="alert">▲ {failed.message}</p>}
        <Room>{first && <Told first={first} />}</Room>
        <GoOn asked={asked} />
      </Box>
      <Fold name="Figures that it starts from">
        <ClassFigures from={from} />
      </Fold>
    </>
  );
}

function Told({ first }: { first: CaseDocument }) {
  const { say, show } = usePreferences();
  const outcome = useQuery(queries.outcome(first)).data;
  const interval = useQuery({ ...queries.interval(first), enabled: outcome !== undefined }).data;
  const next = useQuery({ ...queries.next(first), enabled: outcome !== undefined }).data;
  if (!outcome) {
    return <Muted>Working…</Muted>;
  }
  const { limits } = first.car;
  const { peakC } = outcome.figures;
  const [low, high] = rulerEnds(limits, interval ? [interval.peakLowC, interval.peakHighC] : [peakC]);
  const best = next?.measurements[0];
  return (
    <>
      <p className="verdict">{say(outcome.verdict.what)}</p>
      <IntervalRuler
        limits={limits}
        peakC={peakC}
        lowC={interval?.peakLowC}
        highC={interval?.peakHighC}
        from={low}
        to={high}
        named
      />
      <p style={{ minHeight: '1.4em' }}>
        {interval && (
          <>
            Without an oil cooler {odds(interval.oddsUnderLimit)} sessions like this stay under the oil's limit of{' '}
            {show(limits.limitC, 'temperature')} ({percent(interval.oddsUnderLimit)}).
          </>
        )}
      </p>
      <p>{say(outcome.verdict.why)}</p>
      <section aria-label="Measure next" style={{ minHeight: '5.5em' }}>
        <Heading>{outcome.verdict.unsure ? 'Measure next' : 'To be surer'}</Heading>
        {best && next && (
          <p>
            {word('measurement', best.kind, 'name')}. <Muted>{word('measurement', best.kind, 'effort')}.</Muted> The
            peak is known within {show(next.peakHighC - next.peakLowC, 'temperatureDifference')} now; after it within
            about {show(best.peakHighC - best.peakLowC, 'temperatureDifference')}.
          </p>
        )}
      </section>
    </>
  );
}

/** The car comes into the garage with everything that was told of it. */
function GoOn({ asked }: { asked: ReturnType<typeof useFirstCase> }) {
  const { body, name, shows, tell } = asked;
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const add = async (log?: File) => {
    if (!body || busy) {
      return;
    }
    setBusy(true);
    setProblem(undefined);
    try {
      const car = await create((header) => api.POST('/api/cars/from-class', { params: { header }, body }));
      await amend(client, queries.cars().queryKey, (old) => [
        ...(old ?? []),
        { id: car.id, name: car.car.name, broken: false },
      ]);
      void navigate(`/cars/${car.id}/duty`, { state: log && (await uploaded(car.id, log)) });
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
      setBusy(false);
    }
  };
  return (
    <>
      <TextEntry label="Name of the car" value={name} onChange={(n) => tell({ name: n })} />
      <Row>
        <Button onPress={() => void add()} isDisabled={busy}>
          Add this car
        </Button>
        {shows === 'log' && (
          <FileChoice
            label="Log file"
            action="Add this car and import its log…"
            accept=".csv,.txt,.tsv,.log,.gz,.gpx"
            isDisabled={busy}
            onFile={(file) => void add(file)}
          />
        )}
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
    </>
  );
}

/** A log that cannot be read is no reason to lose the car: it is said where logs are imported. */
async function uploaded(carId: string, log: File): Promise<BroughtLog> {
  try {
    return {
      upload: await send<Schemas['UploadView']>(
        `/cars/${carId}/uploads?name=${encodeURIComponent(log.name)}`,
        log,
        'application/octet-stream',
      ),
    };
  } catch (e) {
    return { problem: e instanceof Error ? e.message : String(e) };
  }
}
