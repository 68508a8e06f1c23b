import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { ChangedGroupDto, GroupDto } from './dto/groups.dto.ts';
import { GroupsService } from './groups.service.ts';

@ApiTags('groups')
@Controller('groups')
export class GroupsController {
  constructor(private readonly groups: GroupsService) {}

  @Get()
  @ApiOkResponse({ type: [GroupDto] })
  list(@Who() { studioId }: SignedIn): Promise<GroupDto[]> {
    return this.groups.list(studioId);
  }

  @Put(':groupId')
  @ApiOkResponse({ type: GroupDto })
  change(
    @Who() { studioId }: SignedIn,
    @Param('groupId', ParseUUIDPipe) id: string,
    @Body() wanted: ChangedGroupDto,
  ): Promise<GroupDto> {
    return this.groups.change(studioId, id, wanted);
  }

  @Delete(':groupId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('groupId', ParseUUIDPipe) id: string): Promise<void> {
    return this.groups.remove(studioId, id);
  }
}
