import type { ThrottlerStorage } from '@nestjs/throttler';
import type { DataSource } from 'typeorm';

/** What `increment` answers; the package does not export its own name for it. */
type Counted = Awaited<ReturnType<ThrottlerStorage['increment']>>;

/** A window that is over, or that a clock set back has put too far ahead, begins anew. */
const COUNT = `
  insert into throttle (key, hits, window_ends) values ($1, 1, now() + $2 * interval '1 millisecond')
  on conflict (key) do update set
    hits = case when throttle.window_ends between now() and excluded.window_ends then throttle.hits + 1 else 1 end,
    window_ends = case when throttle.window_ends between now() and excluded.window_ends then throttle.window_ends
                       else excluded.window_ends end
  returning hits, ceil(extract(epoch from window_ends - now()))::int as seconds`;

/** Windows that are over are swept away now and then: once in so many counts. */
const SWEEP_EVERY = 500;

/** Counts tries in the database, by its clock, so that any number of servers count together. */
export class SharedThrottle implements ThrottlerStorage {
  private counted = 0;

  private readonly source: DataSource;

  constructor(source: DataSource) {
    this.source = source;
  }

  async increment(key: string, ttl: number, limit: number, _block: number, name: string): Promise<Counted> {
    this.counted += 1;
    if (this.counted % SWEEP_EVERY === 0) await this.source.query('delete from throttle where window_ends < now()');
    const [row] = await this.source.query<{ hits: number; seconds: number }[]>(COUNT, [`${name} ${key}`, ttl]);
    const { hits, seconds } = row ?? { hits: 1, seconds: 0 };
    return { totalHits: hits, timeToExpire: seconds, isBlocked: hits > limit, timeToBlockExpire: seconds };
  }
}
