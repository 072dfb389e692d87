import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useBench } from '../bench/workbench';
import { DocumentNumber } from '../kit/fields';
import { Button, Muted, Pick, Row, Sheet } from '../kit/kit';
import { Fields } from '../kit/layout';

export type Reading = Schemas['ReadingDocument'];

const KINDS = [
  { id: 'dash', name: 'Highest oil temperature on the dash', short: 'Dash' },
  { id: 'pressure', name: 'Pressure across the core on the road', short: 'Across the core' },
  { id: 'makersHeat', name: 'Heat figure from the core’s maker', short: 'Maker’s heat figure' },
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
    () => (designs.find((d) => d.design.cooler === undefined) ?? designs[0])?.id ?? designId,
  );
  const [ambientC, setAmbient] = useState(duty.ambientC);
  const [shownC, setShown] = useState(110);
  const [errorC, setError] = useState(3);
  const [pressure, setPressure] = useState({ pa: 150, speedKmh: 100 });
  const [heat, setHeat] = useState({ oilFlowLPerMin: 30, oilInC: 120, faceSpeedMPerS: 8, airInC: 25, heatKw: 12 });
  const choices = kind === 'dash' ? designs : cooled;
  const driven = choices.find((d) => d.id === drivenDesign) ?? choices[0];
  const asDriven = duties.find((d) => d.id === drivenDuty)?.duty;
  const made = (): Reading | undefined => {
    if (!driven) {
      return undefined;
    }
    const name = `${KINDS.find((k) => k.id === kind)?.short ?? ''}: ${driven.design.name}`.slice(0, 120);
    if (kind === 'dash') {
      return asDriven && { name, dash: { design: driven.design, duty: { ...asDriven, ambientC }, shownC, errorC } };
    }
    if (kind === 'pressure') {
      return { name, pressure: { design: driven.design, ...pressure, ambientC, altitudeM: duty.altitudeM } };
    }
    return { name, makersHeat: { design: driven.design, oil: driven.design.oil ?? car.oil, ...heat } };
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
              <DocumentNumber
                label="Highest oil temperature shown"
                schema="Dash"
                field="shownC"
                quantity="temperature"
                value={shownC}
                step={1}
                onChange={setShown}
              />
              <DocumentNumber
                label="May be off by"
                schema="Dash"
                field="errorC"
                quantity="temperatureDifference"
                value={errorC}
                step={0.5}
                onChange={setError}
              />
            </>
          )}
          {kind === 'pressure' && (
            <>
              <DocumentNumber
                label="Across the core"
                schema="Pressure"
                field="pa"
                suffix="Pa"
                value={pressure.pa}
                step={10}
                onChange={(pa) => setPressure({ ...pressure, pa })}
              />
              <DocumentNumber
                label="at"
                schema="Pressure"
                field="speedKmh"
                quantity="speed"
                value={pressure.speedKmh}
                step={5}
                onChange={(speedKmh) => setPressure({ ...pressure, speedKmh })}
              />
            </>
          )}
          {kind === 'makersHeat' && (
            <>
              <DocumentNumber
                label="Heat given off"
                schema="MakersHeat"
                field="heatKw"
                quantity="heat"
                value={heat.heatKw}
                step={0.5}
                onChange={(heatKw) => setHeat({ ...heat, heatKw })}
              />
              <DocumentNumber
                label="Oil flow"
                schema="MakersHeat"
                field="oilFlowLPerMin"
                quantity="flow"
                value={heat.oilFlowLPerMin}
                step={1}
                onChange={(oilFlowLPerMin) => setHeat({ ...heat, oilFlowLPerMin })}
              />
              <DocumentNumber
                label="Oil inlet"
                schema="MakersHeat"
                field="oilInC"
                quantity="temperature"
                value={heat.oilInC}
                step={1}
                onChange={(oilInC) => setHeat({ ...heat, oilInC })}
              />
              <DocumentNumber
                label="Air speed on the face"
                schema="MakersHeat"
                field="faceSpeedMPerS"
                quantity="airSpeed"
                value={heat.faceSpeedMPerS}
                step={0.5}
                onChange={(faceSpeedMPerS) => setHeat({ ...heat, faceSpeedMPerS })}
              />
              <DocumentNumber
                label="Air inlet"
                schema="MakersHeat"
                field="airInC"
                quantity="temperature"
                value={heat.airInC}
                step={1}
                onChange={(airInC) => setHeat({ ...heat, airInC })}
              />
            </>
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
