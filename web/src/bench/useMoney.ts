import { useQuery } from '@tanstack/react-query';
import { queries } from '../api/queries';

/** Writes a price with the garage's currency, by its three letters; without one while none has been chosen. */
export function useMoney(): (price: number, digits?: number) => string {
  const currency = useQuery(queries.settings()).data?.settings.currency;
  return (price, digits = 0) => (currency ? `${price.toFixed(digits)}\u00a0${currency}` : price.toFixed(digits));
}
