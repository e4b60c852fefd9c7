import { roundCalendar } from '@core/formats';
import { saveFile } from './device/files';
import { piece } from './device/pieces';

const calendarFile = piece(() => import('./calendarFile'));

/** Saves the coming rounds and looks as a file for the grower's own calendar. */
export async function saveRounds(...coming: Parameters<typeof roundCalendar>): Promise<void> {
  const { toCalendar } = await calendarFile.fetch();
  saveFile('steady-trowel-rounds.ics', 'text/calendar;charset=utf-8', toCalendar(roundCalendar(...coming)));
}
