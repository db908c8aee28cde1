import type { FlightEventName } from '@skelby/core/recorded-flight/events/flight-event';
import type { RecordedField } from '@skelby/core/recorded-flight/mapping/fields';
import { EVENT_NAMES, FIELD_NAMES } from './en/recorded-flight';

/** What happened, in a few words. */
export const eventName = (is: FlightEventName): string => EVENT_NAMES[is];
/** What a column of a recorder means. */
export const fieldName = (field: RecordedField): string => FIELD_NAMES[field];
