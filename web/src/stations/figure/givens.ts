import type { Schemas } from '../../api/client';
import { word } from '../../words/words';

type Given = Schemas['MoveDocument']['given'];

/** Where an input is entered on its station: in which fold, and whether in a field, which has the input's name. */
const PLACES: Record<Given, { readonly fold?: string; readonly field?: boolean }> = {
  AIR: { field: true },
  POWER: { fold: 'Engine', field: true },
  HEAT: { fold: 'Engine', field: true },
  SUMP: { fold: 'Heat lost by sump and block' },
  RADIATOR: { fold: 'Coolant and radiator' },
  GAUGE: { fold: 'Oil pump and gauge', field: true },
  OIL_VOLUME: { fold: 'Oil', field: true },
  PUMP: { fold: 'Oil pump and gauge', field: true },
  OIL: { fold: 'Oil, exchanger, by-pass' },
  ROWS: { field: true },
  WIDTH: { field: true },
  THERMOSTAT: { field: true },
  SEALING: { fold: 'Airflow assumptions', field: true },
  SHADE: { fold: 'Airflow assumptions', field: true },
  OPENING: { fold: 'Airflow assumptions', field: true },
  // Chosen with the hose, or measured with its route: their station is enough.
  BORE: {},
  HOSE_LENGTH: {},
};

const PATIENCE_MS = 15_000;
const AGAIN_MS = 80;
/** The station before is still there for a moment. */
const LEFT_MS = 300;

/** Brings something to hand; one that was just drawn may not take the focus yet. */
function brought(at: HTMLElement | null | undefined | false): boolean {
  if (!at) {
    return false;
  }
  at.scrollIntoView({ block: 'center' });
  at.focus();
  return document.activeElement === at;
}

/** Opens the fold that a field lies in and brings the field to hand, as soon as its station is there. */
export function seek(given: Given): void {
  const { fold, field: entered } = PLACES[given];
  const label = entered ? word('given', given) : undefined;
  const until = performance.now() + PATIENCE_MS;
  const look = () => {
    // A sheet that closes gives the focus back to where it was opened: it has to be gone first.
    const shut = document.querySelector('[role=dialog]') === null;
    const page = document.querySelector('.station');
    const summary = [...(page?.querySelectorAll('summary') ?? [])].find(
      (s) => s.querySelector('span')?.textContent === fold,
    );
    const field = [...(page?.querySelectorAll('label') ?? [])].find(
      (l) => l.firstChild?.textContent === label && l.htmlFor,
    );
    const folded = summary?.parentElement as HTMLDetailsElement | null | undefined;
    if (shut && folded && !folded.open) {
      summary?.click();
    } else if (shut && brought(field ? document.getElementById(field.htmlFor) : label === undefined && summary)) {
      return;
    }
    if (performance.now() < until) {
      setTimeout(look, AGAIN_MS);
    }
  };
  if (fold !== undefined || label !== undefined) {
    setTimeout(look, LEFT_MS);
  }
}
