import type { Schemas } from '../../api/client';
import { usePreferences } from '../../preferences/preferences';
import { quantityOf } from '../../words/words';

/** Says a figure of a run sheet in the reader's units, from and to where it has both. */
export function useFigure(): (f: Schemas['SheetFigure']) => string {
  const { show } = usePreferences();
  return (f) => {
    const q = quantityOf(f.measure);
    return f.low === f.high ? show(f.low, q) : `${show(f.low, q)} to ${show(f.high, q)}`;
  };
}
