import { benchBrowser } from './browser';
import { benchCore } from './core';
import { benchReading } from './reading';
import { benchRounds } from './rounds';
import { benchSeasons } from './season';

async function main(): Promise<void> {
  benchCore();
  benchReading();
  benchRounds();
  benchSeasons(150);
  await benchBrowser();
}

void main();
