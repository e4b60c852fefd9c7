import { addDays } from '../time';
import { simulatedStation, weatherOn, wetMornings, type StationReading } from '.';

const PLACE = { latitude: 46.2, longitude: 14.6, zone: 'Europe/Ljubljana' };
const TODAY = '2026-07-14';
const NOW = Date.parse('2026-07-14T03:05:00Z');
const TOMORROW = addDays(TODAY, 1);

/** A dry station, with so much rain at one hour (UTC) of tomorrow. */
function station(hourUtc: number, mm: number): StationReading {
  const reading = simulatedStation(PLACE, NOW);
  const at = Date.parse(`${TOMORROW}T00:00:00Z`) + hourUtc * 3_600_000;
  return {
    ...reading,
    hours: reading.hours.map((hour) => ({ ...hour, rainMm: hour.at === at ? mm : 0 })),
    days: reading.days.map((day) => ({ ...day, rainMm: day.date === TOMORROW ? mm : 0 })),
  };
}
const wet = (reading: StationReading | null, noted = {}) =>
  wetMornings((date) => weatherOn(PLACE, date, noted, reading), reading, PLACE.zone, TODAY);

test('rain in the hours of the round makes a morning wet, a shower in the afternoon does not', () => {
  expect(wet(station(5, 4))).toEqual([TOMORROW]);
  expect(wet(station(15, 12))).toEqual([]);
  expect(wet(station(5, 0.4))).toEqual([]);
});

test('without a station what somebody noted of the day counts, and where nobody knows nothing is said', () => {
  const note = { minC: null, maxC: null, dewPointC: null, felt: null, origin: 'hand' as const };
  expect(wet(null, { [TOMORROW]: { ...note, rainMm: 6 } })).toEqual([TOMORROW]);
  expect(wet(null)).toEqual([]);
});
