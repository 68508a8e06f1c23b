import { spawn } from 'node:child_process';
import { createServer, type Server } from 'node:net';
import { test as plain, expect } from '@playwright/test';
import { freePort, startCluster } from '../scripts/postgres.mjs';
import { project } from '../scripts/run.mjs';

interface Ended {
  readonly code: number | null;
  readonly said: string;
}

/** Runs the start command until it says something of this kind, then stops it as a person would. */
function start(env: Record<string, string>, until: RegExp): Promise<Ended> {
  return new Promise((resolve) => {
    const child = spawn('node', ['scripts/start.mjs'], { cwd: project, env: { ...process.env, ...env } });
    let said = '';
    const hear = (chunk: Buffer): void => {
      said += chunk.toString();
      if (until.test(said)) child.kill('SIGINT');
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', (code) => {
      resolve({ code, said });
    });
  });
}

function occupy(port: number): Promise<Server> {
  return new Promise((resolve) => {
    const server = createServer().listen(port, '127.0.0.1', () => {
      resolve(server);
    });
  });
}

plain('the start command serves, says where, and stops all it started', async () => {
  const port = await freePort();
  const { code, said } = await start({ PORT: String(port) }, /Ctrl-C stops everything/);
  expect(said).toContain(`http://127.0.0.1:${String(port)}`);
  expect(code).toBe(0);
  await expect(fetch(`http://127.0.0.1:${String(port)}/api/health`)).rejects.toThrow();
});

plain('a port that is taken is said, and a free one offered', async () => {
  const port = await freePort();
  const other = await occupy(port);
  const { code, said } = await start({ PORT: String(port) }, /Start again/);
  other.close();
  expect(said).toMatch(
    new RegExp(`Port ${String(port)} is taken by another program. Start again with a free one: {2}PORT=\\d+ npm start`),
  );
  expect(code).not.toBe(0);
});

plain('a port that is no port is refused in a sentence', async () => {
  const { code, said } = await start({ PORT: 'harbour' }, /PORT is/);
  expect(said).toContain('PORT is “harbour”; give a number from 1 to 65535.');
  expect(code).not.toBe(0);
});

plain('a cluster left by a crash comes back on its own port, with its data', async () => {
  const cluster = await startCluster(project, 'crash', { durable: false });
  cluster.dropDatabase('kept');
  expect(cluster.createDatabase('kept')).toBe(true);
  const before = cluster.url('kept');
  cluster.kill();
  await expect.poll(() => cluster.isRunning()).toBe(false);
  const again = await startCluster(project, 'crash', { durable: false });
  expect([again.reused, again.url('kept')]).toEqual([false, before]);
  expect(again.createDatabase('kept')).toBe(false);
  const found = await startCluster(project, 'crash', { durable: false });
  expect(found.reused).toBe(true);
  again.stop();
});
