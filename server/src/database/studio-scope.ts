import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  DataSource,
  type EntityManager,
  type EntityTarget,
  type FindOptionsOrder,
  type FindOptionsWhere,
  type ObjectLiteral,
  type QueryDeepPartialEntity,
} from 'typeorm';

/** An entity that belongs to a studio. */
export interface Owned extends ObjectLiteral {
  studioId: string;
}

interface FindOptions<T> {
  readonly where?: FindOptionsWhere<T>;
  readonly order?: FindOptionsOrder<T>;
  readonly take?: number;
}

/** The rows of one kind that belong to one studio. */
export class StudioRows<T extends Owned> {
  private readonly manager: EntityManager;
  private readonly target: EntityTarget<T>;
  private readonly studioId: string;

  constructor(manager: EntityManager, target: EntityTarget<T>, studioId: string) {
    this.manager = manager;
    this.target = target;
    this.studioId = studioId;
  }

  private own(where: FindOptionsWhere<T> = {}): FindOptionsWhere<T> {
    return { ...where, studioId: this.studioId };
  }

  find({ where, ...rest }: FindOptions<T> = {}): Promise<T[]> {
    return this.manager.find(this.target, { ...rest, where: this.own(where) });
  }

  findOne(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.manager.findOne(this.target, { where: this.own(where) });
  }

  /** The row, held until the transaction ends: whoever else wants to change it waits. */
  findOneToChange(where: FindOptionsWhere<T>): Promise<T | null> {
    return this.manager.findOne(this.target, { where: this.own(where), lock: { mode: 'pessimistic_write' } });
  }

  exists(where: FindOptionsWhere<T>): Promise<boolean> {
    return this.manager.exists(this.target, { where: this.own(where) });
  }

  count(where: FindOptionsWhere<T> = {}): Promise<number> {
    return this.manager.count(this.target, { where: this.own(where) });
  }

  async insert(row: Omit<T, 'studioId'>): Promise<void> {
    await this.manager.insert(this.target, { ...row, studioId: this.studioId } as QueryDeepPartialEntity<T>);
  }

  /** Inserts rows whose id is not there yet; creating twice is the same as once. */
  async insertNew(rows: readonly Omit<T, 'studioId'>[]): Promise<number> {
    if (rows.length === 0) return 0;
    const values = rows.map((row) => ({ ...row, studioId: this.studioId })) as QueryDeepPartialEntity<T>[];
    const inserted = await this.manager
      .createQueryBuilder()
      .insert()
      .into(this.target)
      .values(values)
      .orIgnore()
      .returning('*')
      .execute();
    const rowsMade: unknown = inserted.raw;
    return Array.isArray(rowsMade) ? rowsMade.length : 0;
  }

  /** @returns whether a row was there to change */
  async update(where: FindOptionsWhere<T>, change: QueryDeepPartialEntity<T>): Promise<boolean> {
    const { affected } = await this.manager.update(this.target, this.own(where), change);
    return (affected ?? 0) > 0;
  }

  /**
   * Writes what was made on a version of a row: on version 0 the row is made, on any other that one is replaced.
   *
   * @param first columns that only a row that is made is given
   * @returns whether the version still stood
   */
  async write(
    { id, version }: { readonly id: string; readonly version: number },
    change: QueryDeepPartialEntity<T>,
    first: QueryDeepPartialEntity<T> = {},
  ): Promise<boolean> {
    const next = { ...change, version: version + 1 } as QueryDeepPartialEntity<T>;
    if (version > 0) return this.update({ id, version } as unknown as FindOptionsWhere<T>, next);
    return (await this.insertNew([{ ...first, ...next, id } as unknown as Omit<T, 'studioId'>])) > 0;
  }

  /** @returns whether a row was there to delete */
  async delete(where: FindOptionsWhere<T>): Promise<boolean> {
    const { affected } = await this.manager.delete(this.target, this.own(where));
    return (affected ?? 0) > 0;
  }
}

/** The one place that adds the studio to every query. */
@Injectable()
export class StudioScope {
  private readonly source: DataSource;

  constructor(@InjectDataSource() source: DataSource) {
    this.source = source;
  }

  of<T extends Owned>(
    target: EntityTarget<T>,
    studioId: string,
    manager: EntityManager = this.source.manager,
  ): StudioRows<T> {
    return new StudioRows(manager, target, studioId);
  }

  transaction<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.source.transaction(work);
  }

  /** The row, of whatever studio, that a secret names: for what nobody knows who may not see it. */
  bySecret<T extends Owned>(target: EntityTarget<T>, secret: FindOptionsWhere<T>): Promise<T | null> {
    return this.source.manager.findOne(target, { where: secret });
  }

  /** A query written by hand; `$1` is the studio. */
  query(
    studioId: string,
    sql: string,
    parameters: readonly unknown[] = [],
    manager: EntityManager = this.source.manager,
  ): Promise<unknown[]> {
    return manager.query<unknown[]>(sql, [studioId, ...parameters]);
  }
}
