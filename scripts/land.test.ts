import { seededRandom } from '../core/random';
import { seaAround, seaAt } from '../core/sky';
import { isLand, NORTH, SOUTH } from './land';

test('the table of land and sea holds what the map does', () => {
  const random = seededRandom(7);
  for (let i = 0; i < 60; i++) {
    const south = SOUTH + 2 * Math.floor((random() * (NORTH - SOUTH)) / 2);
    const west = -180 + 2 * Math.floor(random() * 180);
    expect([south, west, seaAt(south + 1, west + 1)]).toEqual([south, west, isLand(south, west) ? 0 : 1]);
  }
});

test('an ocean is all sea and a continent none, across the date line and past the edges too', () => {
  expect(seaAround({ latitude: 0, longitude: -179 })).toMatchObject({ around: 1 });
  expect(seaAround({ latitude: 55, longitude: 80 }).around).toBe(0);
  expect(seaAt(0, 180)).toBe(seaAt(0, -180));
  for (const latitude of [-90, 90])
    for (const each of Object.values(seaAround({ latitude, longitude: 10 })))
      expect(each).toBeLessThanOrEqual(1);
});
