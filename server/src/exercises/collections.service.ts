import { Injectable } from '@nestjs/common';
import { notFound, staleWrite } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { Collection } from './collection.entity.ts';
import type { ChangedCollectionDto, CollectionDto } from './dto/exercises.dto.ts';

/** Collections of a studio: named lists of exercises. */
@Injectable()
export class CollectionsService {
  constructor(private readonly scope: StudioScope) {}

  async list(studioId: string): Promise<CollectionDto[]> {
    const rows = await this.scope.of(Collection, studioId).find({ order: { name: 'ASC' } });
    return rows.map((row) => this.view(row));
  }

  async change(studioId: string, id: string, wanted: ChangedCollectionDto): Promise<CollectionDto> {
    const { version, name, exercises } = wanted;
    const rows = this.scope.of(Collection, studioId);
    const next = { name, exercises, version: version + 1 };
    if (version === 0) await rows.insertNew([{ ...next, id, importId: null }]);
    else if (!(await rows.update({ id, version }, next))) {
      const current = await rows.findOne({ id });
      throw current ? staleWrite('collection', this.view(current)) : notFound('collection');
    }
    const row = await rows.findOne({ id });
    if (!row) throw notFound('collection');
    return this.view(row);
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Collection, studioId).delete({ id }))) throw notFound('collection');
  }

  private view({ id, name, exercises, version }: Collection): CollectionDto {
    return { id, name, exercises: [...exercises], version };
  }
}
