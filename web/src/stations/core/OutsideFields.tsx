import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { DocumentNumber, DocumentNumbers } from '../../kit/fields';
import { Button, Fold, Muted, Pick, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CORE_FACES } from '../faces';
import { useCooler } from './coolerFields';

type Outside = Schemas['CoreSheetDocument'];

const MOST_HOLES = 12;

/** The core's outside by its data sheet or by calliper: what template, nose, hoses and brackets are drawn by. */
export function OutsideFields() {
  const { outcome } = useBench();
  const { cooler, set } = useCooler();
  const drawn = outcome?.core?.layout;
  if (!cooler) {
    return null;
  }
  const sheet = cooler.sheet;
  const change = (part: Partial<Outside>) => sheet && set({ sheet: { ...sheet, ...part } });
  const port = (i: number, part: Partial<Outside['ports'][number]>) =>
    change({ ports: sheet?.ports.map((p, k) => (k === i ? { ...p, ...part } : p)) ?? [] });
  const hole = (i: number, part: Partial<Outside['holes'][number]>) =>
    change({ holes: sheet?.holes.map((h, k) => (k === i ? { ...h, ...part } : h)) ?? [] });
  return (
    <Fold name="Outside, ports, holes" short={sheet ? 'by data sheet' : 'as usual'}>
      <Toggle
        label="By its data sheet"
        value={sheet !== undefined}
        onChange={(on) => set({ sheet: on ? drawn : undefined })}
      />
      <Muted>From the middle of the face, seen from the core's front. Drawing, template and hoses all use these.</Muted>
      {sheet && (
        <>
          <Fields>
            <DocumentNumbers
              schema="CoreSheetDocument"
              value={sheet}
              fields={[
                ['Outside width', 'outsideWidthMm', { step: 1 }],
                ['Outside height', 'outsideHeightMm', { step: 1 }],
              ]}
              onChange={change}
            />
            <DocumentNumber
              label="Test pressure"
              schema="CoreSheetDocument"
              field="testBar"
              quantity="pressure"
              value={sheet.testBar}
              step={1}
              onChange={(testBar) => change({ testBar })}
            />
          </Fields>
          {sheet.ports.map((p, i) => (
            <Fields key={i}>
              <DocumentNumbers
                schema="CorePortDocument"
                value={p}
                fields={[
                  [`Port ${i + 1}, right`, 'xMm', { step: 1 }],
                  [`Port ${i + 1}, up`, 'yMm', { step: 1 }],
                  [`Port ${i + 1}, behind the face`, 'zMm', { step: 1 }],
                ]}
                onChange={(part) => port(i, part)}
              />
              <Pick
                label={`Port ${i + 1} points`}
                value={p.points}
                options={CORE_FACES}
                onChange={(points) => port(i, { points })}
              />
            </Fields>
          ))}
          {sheet.holes.map((h, i) => (
            <Fields key={i}>
              <DocumentNumbers
                schema="CoreHoleDocument"
                value={h}
                fields={[
                  [`Hole ${i + 1}, right`, 'xMm', { step: 1 }],
                  [`Hole ${i + 1}, up`, 'yMm', { step: 1 }],
                  [`Hole ${i + 1}, diameter`, 'holeMm', { step: 0.5, digits: 1 }],
                ]}
                onChange={(part) => hole(i, part)}
              />
              <Button onPress={() => change({ holes: sheet.holes.filter((_, k) => k !== i) })}>
                Remove hole {i + 1}
              </Button>
            </Fields>
          ))}
          <Button
            isDisabled={sheet.holes.length >= MOST_HOLES}
            onPress={() =>
              change({ holes: [...sheet.holes, { xMm: 0, yMm: Math.round(sheet.outsideHeightMm / 2), holeMm: 8.5 }] })
            }
          >
            One hole more
          </Button>
        </>
      )}
    </Fold>
  );
}
