import { Injectable } from '@nestjs/common';
import { Clock, notFound, Problem, type UnreadableDto } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { RoutinesService } from '../routines/index.ts';
import type { NewTemplateDto, TemplateDto } from './dto/templates.dto.ts';
import { Template } from './template.entity.ts';
import { readTemplate, unreadableTemplate } from './template.upgrade.ts';

/** Routines a studio keeps to begin others from. */
@Injectable()
export class TemplatesService {
  constructor(
    private readonly scope: StudioScope,
    private readonly routines: RoutinesService,
    private readonly clock: Clock,
  ) {}

  /** By name. */
  async list(studioId: string): Promise<TemplateDto[]> {
    const rows = await this.scope.of(Template, studioId).find({ order: { name: 'ASC' } });
    return rows.flatMap((row) => this.view(row) ?? []);
  }

  /** Templates that this version cannot read; they are kept, and nothing else is broken by them. */
  async unreadable(studioId: string): Promise<UnreadableDto[]> {
    const rows = await this.scope.of(Template, studioId).find({ order: { name: 'ASC' } });
    return rows.flatMap((row) => unreadableTemplate(row) ?? []);
  }

  async keep(studioId: string, { id, name, kind, minutes, steps, parts }: NewTemplateDto): Promise<TemplateDto> {
    if ((steps.length === 0) === (parts.length === 0))
      throw new Problem(422, 'INVALID', 'A template has either steps or the places of a recipe.', {
        remedy: 'Put a step on the bench first, then keep it as it is or as a recipe.',
        values: { context: 'template' },
      });
    await this.routines.checkSteps(studioId, steps);
    const rows = this.scope.of(Template, studioId);
    const plain = JSON.parse(JSON.stringify({ steps, parts })) as Pick<NewTemplateDto, 'steps' | 'parts'>;
    await rows.insertNew([{ id, name, body: { schema: 1, kind, minutes, ...plain }, savedAt: this.clock.now() }]);
    const row = await rows.findOne({ id });
    const kept = row && this.view(row);
    if (!kept) throw notFound('template');
    return kept;
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Template, studioId).delete({ id }))) throw notFound('template');
  }

  private view({ id, name, body, savedAt }: Template): TemplateDto | null {
    const kept = readTemplate(body);
    return kept && { id, name, ...kept, savedAt: savedAt.toISOString() };
  }
}
