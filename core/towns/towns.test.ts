import { isZone } from '../time';
import { findTowns, towns, townOfZone } from '.';

test('every town has a zone of ours and coordinates on the globe', () => {
  for (const { zone, latitude, longitude } of towns) {
    expect([zone, isZone(zone)]).toEqual([zone, true]);
    expect(Math.abs(latitude)).toBeLessThanOrEqual(90);
    expect(Math.abs(longitude)).toBeLessThanOrEqual(180);
  }
});

test('a town is found by the start of its name, its country or its zone, without accents', () => {
  expect(findTowns('ljub')[0]?.zone).toBe('Europe/Ljubljana');
  expect(findTowns('slovenia')[0]?.name).toBe('Ljubljana');
  expect(findTowns('curacao')[0]?.country).toBe('Curaçao');
  expect(findTowns('  ')).toEqual([]);
  expect(townOfZone('Europe/Ljubljana')?.latitude).toBe(46.05);
  expect(townOfZone('Mars/Olympus')).toBeNull();
});
