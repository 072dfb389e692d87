import build from '../../../docs/stations/build.md?raw';
import care from '../../../docs/stations/care.md?raw';
import core from '../../../docs/stations/core.md?raw';
import duty from '../../../docs/stations/duty.md?raw';
import place from '../../../docs/stations/place.md?raw';
import plumb from '../../../docs/stations/plumb.md?raw';
import prove from '../../../docs/stations/prove.md?raw';

/** What is decided on each station, how builders do it, what can go wrong. */
export const PAGES: Readonly<Record<string, string>> = { duty, core, place, plumb, build, prove, care };
