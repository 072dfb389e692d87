import { useState } from 'react';
import { Button, Muted, QuantityField } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { quantityOf, word } from '../../words/words';
import type { FigureName, Readable, Write } from './entries';

/** Figures of an oil analysis, or of a look at the dash: what was read is filled in, the rest stays empty. */
export function FigureFields({ figures, write }: { figures: readonly Readable[]; write: Write }) {
  const [values, setValues] = useState<Partial<Record<FigureName, number>>>({});
  const read = figures.filter((f) => values[f.figure] !== undefined);
  const kind = figures[0]?.kind;
  if (!kind) {
    return null;
  }
  return (
    <>
      <Fields>
        {figures.map((f) => (
          <QuantityField
            key={f.figure}
            label={word('careFigure', f.figure)}
            {...(f.measure === 'NUMBER' ? {} : { quantity: quantityOf(f.measure) })}
            {...(f.measure === 'SHARE' ? { digits: 1 } : {})}
            value={values[f.figure]}
            min={f.least}
            max={f.most}
            step={f.most > 100 ? 1 : 0.1}
            onChange={(v) => setValues({ ...values, [f.figure]: v })}
          />
        ))}
      </Fields>
      <Button
        isDisabled={read.length === 0}
        onPress={() => {
          write({ kind, figures: read.map(({ figure }) => ({ figure, value: values[figure] ?? 0 })) });
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
