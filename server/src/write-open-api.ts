import { writeFileSync } from 'node:fs';
import { format } from 'node:util';
import { createApp } from './create-app.ts';
import { migrate } from './migrate.ts';
import { openApiDocument } from './open-api.ts';

const [target] = process.argv.slice(2);
const url = process.env['DATABASE_URL'];
if (!target || !url)
  throw new Error(format('usage: DATABASE_URL=… node write-open-api.js FILE, got %o', process.argv.slice(2)));
await migrate(url);
const app = await createApp({ databaseUrl: url, logLevel: 'silent' });
writeFileSync(target, `${JSON.stringify(openApiDocument(app), null, 2)}\n`);
await app.close();
process.exit(0);
