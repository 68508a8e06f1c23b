import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import { NewTemplateDto, TemplateDto } from './dto/templates.dto.ts';
import { TemplatesService } from './templates.service.ts';

@ApiTags('templates')
@Controller('templates')
export class TemplatesController {
  constructor(private readonly templates: TemplatesService) {}

  @Get()
  @ApiOkResponse({ type: [TemplateDto] })
  list(@Who() { studioId }: SignedIn): Promise<TemplateDto[]> {
    return this.templates.list(studioId);
  }

  @Get('unreadable')
  @ApiOkResponse({ type: [UnreadableDto] })
  unreadable(@Who() { studioId }: SignedIn): Promise<UnreadableDto[]> {
    return this.templates.unreadable(studioId);
  }

  @Post()
  @ApiCreatedResponse({ type: TemplateDto })
  keep(@Who() { studioId }: SignedIn, @Body() wanted: NewTemplateDto): Promise<TemplateDto> {
    return this.templates.keep(studioId, wanted);
  }

  @Delete(':templateId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('templateId', ParseUUIDPipe) id: string): Promise<void> {
    return this.templates.remove(studioId, id);
  }
}
