import { type Schemas } from '../../api/client';
import { CHANNELS } from './channels';

export function Spoiled({ report }: { report: Schemas['LogReport'] }) {
  return (
    <>
      {report.spoiled > 0 && (
        <details>
          <summary>
            ▲ {report.spoiled.toLocaleString('en')} {report.spoiled === 1 ? 'row is' : 'rows are'} left out
          </summary>
          <ul style={{ margin: '6px 0 0', paddingLeft: 20 }}>
            {report.samples.slice(0, 20).map((s) => (
              <li key={s.line}>
                Line {s.line}: {s.reason}
              </li>
            ))}
          </ul>
        </details>
      )}
      {report.outOfRange.map((o) => (
        <p key={o.channel} style={{ margin: 0 }}>
          ▲ {o.readings.toLocaleString('en')} {o.readings === 1 ? 'reading' : 'readings'} of{' '}
          {CHANNELS[o.channel].toLowerCase()} left out: no car shows such a figure. Check the sensor or its unit.
        </p>
      ))}
      {report.clockJumps > 0 && (
        <p style={{ margin: 0 }}>
          ▲ The logger&apos;s clock was set{' '}
          {report.clockJumps === 1 ? 'once' : `${report.clockJumps.toLocaleString('en')} times`} while it ran. The times
          go on from where they were.
        </p>
      )}
    </>
  );
}
