import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import Joi from 'joi';
import { simulatedStation } from '../core/sky';
import { isZone } from '../core/time';

const MOST_URL = 2048;
const HASHED = /(-[0-9a-f]{20,}\.|\.[0-9a-f]{32}\.|^atkinson-)/;

const onlyReading: RequestHandler = (request, response, next) => {
  if (request.method === 'GET' || request.method === 'HEAD') return next();
  response
    .status(405)
    .set('Allow', 'GET, HEAD')
    .type('text')
    .send('This server only hands out the app: GET or HEAD.');
};

const shortUrls: RequestHandler = (request, response, next) => {
  if (request.url.length <= MOST_URL) return next();
  response.status(414).type('text').send(`An address here has at most ${MOST_URL} characters.`);
};

const stationQuery = Joi.object({
  latitude: Joi.number().min(-90).max(90).required(),
  longitude: Joi.number().min(-180).max(180).required(),
  zone: Joi.string()
    .max(60)
    .required()
    .custom((value: string, helpers) => (isZone(value) ? value : helpers.error('any.invalid'))),
  now: Joi.number().integer().min(631_152_000_000).max(7_258_118_400_000).required(),
  seed: Joi.number().integer().min(0).max(1_000_000).default(1),
});

/** A made-up weather station; a real one would answer the same question in the same shape. Nothing is kept. */
const station: RequestHandler = (request, response) => {
  const { error, value } = stationQuery.validate(request.query);
  if (error) {
    response.status(400).json({ error: error.message, field: error.details[0]?.path.join('.') ?? null });
    return;
  }
  const { now, seed, ...place } = value as {
    now: number;
    seed: number;
    latitude: number;
    longitude: number;
    zone: string;
  };
  response.set('Cache-Control', 'no-store').json(simulatedStation(place, now, seed));
};

const broken: ErrorRequestHandler = (error: { status?: number }, _request, response, _next) => {
  const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
  response
    .status(status)
    .type('text')
    .send(status === 500 ? 'Something went wrong on the server.' : 'This address cannot be read.');
};

const safeHeaders = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      'default-src': ["'self'"],
      // The reader of square codes is WebAssembly.
      'script-src': ["'self'", "'wasm-unsafe-eval'"],
      'worker-src': ["'self'"],
      // React Native Web writes its style sheet at run time.
      'style-src': ["'self'", "'unsafe-inline'"],
      'img-src': ["'self'", 'data:', 'blob:'],
      'font-src': ["'self'"],
      'connect-src': ["'self'"],
      'manifest-src': ["'self'"],
      'form-action': ["'self'"],
      'base-uri': ["'none'"],
      'object-src': ["'none'"],
      'frame-ancestors': ["'none'"],
    },
  },
  // The app is served over plain http on this machine; asking for https would only lock it out.
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' },
});

/** The app in `dist`, served safely. It holds no grower's data: everything a grower records stays in the browser. */
export function createApp(dist: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(safeHeaders);
  app.use(shortUrls, onlyReading, compression());
  app.get('/api/station', station);
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is no such service here.' });
  });
  app.use(
    // Files that the build compressed once, as small as it goes; `compression` takes what is left.
    expressStaticGzip(dist, {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: {
        index: false,
        dotfiles: 'ignore',
        setHeaders(response, path) {
          const name = path.slice(path.lastIndexOf('/') + 1);
          response.setHeader(
            'Cache-Control',
            HASHED.test(name) ? 'public, max-age=31536000, immutable' : 'no-cache',
          );
        },
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    // An address with a file's ending that is not there must not get the page instead.
    if (/\.[a-z0-9]{1,8}$/i.test(request.path)) {
      response.status(404).type('text').send('There is no such file here.');
      return;
    }
    const page = join(dist, 'index.html');
    if (!existsSync(page)) {
      response.status(503).type('text').send('The app is not built yet: npm run demo builds and starts it.');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  app.use(broken);
  return app;
}
