import type { Schemas } from '../../api/client';

type Given = Schemas['MoveDocument']['given'];

/** Where an input is entered on its station: the fold that it lies in, and its label; without a label the station is enough. */
export const FIELDS: Record<Given, { readonly fold?: string; readonly label?: string }> = {
  AIR: { label: 'Air temperature' },
  POWER: { fold: 'Engine', label: 'Engine power' },
  HEAT: { fold: 'Engine', label: 'Share into the oil' },
  SUMP: { fold: 'Heat lost by sump and block' },
  RADIATOR: { fold: 'Coolant and radiator' },
  GAUGE: { fold: 'Oil pump and gauge', label: 'Gauge reads' },
  OIL_VOLUME: { fold: 'Oil', label: 'Oil in the engine' },
  PUMP: { fold: 'Oil pump and gauge', label: 'Oil per revolution' },
  OIL: { fold: 'Oil, exchanger, by-pass' },
  ROWS: { label: 'Rows' },
  WIDTH: { label: 'Finned width' },
  THERMOSTAT: { label: 'Thermostat opens' },
  SEALING: { fold: 'Airflow assumptions', label: 'Sealing' },
  SHADE: { fold: 'Airflow assumptions', label: 'Shaded face' },
  OPENING: { fold: 'Airflow assumptions', label: 'Opening' },
  BORE: {},
  HOSE_LENGTH: {},
};

const PATIENCE_MS = 4000;
const AGAIN_MS = 80;
/** A sheet that closes gives the focus back to where it was opened, and the station before is still there for a moment. */
const CLOSED_MS = 300;

/** Opens the fold that a field lies in and brings the field to hand, as soon as its station is there. */
export function seek({ fold, label }: { readonly fold?: string; readonly label?: string }): void {
  const until = performance.now() + PATIENCE_MS;
  const look = () => {
    const page = document.querySelector('.station');
    const summary = [...(page?.querySelectorAll('summary') ?? [])].find(
      (s) => s.querySelector('span')?.textContent === fold,
    );
    const field = [...(page?.querySelectorAll('label') ?? [])].find(
      (l) => l.firstChild?.textContent === label && l.htmlFor,
    );
    const folded = summary?.parentElement as HTMLDetailsElement | null | undefined;
    if (field) {
      field.scrollIntoView({ block: 'center' });
      document.getElementById(field.htmlFor)?.focus();
      return;
    }
    if (folded && !folded.open) {
      summary?.click();
    }
    if (folded && label === undefined) {
      summary?.scrollIntoView({ block: 'center' });
      summary?.focus();
      return;
    }
    if (performance.now() < until) {
      setTimeout(look, AGAIN_MS);
    }
  };
  if (fold !== undefined || label !== undefined) {
    setTimeout(look, CLOSED_MS);
  }
}
