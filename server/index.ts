import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { createApp } from './app';

const FIRST_PORT = 8080;
const TRIES = 20;
const HOST = '127.0.0.1';

function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return FIRST_PORT;
  const port = Number(text);
  if (Number.isInteger(port) && port >= 0 && port <= 65_535) return port;
  console.error(`PORT must be a whole number from 0 to 65535, not "${text}".`);
  process.exit(1);
}

function listen(port: number, triesLeft: number): void {
  const server = createApp(join(__dirname, '..', 'dist')).listen(port, HOST);
  server.once('listening', () => {
    const address = `http://${HOST}:${(server.address() as AddressInfo).port}`;
    console.log(
      `Steady Trowel is ready.\n  The demo patch:  ${address}/demo\n  Your own patch:  ${address}/\nStop it with Ctrl+C.`,
    );
  });
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE' || triesLeft === 0 || process.env.STRICT_PORT) {
      console.error(`Cannot listen on port ${port}: ${error.message}`);
      process.exit(1);
    }
    console.log(`Port ${port} is taken by another program; trying ${port + 1}.`);
    listen(port + 1, triesLeft - 1);
  });
}

listen(portFrom(process.env.PORT), TRIES);
