import express, { type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { LARGEST_BODY_BYTES } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import type { ArchiveReader } from './archive/archiveQueue.ts';
import { archiveRoutes } from './archive/routes.ts';
import { rawSightsRoutes } from './sites/rawSightsRoutes.ts';
import { asBuiltRoutes } from './asBuilt/routes.ts';
import { crewLimits } from './crew/limits.ts';
import { crewLinkRoutes, crewRoutes } from './crew/routes.ts';
import { controlRoutes } from './control/routes.ts';
import { factRoutes } from './facts/routes.ts';
import { ProblemError, problemHandler } from './http/problems.ts';
import { imageRoutes } from './images/routes.ts';
import { declaredBody } from './http/bodyTypes.ts';
import { healthNow, healthOf } from './http/health.ts';
import { sameOrigin } from './http/sameOrigin.ts';
import { inWordingOfSite } from './http/wording.ts';
import { openApiDocument } from './openapi/document.ts';
import { paperRoutes } from './papers/routes.ts';
import { sheetRoutes } from './sheets/routes.ts';
import { siteRoutes } from './sites/routes.ts';
import { sourceRoutes } from './sources/routes.ts';

export interface AppOptions {
  readonly orm: MikroORM;
  readonly log: Logger;
  readonly webFolder: string | null;
  /** Fixed clock of this server for pictures and tests; null for the real one. */
  readonly now: string | null;
  /** The server listens on loopback alone: a page of another name that was led here must not read it. */
  readonly loopbackOnly: boolean;
  /** How the archives are read that come in. */
  readonly archives: ArchiveReader;
}

const LOOPBACK_HOST = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

export function createApp({ orm, log, webFolder, now, loopbackOnly, archives }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  if (loopbackOnly) {
    app.use((request, _response, next) => {
      if (LOOPBACK_HOST.test(request.headers.host ?? '')) next();
      else next(new ProblemError('WRONG_HOST', msg('answers.openItAsHttp12700')));
    });
  }
  app.use(securityHeaders(), sameOrigin, declaredBody);
  const health = healthNow(() => healthOf(orm.em.fork()));
  app.get('/healthz', async (_request, response) => {
    const found = await health();
    response.status(found.status === 'ok' ? 200 : 503).json(found);
  });
  // A clock that stands still can't tell that another one is ahead.
  const arrival = () => (now === null ? new Date() : null);
  const api = express.Router();
  api.use('/sites/:site', inWordingOfSite(orm));
  // The upload routes take their own bodies, with their own limit.
  api.use(
    controlRoutes(orm, arrival),
    imageRoutes(orm),
    sourceRoutes(orm),
    archiveRoutes(orm, archives),
    rawSightsRoutes(),
  );
  api.use(express.json({ limit: LARGEST_BODY_BYTES, type: ['application/json', 'application/merge-patch+json'] }));
  api.get('/clock', (_request, response) => {
    response.json({ now: now ?? new Date().toISOString(), fixed: now !== null });
  });
  const description = openApiDocument();
  api.get('/openapi.json', (_request, response) => {
    response.json(description);
  });
  const clock = () => new Date(now ?? Date.now());
  api.use(
    siteRoutes(orm),
    factRoutes(orm, arrival, log),
    sheetRoutes(orm, clock, arrival),
    asBuiltRoutes(orm),
    paperRoutes(orm),
    crewLinkRoutes(orm, clock),
    crewRoutes(orm, clock),
  );
  api.use(() => {
    throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchAddressInThis'));
  });
  app.use('/api/v1', api);
  if (webFolder !== null) serveWeb(app, webFolder);
  app.use(problemHandler(log));
  return app;
}

const securityHeaders = () =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'"],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });

/**
 * The crew’s pages alone: read and report by token, the page’s own files, and nothing else of any site. What listens to
 * the network is this; the application itself stays on loopback.
 */
export function createCrewApp({ orm, log, webFolder, now }: Omit<AppOptions, 'loopbackOnly' | 'archives'>): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders(), sameOrigin, declaredBody);
  const api = express.Router();
  api.use('/crew', ...crewLimits());
  api.use(express.json({ limit: LARGEST_CREW_BODY_BYTES }));
  const clock = () => new Date(now ?? Date.now());
  api.get('/clock', (_request, response) => {
    response.json({ now: clock().toISOString(), fixed: now !== null });
  });
  api.use(crewRoutes(orm, clock));
  app.use('/api/v1', api);
  if (webFolder !== null) {
    app.use(
      '/assets',
      express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
    app.get(['/crew/:token', '/crew/:token/:name'], (_request, response) => {
      response.sendFile(join(webFolder, 'index.html'));
    });
  }
  app.use(() => {
    throw new ProblemError('NOT_FOUND', msg('answers.onlyTheCrewsPagesAreServedHere'));
  });
  app.use(problemHandler(log));
  return app;
}

/** A report is a few lines. */
const LARGEST_CREW_BODY_BYTES = 8 * 1024;

function serveWeb(app: Express, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.get('/{*path}', (request, response, next) => {
    // A missing script must not come back as a page.
    if (request.path.startsWith('/api') || request.path.startsWith('/assets')) next();
    else response.sendFile(join(folder, 'index.html'));
  });
}
