import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { amendCar } from '../api/amend';
import { send, ApiError, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { BrokenList } from './Broken';
import { FileChoice } from '../kit/FileChoice';
import { Button, FileLink, Heading, Muted, Row, Sheet } from '../kit/kit';

type Report = Schemas['GarageReport'];

/** What is wrong, with the place in the file where it is. */
function said(e: unknown): string {
  const problem = e instanceof ApiError ? e.problems[0] : undefined;
  return problem?.path ? `${problem.path}: ${problem.message}` : e instanceof Error ? e.message : String(e);
}

/** What is kept here, out as files and in again. */
export function FilesSheet(props: {
  car: { id: string; name: string };
  design: { id: string; name: string };
  onDesign: (added: string) => void;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const takeDesign = async (file: File) => {
    setProblem(undefined);
    try {
      const added = await send<Schemas['DesignView']>(
        `/cars/${props.car.id}/designs/file`,
        file,
        'application/octet-stream',
      );
      await amendCar(client, props.car.id, (v) => ({ ...v, designs: [...v.designs, added] }));
      props.onDesign(added.id);
      props.onClose();
    } catch (e) {
      setProblem(said(e));
    }
  };
  return (
    <Sheet title="Files" onClose={props.onClose} widest="640px">
      <section aria-label="One design" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
        <Heading as="h3">One design</Heading>
        <Muted>
          As JSON, for another car or another garage. A design that comes in becomes one of {props.car.name}.
        </Muted>
        <Row>
          <FileLink href={`/api/designs/${props.design.id}/file`} download={`${props.design.name}.json`}>
            Save “{props.design.name}”
          </FileLink>
          <FileChoice
            label="Design file"
            action="Import design…"
            accept=".json,application/json"
            onFile={(file) => void takeDesign(file)}
          />
        </Row>
        {problem && <p role="alert">▲ {problem}</p>}
      </section>
      <GarageFiles />
      <BrokenList />
      <Muted>
        Isotherm is made with open-source parts. Their licences: <a href="/licences.md">interface</a>,{' '}
        <a href="/licences-server.txt">server</a>.
      </Muted>
      <Row>
        <Button onPress={props.onClose}>Done</Button>
        <FileLink href="/state">State of this garage</FileLink>
      </Row>
    </Sheet>
  );
}

/** The whole garage as a file. */
export function GarageFiles({ empty = false, page = false }: { empty?: boolean; page?: boolean }) {
  const client = useQueryClient();
  const [sending, setSending] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [taken, setTaken] = useState<{ file: File; report: Report }>();
  const take = async (file: File, copies: boolean) => {
    setProblem(undefined);
    setTaken(undefined);
    setSending(true);
    try {
      setTaken({
        file,
        report: await send<Report>(`/garage?copies=${copies}`, file, 'application/octet-stream'),
      });
      // Read again, and no word of it when that fails: what came in is in.
      void client.invalidateQueries({ queryKey: ['catalogue'] });
      void client.invalidateQueries({ queryKey: queries.cars().queryKey });
    } catch (e) {
      setProblem(said(e));
    } finally {
      setSending(false);
    }
  };
  return (
    <section aria-label="The whole garage" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
      <Heading as={page ? 'h2' : 'h3'}>The whole garage</Heading>
      <Muted>
        Every car with its duties, designs, logs, builds and pictures, its care book, and the parts of your own: a zip
        of JSON and CSV that another Isotherm reads back. It comes in whole or not at all, and nothing that is here
        already is changed by it.
      </Muted>
      <Row>
        {!empty && (
          <FileLink href="/api/garage.zip" download="isotherm-garage.zip">
            Save the garage
          </FileLink>
        )}
        <FileChoice
          label="Garage file"
          action={sending ? 'Reading…' : 'Import garage…'}
          accept=".zip,application/zip"
          isDisabled={sending}
          onFile={(file) => void take(file, false)}
        />
      </Row>
      {problem && <p role="alert">▲ Nothing was taken in. {problem}</p>}
      {taken && <Told report={taken.report} onCopies={() => void take(taken.file, true)} />}
    </section>
  );
}

function Told({ report, onCopies }: { report: Report; onCopies: () => void }) {
  const lines = [
    report.added.length > 0 && `Came in: ${report.added.join(', ')}.`,
    report.alike.length > 0 && `Here already, without a difference: ${report.alike.join(', ')}.`,
    report.left.length > 0 && `Here already and different, left as they are here: ${report.left.join(', ')}.`,
    report.partsAdded > 0 && `Own parts that came in: ${report.partsAdded}.`,
    report.partsLeft > 0 &&
      `Own parts that are here under the same name and differ, left as here: ${report.partsLeft}.`,
  ].filter((l): l is string => l !== false);
  return (
    <div role="status">
      {lines.length === 0 ? <p style={{ margin: 0 }}>There was nothing in it.</p> : null}
      {lines.map((l) => (
        <p key={l} style={{ margin: '0 0 4px' }}>
          {l}
        </p>
      ))}
      {report.left.length > 0 && <Button onPress={onCopies}>Bring those in beside them</Button>}
    </div>
  );
}
