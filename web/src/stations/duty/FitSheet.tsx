import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Button, Muted, Pick, Row, Sheet } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { headed, word } from '../../words/words';
import { Residuals } from '../../pictures/Residuals';

/** Another log that is not used. */
const NONE = 'none';

/** What a log says about the car, and how sure it is; one click puts it into the car, another takes it out again. */
export function FitSheet(props: { log: Schemas['LogView']; onClose: () => void; design?: string | undefined }) {
  const { say } = usePreferences();
  const { log, onClose } = props;
  const { view, car, now, changeCar, designId } = useBench();
  const [driven, setDriven] = useState(
    () => props.design ?? view.designs.find((d) => d.design.cooler === undefined)?.id ?? designId,
  );
  const design = view.designs.find((d) => d.id === driven)?.design;
  // Other logs of the car, each with the design that was driven; none unless chosen.
  const others = view.logs.filter((l) => l.id !== log.id && l.log.channels.includes('OIL'));
  const [withThem, setWithThem] = useState<Readonly<Record<string, string>>>({});
  const chosen = others.flatMap((l) => {
    const other = view.designs.find((d) => d.id === withThem[l.id])?.design;
    return other ? [{ id: l.id, design: other }] : [];
  });
  const fit = useQuery(
    queries.fit(log.id, design && { car, design, ...(chosen.length > 0 ? { others: chosen } : {}) }),
  );
  // What is as unsure as before is said below; a lean from one school to the other is no multiple of anything.
  const learned = (fit.data?.estimates ?? []).filter((e) => e.parameter !== 'SCHOOL' && e.learned);
  const use = () => {
    if (fit.data) {
      changeCar({ ...now().car, fitted: fit.data.fitted });
      onClose();
    }
  };
  return (
    <Sheet title={`What “${log.log.name}” says`} onClose={onClose} widest="820px">
      <div style={{ maxWidth: 340 }}>
        <Pick
          label="Design that was driven"
          value={driven}
          options={view.designs.map((d) => ({ id: d.id, name: d.design.name }))}
          onChange={setDriven}
        />
      </div>
      {others.map((l) => (
        <div key={l.id} style={{ maxWidth: 340 }}>
          <Pick
            label={`Together with “${l.log.name}”, driven with`}
            value={withThem[l.id] ?? NONE}
            options={[{ id: NONE, name: 'Not used' }, ...view.designs.map((d) => ({ id: d.id, name: d.design.name }))]}
            onChange={(id) => setWithThem({ ...withThem, [l.id]: id })}
          />
        </div>
      ))}
      {(car.readings?.length ?? 0) > 0 && <Muted>What was read by hand is used with it.</Muted>}
      {fit.error && <p role="alert">▲ {fit.error.message}</p>}
      {!fit.data && !fit.error && <Muted>Fitting…</Muted>}
      {fit.data && (
        <>
          <FigureTable aria-label="What was learned">
            <thead>
              <tr>
                <th scope="col">Factor on the car's own figure</th>
                <th scope="col">Learned</th>
                <th scope="col">±</th>
                <th scope="col">Before ±</th>
              </tr>
            </thead>
            <tbody>
              {learned.map((e) => (
                <tr key={e.parameter}>
                  <th scope="row">{headed(word('factor', e.parameter))}</th>
                  <td>× {e.factor.toFixed(2)}</td>
                  <td>{e.standardError.toFixed(2)}</td>
                  <td>{e.prior.toFixed(2)}</td>
                </tr>
              ))}
            </tbody>
          </FigureTable>
          <Residuals
            timeSeconds={fit.data.timeSeconds}
            residualK={fit.data.residualK}
            rmsK={fit.data.rmsK}
            height={150}
          />
          <ul style={{ margin: 0, paddingLeft: 20 }}>
            {fit.data.notes.map((n) => (
              <li key={say(n)}>{say(n)}</li>
            ))}
          </ul>
          <Row>
            <Button onPress={use}>Use it in the car's model</Button>
            <Button onPress={onClose}>Cancel</Button>
          </Row>
          <Muted>It can be taken out again at any time, under “Heat into the oil” or in Prove.</Muted>
        </>
      )}
    </Sheet>
  );
}
