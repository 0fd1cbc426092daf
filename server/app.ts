import path from 'node:path';
import compression from 'compression';
import express, { Router, type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { pinoHttp } from 'pino-http';
import { collectionFormat, openApi } from '#contracts';
import { authRoutes } from './account';
import { backupRoutes } from './backup';
import { browserRoutes } from './browsers';
import { bankRoutes, noteRoutes, proposalRoutes } from './bank';
import { collectionRoutes, sharingRoutes } from './collections';
import { caseRoutes, draftRoutes } from './cases';
import type { Context } from './context';
import { eventRoutes, presenceRoutes } from './streams';
import { entryFileRoutes, fileRoutes } from './files';
import { dictionaryRoutes } from './dictionaries';
import { jobRoutes } from './jobs';
import { glossaryRoutes, useRoutes } from './glossaries';
import { bind, errorHandler, headers, knownHost, nothingHere, sameOrigin } from './http';
import { doubleRoutes } from './doubles';
import { houseWordRoutes } from './houseWords';
import { personalRoutes } from './personal';
import { phraseRoutes } from './phrases';
import { practiceRoutes } from './practice';
import { reviewRoutes } from './reviews';
import { rewordingRoutes } from './rewording';
import { sendingRoutes } from './sendings';
import { importRoutes } from './imports';
import { stepRoutes } from './steps';
import { usageRoutes } from './usage';
import { groupRoutes, invitationRoutes, joiningRoutes, ownRoutes, peopleRoutes, trailRoutes } from './people';
import { wastebasketRoutes } from './wastebasket';
import { workRoutes } from './work';

/** One line a request: method, the route without its ids, status, time. Nothing of what was said. */
function requestLog(context: Context) {
  return pinoHttp({
    logger: context.log,
    autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') },
    serializers: {
      req: (request: { method: string; url: string }) => ({
        method: request.method,
        route: request.url.split('?')[0]?.split('/').slice(0, 3).join('/'),
      }),
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
      err: () => undefined,
    },
    customLogLevel: (_request, response) => (response.statusCode >= 500 ? 'error' : 'debug'),
  });
}

function pages(app: Express, folder: string): void {
  app.use(
    '/assets',
    expressStaticGzip(path.join(folder, 'assets'), {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gzip'],
      serveStatic: { immutable: true, maxAge: '365d' },
    }),
  );
  // Of a build before this one: a page would take the answer below for a script.
  app.use('/assets', (_request, response) => void response.sendStatus(404));
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(path.join(folder, 'index.html'));
  });
}

/** The whole application as an Express app: the API, then the web pages. */
export function makeApp(context: Context): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.set('trust proxy', context.settings.proxies);
  app.use(requestLog(context));
  app.use(headers(context.settings.secureCookies));
  app.use(
    compression({
      filter: (request, response) => request.path !== '/api/events' && compression.filter(request, response),
    }),
  );

  const api = Router();
  api.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'private, no-cache');
    next();
  });
  api.use('/api', knownHost(context.settings.address), sameOrigin(context.settings.address));
  bind(api, context, 'health', () => Promise.resolve({ ready: true }));
  // Made once: to make it costs a quarter of a second, and anyone may ask for it.
  let description: ReturnType<typeof openApi> | undefined;
  bind(api, context, 'openApi', () => Promise.resolve((description ??= openApi(context.version))));
  bind(api, context, 'collectionFormat', () => Promise.resolve(collectionFormat()));
  for (const routes of [
    authRoutes,
    bankRoutes,
    browserRoutes,
    collectionRoutes,
    sharingRoutes,
    proposalRoutes,
    workRoutes,
    caseRoutes,
    draftRoutes,
    fileRoutes,
    entryFileRoutes,
    jobRoutes,
    doubleRoutes,
    phraseRoutes,
    personalRoutes,
    rewordingRoutes,
    houseWordRoutes,
    reviewRoutes,
    usageRoutes,
    practiceRoutes,
    stepRoutes,
    importRoutes,
    backupRoutes,
    sendingRoutes,
    dictionaryRoutes,
    glossaryRoutes,
    useRoutes,
    joiningRoutes,
    invitationRoutes,
    peopleRoutes,
    groupRoutes,
    ownRoutes,
    trailRoutes,
    wastebasketRoutes,
    noteRoutes,
    presenceRoutes,
    eventRoutes,
  ])
    routes(api, context);
  api.use('/api', nothingHere);
  app.use(api);
  if (context.settings.webFolder) pages(app, context.settings.webFolder);
  app.use(errorHandler(context));
  return app;
}
