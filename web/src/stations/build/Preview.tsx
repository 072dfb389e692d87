import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { queries } from '../../api/queries';
import { download } from '../../bench/download';
import { useMoney } from '../../bench/useMoney';
import { useBench } from '../../bench/workbench';
import { Button, Fold, Heading, Muted, Row, Sheet } from '../../kit/kit';
import { usePreferences } from '../../preferences/preferences';
import { quantityOf, word } from '../../words/words';
import type { Schemas } from '../../api/client';
import { useFigure } from './useFigure';

/** What a build would be, before a tool is lifted: every step, what it takes, and how long. */
export function Preview({ body, onClose }: { body: Schemas['NewBuild']; onClose: () => void }) {
  const { car, duty, design } = useBench();
  const { paper, show } = usePreferences();
  const money = useMoney();
  const [problem, setProblem] = useState<string>();
  const sheet = useQuery(queries.preview(body));
  const plumbed = useQuery({
    ...queries.plumb(`preview ${JSON.stringify({ car, duty, design })}`, { car, duty, design }, {}),
    enabled: design.plumbing !== undefined && design.cooler !== undefined,
  });
  const figure = useFigure();
  const steps = sheet.data?.steps ?? [];
  const stages = [...new Set(steps.map((s) => s.stage))];
  const bill = sheet.data?.bill ?? [];
  const priced = new Map(plumbed.data?.bill.map((b) => [b.number, b.each]));
  return (
    <Sheet title="Preview of this build" onClose={onClose} widest="760px">
      {sheet.data && (
        <Muted>
          {steps.length} steps in {stages.length} stages.
          {plumbed.data && ` About ${plumbed.data.kit.looseHours.toFixed(0)} hours with loose parts, an estimate.`}{' '}
          Nothing is kept by looking.
        </Muted>
      )}
      {(sheet.error ?? problem) && <p role="alert">▲ {sheet.error?.message ?? problem}</p>}
      <Row>
        <Button
          onPress={() =>
            void download(`/api/builds/preview.pdf${paper}`, body, 'run-sheet-preview.pdf').then(
              () => setProblem(undefined),
              (e: Error) => setProblem(e.message),
            )
          }
        >
          Print preview as PDF
        </Button>
      </Row>
      {bill.length > 0 && (
        <>
          <Heading>What it takes</Heading>
          {(['PARTS', 'CONSUMABLES', 'TOOLS'] as const).map((group) => {
            const lines = bill.filter((b) => b.group === group);
            return (
              <Fold key={group} name={GROUPS[group]} short={`${lines.length}`}>
                <ul style={{ margin: 0, paddingLeft: 20 }}>
                  {lines.map((b) => (
                    <li key={b.what + b.number}>
                      {b.soldBy ? `${show(b.quantity, quantityOf(b.soldBy))} of ` : `${b.quantity} × `}
                      {b.what}
                      {b.number && ` (${b.number})`}
                      {b.number && priced.get(b.number) ? `, ${money((priced.get(b.number) ?? 0) * b.quantity)}` : ''}
                    </li>
                  ))}
                </ul>
              </Fold>
            );
          })}
        </>
      )}
      {stages.map((stage) => (
        <section key={stage} aria-label={word('stage', stage)}>
          <Heading>{word('stage', stage)}</Heading>
          <ol style={{ margin: 0, paddingLeft: 24 }}>
            {steps
              .filter((s) => s.stage === stage)
              .map((s) => (
                <li key={s.id}>
                  {s.what}
                  {s.figures.length > 0 && <b> ({s.figures.map((f) => `${f.name} ${figure(f)}`).join(', ')})</b>}
                  {s.caution && <Muted> ▲ {s.caution}</Muted>}
                </li>
              ))}
          </ol>
        </section>
      ))}
    </Sheet>
  );
}

const GROUPS = { PARTS: 'Parts', CONSUMABLES: 'Consumables', TOOLS: 'Tools' };
