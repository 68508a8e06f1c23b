import { Injectable } from '@nestjs/common';
import { notFound, written } from '../common/index.ts';
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
    const isWritten = await rows.write({ id, version }, { name, exercises }, { importId: null });
    const current = await rows.findOne({ id });
    return written('collection', isWritten, current && this.view(current), [name, exercises], (now) => [
      now.name,
      now.exercises,
    ]);
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Collection, studioId).delete({ id }))) throw notFound('collection');
  }

  private view({ id, name, exercises, version }: Collection): CollectionDto {
    return { id, name, exercises: [...exercises], version };
  }
}
