import { benchBrowser } from './browser';
import { benchCore } from './core';
import { benchReading } from './reading';

async function main(): Promise<void> {
  benchCore();
  benchReading();
  await benchBrowser();
}

void main();
