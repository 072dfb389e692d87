import { useState } from 'react';
import { choices } from '../../api/descriptions';
import { Button, Muted, QuantityField } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { FIGURES, type FigureName, type Write } from './entries';
import { word } from '../../words/words';

/** Figures of an oil analysis, or of a look at the dash: what was read is filled in, the rest stays empty. */
export function FigureFields({ kind, write }: { kind: 'OIL_ANALYSIS' | 'DASH'; write: Write }) {
  const [values, setValues] = useState<Partial<Record<FigureName, number>>>({});
  const shown = choices('CareFigureDocument', 'figure').filter((f) => FIGURES[f].kind === kind);
  const read = shown.filter((f) => values[f] !== undefined);
  return (
    <>
      <Fields>
        {shown.map((f) => (
          <QuantityField
            key={f}
            label={word('careFigure', f)}
            {...FIGURES[f].field}
            value={values[f]}
            onChange={(v) => setValues({ ...values, [f]: v })}
          />
        ))}
      </Fields>
      <Button
        isDisabled={read.length === 0}
        onPress={() => {
          write({ kind, figures: read.map((figure) => ({ figure, value: values[figure] ?? 0 })) });
          setValues({});
        }}
      >
        Save these figures
      </Button>
      {kind === 'OIL_ANALYSIS' && (
        <Muted>
          Leave empty what the laboratory did not tell. Viscosity is the kinematic one at its hot temperature.
        </Muted>
      )}
    </>
  );
}
