import { matchPath, useNavigate } from 'react-router';

/** The address of a place: a car, a station and a design. */
export const PLACE = '/cars/:carId/:station?/:designId?';

/** Goes to a place of this car and keeps what stands after the question mark, except what is changed. */
export function useGo() {
  const navigate = useNavigate();
  return (to: { car?: string; station?: string; design?: string; duty?: string; against?: string | undefined }) => {
    // Where one is when it goes, not when it was asked for: an answer may have been waited for meanwhile.
    const { carId, station, designId } = matchPath(PLACE, window.location.pathname)?.params ?? {};
    const next = new URLSearchParams(to.car && to.car !== carId ? '' : window.location.search);
    if (to.duty) {
      next.set('duty', to.duty);
    }
    if ('against' in to) {
      if (to.against) {
        next.set('against', to.against);
      } else {
        next.delete('against');
      }
    }
    const design = to.design ?? (to.car && to.car !== carId ? '' : designId);
    void navigate(
      {
        pathname: `/cars/${to.car ?? carId}/${to.station ?? station}${design ? `/${design}` : ''}`,
        search: next.toString(),
      },
      // At once, so that what is pressed next already belongs to the new place.
      { flushSync: true },
    );
  };
}
