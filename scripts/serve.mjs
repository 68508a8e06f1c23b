// Starts the built server on a database and waits until it answers.
import { fork } from 'node:child_process';
import { join } from 'node:path';
import { project } from './run.mjs';

/**
 * @param {{ databaseUrl: string, port: number, host?: string, env?: Record<string, string>, quiet?: boolean }} settings
 * @returns {Promise<{ child: import('node:child_process').ChildProcess, stop: () => Promise<void> }>}
 */
export function serve({ databaseUrl, port, host = '127.0.0.1', env = {}, quiet = false }) {
  const child = fork(join(project, 'server/dist/main.js'), {
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      HOST: host,
      WEB_FOLDER: join(project, 'web/dist'),
      ...env,
    },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
  });
  const stop = () =>
    new Promise((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
      setTimeout(() => child.kill('SIGKILL'), 5000).unref();
    });
  return new Promise((resolve, reject) => {
    child.on('message', (message) => {
      if (message.ready) resolve({ child, stop });
      if (message.failed) reject(Object.assign(new Error(message.failed), { code: message.code }));
    });
    child.once('exit', (code) => reject(new Error(`The server ended with code ${code}.`)));
  });
}
