import { randomBytes } from 'node:crypto';
import { dataSource } from './database/index.ts';
import { hashPassword } from './studios/index.ts';

/** Gives an account a new password, signs it out everywhere and ends its recovery codes; for whoever runs the server. */
async function resetPassword(email: string, databaseUrl: string): Promise<string | null> {
  const source = await dataSource(databaseUrl).initialize();
  try {
    const password = randomBytes(9).toString('base64url');
    const rows = await source.query<{ id: string }[]>('select id from account where email = $1', [email.toLowerCase()]);
    const [account] = rows;
    if (!account) return null;
    await source.query('update account set password_hash = $2 where id = $1', [
      account.id,
      await hashPassword(password),
    ]);
    await source.query('delete from recovery_code where account_id = $1', [account.id]);
    await source.query(`delete from session where sess->'signedIn'->>'accountId' = $1`, [account.id]);
    return password;
  } finally {
    await source.destroy();
  }
}

const [, , email = ''] = process.argv;
const password = await resetPassword(email, process.env['DATABASE_URL'] ?? '');
if (password === null) {
  process.stderr.write(`There is no account with the address “${email}”.\n`);
  process.exitCode = 1;
} else {
  process.stdout.write(`The new password of ${email} is  ${password}\nAsk them to change it in the settings.\n`);
}
