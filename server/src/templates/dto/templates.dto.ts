import { STAGES, type Stage } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Choice, Flag, Id, Parts, Texts, Whole } from '../../common/index.ts';
import { RoutineFieldsDto } from '../../routines/index.ts';

/** One place of a recipe: a stage, what it should serve, and how much it may ask. */
export class RecipePartDto {
  @Choice(STAGES)
  stage!: Stage;

  @Texts(12, 60)
  goals!: string[];

  @Whole(0, 5)
  mostLoad!: number;

  /** Stays when time is short. */
  @Flag({ optional: true })
  keep?: boolean;
}

/** A template of the studio's own: either its steps as they are, or the places of a recipe; the other is empty. */
export class NewTemplateDto extends RoutineFieldsDto {
  @Id()
  id!: string;

  @Parts(() => RecipePartDto, 60)
  parts!: RecipePartDto[];
}

export class TemplateDto extends NewTemplateDto {
  @ApiProperty({ type: String, format: 'date-time' })
  savedAt!: string;
}
