import { recipePartSchema, type KeptPart } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { Id, Shapes } from '../../common/index.ts';
import { RoutineFieldsDto } from '../../routines/index.ts';

/** A template of the studio's own: either its steps as they are, or the places of a recipe; the other is empty. */
export class NewTemplateDto extends RoutineFieldsDto {
  @Id()
  id!: string;

  @Shapes('RecipePart', recipePartSchema, 60)
  parts!: readonly KeptPart[];
}

export class TemplateDto extends NewTemplateDto {
  @ApiProperty({ type: String, format: 'date-time' })
  savedAt!: string;
}
