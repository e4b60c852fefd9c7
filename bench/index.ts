import { benchBrowser } from './browser';
import { benchCore } from './core';

async function main(): Promise<void> {
  benchCore();
  await benchBrowser();
}

void main();
