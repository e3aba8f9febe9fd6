import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { scaleRoutes } from './scaleRoutes';
import { weatherRoutes } from './weatherRoutes';

export interface ServerOptions {
  /** The folder that the build was exported to. */
  readonly dist: string;
  /** Opens the demo for a visitor with nothing stored. */
  readonly demo: boolean;
  /** Requests to the stand-ins that one address may make in a minute. */
  readonly devicesAMinute?: number;
}

/** A hand at a scale and a look at the weather make far fewer. */
const DEVICES_A_MINUTE = 600;

/** Names by which a browser trusts this machine without HTTPS. */
const TRUSTED_NAME = /^(?:localhost|127\.\d+\.\d+\.\d+|\[::1\])(?::\d+)?$/;

const PAGE_METHODS: readonly string[] = ['GET', 'HEAD'];
const DEVICE_METHODS: readonly string[] = [...PAGE_METHODS, 'POST'];

const YEAR = '365d';

/**
 * React Native for Web keeps its classes in a style element that starts empty and is filled through the style sheet's
 * own interface; the hash of nothing lets that one through and no other inline style.
 */
const EMPTY_STYLE_HASH = `'sha256-${createHash('sha256').update('').digest('base64')}'`;

/** Files with the compressed twins that the build laid beside them: nothing is compressed while somebody waits. */
function packed(folder: string, serveStatic: expressStaticGzip.ExpressStaticGzipOptions['serveStatic']) {
  return expressStaticGzip(folder, {
    index: false,
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    serveStatic: { index: false, ...serveStatic },
  });
}

/** Nothing has been built yet. */
export class NoBuild extends Error {}

/** Serves the built application, a health answer and the stand-in scale; stores nothing and asks nobody. */
export function makeServer({ dist, demo, devicesAMinute = DEVICES_A_MINUTE }: ServerOptions): Express {
  const index = path.join(dist, 'index.html');
  if (!existsSync(index)) throw new NoBuild(`There is no build in ${dist}: run "npm run build" first.`);
  const page = readFileSync(index, 'utf8');

  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          // The solver is WebAssembly: compiling it is allowed, evaluating text is not.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // Metro starts a worker through a blob of one line that imports the real file.
          workerSrc: ["'self'", 'blob:'],
          styleSrc: ["'self'", EMPTY_STYLE_HASH],
          // Pictures of her own hair come out of the store as data, and are made small from what she chose.
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      crossOriginEmbedderPolicy: true,
      // The application is served over plain HTTP on the person's own machine; a promise of HTTPS would lock it out.
      strictTransportSecurity: false,
    }),
  );
  app.use((request, response, next) => {
    // Over plain HTTP by a name of the network browsers ignore these, and complain of each on every page.
    if (!request.secure && !TRUSTED_NAME.test(request.headers.host ?? ''))
      for (const header of ['Cross-Origin-Opener-Policy', 'Origin-Agent-Cluster'])
        response.removeHeader(header);
    next();
  });
  app.use((request, response, next) => {
    const allowed = request.path.startsWith('/devices/') ? DEVICE_METHODS : PAGE_METHODS;
    if (allowed.includes(request.method)) return next();
    response
      .set('Allow', allowed.join(', '))
      .status(405)
      .type('text')
      .send('Only ' + allowed.join(' and ') + ' here.');
  });
  app.get('/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ status: 'ok' });
  });
  app.use(
    '/devices',
    rateLimit({
      windowMs: 60_000,
      limit: devicesAMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      message: { error: 'Too many requests to the devices; wait a minute.' },
    }),
  );
  app.use('/devices/scale', scaleRoutes(Date.now));
  app.use('/devices/weather', weatherRoutes());
  // Names under _expo carry a hash of their contents, so they never change.
  app.use('/_expo', packed(path.join(dist, '_expo'), { immutable: true, maxAge: YEAR, fallthrough: false }));
  app.use('/fonts', packed(path.join(dist, 'fonts'), { maxAge: '30d', fallthrough: false }));
  // Asked for beside what is no page of ours; pages name their icon themselves.
  app.get('/favicon.ico', (_request, response) => response.redirect(301, '/icon.svg'));
  app.use(packed(dist, { maxAge: 0 }));
  app.get('/{*any}', (request, response) => {
    // A place has no ending; what has one is a file, and this one is not there.
    if (path.extname(request.path) !== '' || request.path.startsWith('/devices/')) {
      response.status(404).type('text').send('Not found');
      return;
    }
    if (demo && request.path === '/' && request.query.start === undefined) {
      response.redirect(302, '/?start=demo');
      return;
    }
    response.set('Cache-Control', 'no-cache').type('html').send(page);
  });
  app.use((error: { status?: number }, _request: Request, response: Response, _next: NextFunction) => {
    response
      .status(error.status ?? 500)
      .type('text')
      .send(error.status === 404 ? 'Not found' : 'That did not work.');
  });
  return app;
}
