import { databaseFault } from './common/index.ts';
import { createApp, type ServerSettings } from './create-app.ts';
import { migrate } from './migrate.ts';

const {
  DATABASE_URL,
  WEB_FOLDER,
  PUBLIC_URL,
  TRUST_PROXY,
  LOG_LEVEL,
  BACKUP_FOLDER,
  PORT = '4600',
  HOST = '127.0.0.1',
} = process.env;

async function main(): Promise<void> {
  if (!DATABASE_URL) throw new Error('DATABASE_URL says where PostgreSQL is; npm start sets it.');
  const settings: ServerSettings = {
    databaseUrl: DATABASE_URL,
    ...(WEB_FOLDER && { webFolder: WEB_FOLDER }),
    ...(PUBLIC_URL && { publicUrl: PUBLIC_URL }),
    ...(TRUST_PROXY && { trustProxy: TRUST_PROXY }),
    ...(LOG_LEVEL && { logLevel: LOG_LEVEL }),
    ...(BACKUP_FOLDER && { backupFolder: BACKUP_FOLDER }),
  };
  await migrate(DATABASE_URL);
  const app = await createApp(settings);
  await app.listen(Number(PORT), HOST);
  process.send?.({ ready: true });
}

main().catch((error: unknown) => {
  const failed = error instanceof Error ? error.message : String(error);
  // Whoever started this says it in a person's words; started by hand, it says it itself.
  const leave = (): never => process.exit(1);
  if (process.send) process.send({ failed, code: (error as { code?: unknown }).code }, leave);
  else {
    console.error(error);
    leave();
  }
});

// A connection that breaks while nobody waits on it has nobody to tell; its pool makes a new one when it is needed.
process.on('uncaughtException', (error) => {
  console.error(error.message);
  if (databaseFault(error) !== 'away') process.exit(1);
});

// Whoever started this is gone: nobody could stop it any more.
process.on('disconnect', () => {
  process.kill(process.pid, 'SIGTERM');
});
