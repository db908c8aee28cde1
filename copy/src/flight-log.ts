import type { FlightLogError } from '@skelby/core/flight-log/reading';
import { messageWords, said } from './say';

const LINE = 'Line';

/** What is wrong with a flight log: line, column, and what to do. */
export function flightLogWords({ said: wrong, line, column }: FlightLogError): string {
  const where = line === null ? '' : `${LINE} ${line}${column === null ? '' : `, ${messageWords(column)}`}: `;
  return `${where}${said(wrong)}`;
}
