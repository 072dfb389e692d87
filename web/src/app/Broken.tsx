import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, read, basedOn, ApiError, type Schemas } from '../api/client';
import { meaning } from '../api/descriptions';
import { queries } from '../api/queries';
import { AskSure, Button, FileLink, Heading, Muted, Row, Sheet, TextEntry } from '../kit/kit';
import { withValue } from './pointer';

type BrokenView = Schemas['BrokenView'];

const WHAT: Record<BrokenView['what'], string> = {
  CAR: 'Car',
  DUTY: 'Duty',
  DESIGN: 'Design',
  LOG: 'Log',
  BUILD: 'Build',
  PART: 'Part of your own',
  BUILD_ENTRY: 'Entry on a run sheet',
  CARE_ENTRY: 'Entry in a care book',
};

/** What is stored here, or of one car, and today's rules refuse. */
function useBroken(carId: string | undefined) {
  return useQuery(queries.broken(carId));
}

const SCHEMA: Partial<Record<BrokenView['what'], keyof Schemas>> = {
  CAR: 'CarDocument',
  DUTY: 'DutyDocument',
  DESIGN: 'DesignDocument',
  LOG: 'LogDocument',
  BUILD: 'BuildDocument',
  PART: 'CorePartDocument',
};

/** What a field is called: its meaning, or its path where nothing says more. */
function named(what: BrokenView['what'], path: string): string {
  const schema = SCHEMA[what];
  const known = schema && meaning(schema, path);
  if (known) {
    return known;
  }
  return path
    .split('/')
    .slice(1)
    .map((part) => part.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase())
    .join(' › ');
}

/** What cannot be read any more: why, and the ways to go on. Nothing is shown where everything can be read. */
export function BrokenList({ carId, titled = true }: { carId?: string; titled?: boolean }) {
  const shown = useBroken(carId).data ?? [];
  const client = useQueryClient();
  const [asked, setAsked] = useState<{ mend?: BrokenView; remove?: BrokenView }>({});
  const again = async () => {
    setAsked({});
    for (const key of ['broken', 'cars', 'car', 'catalogue', 'builds', 'care']) {
      await client.invalidateQueries({ queryKey: [key] });
    }
  };
  const remove = async (b: BrokenView) => {
    await read(
      api.DELETE('/api/broken/{what}/{id}', {
        params: { path: { what: b.what, id: b.id }, header: basedOn(b.version) },
      }),
    );
    await again();
  };
  if (shown.length === 0) {
    return null;
  }
  return (
    <section aria-label="To be repaired" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
      {titled && <Heading as="h3">To be repaired</Heading>}
      <Muted>
        These were saved under older rules and cannot be used as they are. Everything else works without them. Nothing
        is lost: repair the figures, save a copy as a file, or remove them.
      </Muted>
      <ul style={{ listStyle: 'none', padding: 0, margin: 0, display: 'flex', flexDirection: 'column', gap: 10 }}>
        {shown.map((b, i) => (
          <li key={`${b.what}${b.id}${i}`}>
            <strong>
              {WHAT[b.what]}: {b.name}
            </strong>
            <ul style={{ margin: '2px 0 4px', paddingLeft: 20 }}>
              {b.problems.slice(0, 3).map((p) => (
                <li key={p.path}>{p.path === '' ? p.message : `${named(b.what, p.path)}: ${p.message}`}</li>
              ))}
              {b.problems.length > 3 && <li>and {b.problems.length - 3} more</li>}
            </ul>
            {b.what !== 'BUILD_ENTRY' && b.what !== 'CARE_ENTRY' && (
              <Row>
                <Button onPress={() => setAsked({ mend: b })}>Repair…</Button>
                <FileLink href={`/api/broken/${b.what}/${b.id}`} download={`${b.name}.json`}>
                  Save as file
                </FileLink>
                <Button onPress={() => setAsked({ remove: b })}>Remove…</Button>
              </Row>
            )}
          </li>
        ))}
      </ul>
      {asked.mend && <Repair broken={asked.mend} onClose={() => setAsked({})} onDone={again} />}
      {asked.remove && (
        <AskSure
          title={`Remove “${asked.remove.name}”`}
          text="It goes for good. Save it as a file first if you may want it again."
          action="Remove"
          onClose={() => setAsked({})}
          onSure={async () => asked.remove && (await remove(asked.remove))}
        />
      )}
    </section>
  );
}

/** Each field that is wrong, with what is allowed there. */
function Repair(props: { broken: BrokenView; onClose: () => void; onDone: () => Promise<void> }) {
  const { broken, onClose, onDone } = props;
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>(broken.problems);
  const [problem, setProblem] = useState<string>();
  const text = useQuery(queries.brokenText(broken.what, broken.id));
  const [written, setWritten] = useState<string>();
  const document = written ?? text.data;
  const save = async () => {
    if (document === undefined) {
      return;
    }
    setProblem(undefined);
    const repaired = Object.entries(typed).reduce((d, [path, value]) => withValue(d, path, value), document);
    try {
      await read(
        api.PUT('/api/broken/{what}/{id}', {
          params: { path: { what: broken.what, id: broken.id }, header: basedOn(broken.version) },
          headers: { 'content-type': 'text/plain;charset=utf-8' },
          body: repaired,
          bodySerializer: (text) => text,
        }),
      );
      await onDone();
    } catch (e) {
      setWritten(repaired);
      setTyped({});
      setProblems(e instanceof ApiError ? e.problems : []);
      setProblem(
        e instanceof ApiError && e.problems.length > 0
          ? 'Not everything is right yet.'
          : e instanceof Error
            ? e.message
            : String(e),
      );
    }
  };
  return (
    <Sheet title={`Repair “${broken.name}”`} onClose={onClose} widest="640px">
      {problems.map((p) => (
        <div key={p.path}>
          <TextEntry
            label={named(broken.what, p.path) || 'The whole document'}
            needed={false}
            longest={2000}
            value={typed[p.path] ?? ''}
            onChange={(value) => setTyped((all) => ({ ...all, [p.path]: value }))}
          />
          <Muted>{p.message}</Muted>
        </div>
      ))}
      {problem && <p role="alert">▲ {problem}</p>}
      <Row>
        <Button onPress={() => void save()} isDisabled={document === undefined}>
          Save
        </Button>
        <Button onPress={onClose}>Cancel</Button>
      </Row>
    </Sheet>
  );
}
