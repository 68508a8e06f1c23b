import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import connectPgSimple from 'connect-pg-simple';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import pg from 'pg';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { DataSource } from 'typeorm';
import { AppModule } from './app.module.ts';
import { loggedAddress, ProblemFilter, validationPipe } from './common/index.ts';
import { serverSecret } from './database/index.ts';
import { keepSession } from './studios/index.ts';

/** What a stranger may send: a sign-up is a tenth of it. */
const MOST_BEFORE_SESSION = 16 * 1024;
const MOST_BODY = 1024 * 1024;
/** A shelf of thousands of exercises comes in one piece, so that it is taken whole or not at all. */
const MOST_IMPORT = 24 * 1024 * 1024;
const SESSION_DAYS = 30;
const A_YEAR = 31_536_000_000;

/** How one server is set up. */
export interface ServerSettings {
  readonly databaseUrl: string;
  /** Folder of the built pages; the API alone is served without it. */
  readonly webFolder?: string;
  /** Address the pages have for the outside; https makes cookies Secure. */
  readonly publicUrl?: string;
  readonly trustProxy?: string;
  readonly logLevel?: string;
  /** Where nightly backups are kept; there are none without it. */
  readonly backupFolder?: string;
}

function securityHeaders(isSecure: boolean): ReturnType<typeof helmet> {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        // Mantine and the charts set sizes and positions as style attributes.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        mediaSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'", 'blob:', 'data:'],
        workerSrc: ["'self'", 'blob:'],
        upgradeInsecureRequests: isSecure ? [] : null,
      },
    },
    strictTransportSecurity: isSecure,
  });
}

function sessions(source: pg.Pool, secret: string, isSecure: boolean): ReturnType<typeof session> {
  const Store = connectPgSimple(session);
  return session({
    store: new Store({ pool: source, tableName: 'session', disableTouch: true }),
    // The prefix binds the cookie to this very host; browsers take it over TLS alone.
    name: isSecure ? '__Host-soft-lark' : 'soft-lark',
    secret,
    resave: false,
    saveUninitialized: false,
    // Written when its hour is over (keepSession) and not at every call.
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: isSecure, maxAge: SESSION_DAYS * 86_400_000 },
  });
}

/** Answers of the API are for whoever asked alone: no proxy and no history of a browser keeps them. */
function neverKept(_request: Request, response: Response, next: NextFunction): void {
  response.set('Cache-Control', 'no-store');
  next();
}

/** Bodies as large as the caller may send: little before there is a session, a shelf of thousands only as an import. */
function bodies(): RequestHandler {
  const small = express.json({ limit: MOST_BEFORE_SESSION });
  const usual = express.json({ limit: MOST_BODY });
  // Read as text: what it says is worked out in a thread of its own.
  const shelf = express.text({ type: 'application/json', limit: MOST_IMPORT });
  return (request, response, next) => {
    const isImport = request.method === 'POST' && request.path === '/exercises/imports';
    const known = isImport ? shelf : usual;
    (request.session.signedIn ? known : small)(request, response, next);
  };
}

/** Hashed files for a year; the page itself is asked for each time; unknown paths are places of the page. */
function servePages(app: NestExpressApplication, folder: string): void {
  const page = join(folder, 'index.html');
  if (!existsSync(page)) throw new Error(`The pages are not built: ${page} is missing. Run npm run build.`);
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: A_YEAR, fallthrough: false }));
  app.use('/sounds', express.static(join(folder, 'sounds'), { maxAge: A_YEAR, fallthrough: false }));
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) next();
    else response.set('Cache-Control', 'no-cache').sendFile(page);
  });
}

/**
 * Puts a server together, ready to listen.
 *
 * @throws where the database cannot be reached or the pages are not built
 */
export async function createApp(settings: ServerSettings): Promise<NestExpressApplication> {
  const log: Logger = pino({ level: settings.logLevel ?? 'info' });
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.at(settings.databaseUrl, settings.backupFolder),
    {
      bodyParser: false,
      logger: ['error', 'warn', 'fatal'],
      abortOnError: false,
    },
  );
  const isSecure = settings.publicUrl?.startsWith('https:') ?? false;
  if (settings.trustProxy) app.set('trust proxy', settings.trustProxy);
  app.disable('x-powered-by');
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: ({ url }) => !url?.startsWith('/api') },
      serializers: {
        req: ({ method, url }: Request) => ({ method, url: loggedAddress(url) }),
        res: ({ statusCode }: Response) => ({ statusCode }),
      },
    }),
  );
  app.use(securityHeaders(isSecure));
  app.use(compression());
  const pool = new pg.Pool({ connectionString: settings.databaseUrl, max: 4, connectionTimeoutMillis: 4000 });
  pool.on('error', (error) => {
    log.warn({ err: error }, 'session connection lost; a new one is made when needed');
  });
  const secret = await serverSecret(app.get(DataSource));
  app.use('/api', neverKept, sessions(pool, secret, isSecure), keepSession(), bodies());
  if (settings.webFolder) servePages(app, settings.webFolder);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(validationPipe());
  app.useGlobalFilters(new ProblemFilter(log));
  app.enableShutdownHooks();
  app.getHttpServer().once('close', () => void pool.end());
  return app;
}
