import { Injectable } from '@nestjs/common';
import { Clock, notFound, Problem } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { RoutinesService } from '../routines/index.ts';
import type { NewTemplateDto, TemplateDto } from './dto/templates.dto.ts';
import { Template } from './template.entity.ts';

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
    return rows.map((row) => this.view(row));
  }

  async keep(studioId: string, { id, name, kind, minutes, steps, parts }: NewTemplateDto): Promise<TemplateDto> {
    if ((steps.length === 0) === (parts.length === 0))
      throw new Problem(422, 'INVALID', 'A template has either steps or the places of a recipe.', {
        remedy: 'Put a step on the bench first, then keep it as it is or as a recipe.',
      });
    await this.routines.checkSteps(studioId, steps);
    const rows = this.scope.of(Template, studioId);
    const plain = JSON.parse(JSON.stringify({ steps, parts })) as Pick<NewTemplateDto, 'steps' | 'parts'>;
    await rows.insertNew([{ id, name, body: { schema: 1, kind, minutes, ...plain }, savedAt: this.clock.now() }]);
    const row = await rows.findOne({ id });
    if (!row) throw notFound('template');
    return this.view(row);
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(Template, studioId).delete({ id }))) throw notFound('template');
  }

  private view({ id, name, body, savedAt }: Template): TemplateDto {
    const { kind, minutes, steps, parts } = body;
    return {
      id,
      name,
      kind,
      minutes,
      steps: [...steps],
      parts: parts.map(({ goals = [], mostLoad = 5, ...part }) => ({ ...part, goals: [...goals], mostLoad })),
      savedAt: savedAt.toISOString(),
    };
  }
}
