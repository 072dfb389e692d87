import { choices } from '../../api/descriptions';
import { useBench } from '../../bench/workbench';
import { Muted, Pick } from '../../kit/kit';
import { word } from '../../words/words';

/** What of this design is built; the rest is on the car and stays. */
export function WorkFields() {
  const { car, design, now, changeDesign } = useBench();
  const work = design.work ?? 'WHOLE';
  const hasCooler = Boolean(design.cooler);
  const hasFactoryCooler = Boolean(car.factoryCooler);
  const offered = choices('DesignDocument', 'work').filter(
    (w) => w === work || (w === 'EXCHANGER' ? !hasCooler : hasCooler && (w !== 'IN_SERIES' || hasFactoryCooler)),
  );
  return (
    <>
      <Pick
        label="What is built"
        value={work}
        options={offered.map((id) => ({ id, name: word('work', id) }))}
        onChange={(next) => {
          const rest = { ...now().design };
          delete rest.work;
          changeDesign(next === 'WHOLE' ? rest : { ...rest, work: next });
        }}
      />
      <Muted>{word('work', work, 'stays')}</Muted>
      {work === 'EXCHANGER' && (
        <Pick
          label="Coolant hoses"
          value={design.coolantEnds ?? 'JOINED'}
          options={[
            { id: 'JOINED', name: 'Joined by a hose' },
            { id: 'BLANKED', name: 'Both stubs capped' },
          ]}
          onChange={(coolantEnds) => changeDesign({ ...now().design, coolantEnds })}
        />
      )}
    </>
  );
}
