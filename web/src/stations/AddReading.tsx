import { useState } from 'react';
import type { Schemas } from '../api/client';
import { usePresets } from '../bench/presets';
import { useBench } from '../bench/workbench';
import { DocumentNumber, DocumentNumbers } from '../kit/fields';
import { Button, DayEntry, isDay, Muted, Pick, Row, Sheet, today } from '../kit/kit';
import { Fields } from '../kit/layout';

export type Reading = Schemas['ReadingDocument'];

const KINDS = [
  { id: 'dash', name: 'Highest oil temperature on the dash', short: 'Dash' },
  { id: 'pressure', name: 'Pressure across the core on the road', short: 'Across the core' },
  { id: 'makersHeat', name: "Heat figure from the core's maker", short: "Maker's heat figure" },
] as const;

type Kind = (typeof KINDS)[number]['id'];

/** What was read, with what was driven. */
export function AddReading(props: { onClose: () => void; onAdd: (reading: Reading) => void }) {
  const { view, car, duty, dutyId, design, designId } = useBench();
  const [kind, setKind] = useState<Kind>('dash');
  const duties = view.duties
    .map((d) => ({ id: d.id, duty: d.id === dutyId ? duty : d.duty }))
    .filter((d) => d.duty.log === undefined);
  const designs = view.designs.map((d) => ({ id: d.id, design: d.id === designId ? design : d.design }));
  const cooled = designs.filter((d) => d.design.cooler !== undefined);
  const [drivenDuty, setDrivenDuty] = useState(() => duties.find((d) => d.id === dutyId)?.id ?? duties[0]?.id);
  const [drivenDesign, setDrivenDesign] = useState(
    // What is in the car is most likely what was driven; before that, the car as it was.
    () =>
      (
        designs.find((d) => d.id === car.designs?.built) ??
        designs.find((d) => d.design.cooler === undefined) ??
        designs[0]
      )?.id ?? designId,
  );
  const [ambientC, setAmbient] = useState(duty.ambientC);
  const [day, setDay] = useState(today);
  const { starts, usual } = usePresets();
  const [dash, setDash] = useState({ shownC: car.limits.targetHighC, errorC: usual.dashErrorK });
  const [pressure, setPressure] = useState(starts.measuredPressure);
  const [heat, setHeat] = useState(starts.makersHeat);
  const choices = kind === 'dash' ? designs : cooled;
  const driven = choices.find((d) => d.id === drivenDesign) ?? choices[0];
  const asDriven = duties.find((d) => d.id === drivenDuty)?.duty;
  const made = (): Reading | undefined => {
    if (!driven || (day !== '' && !isDay(day))) {
      return undefined;
    }
    const dated = day ? { day } : {};
    const name = `${KINDS.find((k) => k.id === kind)?.short ?? ''}: ${driven.design.name}`.slice(0, 120);
    if (kind === 'dash') {
      return asDriven && { name, ...dated, dash: { design: driven.design, duty: { ...asDriven, ambientC }, ...dash } };
    }
    if (kind === 'pressure') {
      return { name, ...dated, pressure: { design: driven.design, ...pressure, ambientC, altitudeM: duty.altitudeM } };
    }
    return { name, ...dated, makersHeat: { design: driven.design, oil: driven.design.oil ?? car.oil, ...heat } };
  };
  const reading = made();
  return (
    <Sheet title="Add a reading" onClose={props.onClose} widest="620px">
      <Pick label="What was read" value={kind} options={KINDS} onChange={(k) => setKind(k as Kind)} />
      {!driven && <Muted>A design with a cooler is needed for this one.</Muted>}
      {kind === 'dash' && !asDriven && (
        <Muted>This car has no duty but logs: a log that is fitted says more than a look at the dash.</Muted>
      )}
      {driven && (
        <Fields>
          <DayEntry label="Day it was read" value={day} onChange={setDay} />
          <Pick
            label={kind === 'makersHeat' ? 'Design with the core' : 'Design that was driven'}
            value={driven.id}
            options={choices.map((d) => ({ id: d.id, name: d.design.name }))}
            onChange={setDrivenDesign}
          />
          {kind === 'dash' && asDriven && drivenDuty && (
            <>
              <Pick
                label="Duty that was driven"
                value={drivenDuty}
                options={duties.map((d) => ({ id: d.id, name: d.duty.name }))}
                onChange={setDrivenDuty}
              />
              <DocumentNumber
                label="Outside air that day"
                schema="DutyDocument"
                field="ambientC"
                quantity="temperature"
                value={ambientC}
                step={1}
                onChange={setAmbient}
              />
              <DocumentNumbers
                schema="Dash"
                value={dash}
                fields={[
                  ['Highest oil temperature shown', 'shownC', { quantity: 'temperature', step: 1 }],
                  ['May be off by', 'errorC', { quantity: 'temperatureDifference', step: 0.5 }],
                ]}
                onChange={(change) => setDash({ ...dash, ...change })}
              />
            </>
          )}
          {kind === 'pressure' && (
            <DocumentNumbers
              schema="Pressure"
              value={pressure}
              fields={[
                ['Across the core', 'pa', { suffix: 'Pa', step: 10 }],
                ['at', 'speedKmh', { quantity: 'speed' }],
              ]}
              onChange={(change) => setPressure({ ...pressure, ...change })}
            />
          )}
          {kind === 'makersHeat' && (
            <DocumentNumbers
              schema="MakersHeat"
              value={heat}
              fields={[
                ['Heat given off', 'heatKw', { quantity: 'heat', step: 0.5 }],
                ['Oil flow', 'oilFlowLPerMin', { quantity: 'flow', step: 1 }],
                ['Oil inlet', 'oilInC', { quantity: 'temperature', step: 1 }],
                ['Air speed on the face', 'faceSpeedMPerS', { quantity: 'airSpeed', step: 0.5 }],
                ['Air inlet', 'airInC', { quantity: 'temperature', step: 1 }],
              ]}
              onChange={(change) => setHeat({ ...heat, ...change })}
            />
          )}
        </Fields>
      )}
      {kind === 'pressure' && (
        <Muted>
          Read it with the fans standing. Have a second person read; keep hoses and hands away from fans and hot parts.
        </Muted>
      )}
      <Row>
        <Button isDisabled={!reading} onPress={() => reading && props.onAdd(reading)}>
          Keep it
        </Button>
        <Button onPress={props.onClose}>Cancel</Button>
      </Row>
    </Sheet>
  );
}
