import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Ip,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Observable } from 'rxjs';
import { Open, Who, type SignedIn } from '../common/index.ts';
import { NewLockDto } from '../gate/index.ts';
import {
  HomeDto,
  HomeLinkDto,
  MadeHomeLinkDto,
  NewHomeLinkDto,
  NewLessonSoundDto,
  SentHomeRunDto,
} from './dto/home.dto.ts';
import { HomeLinksService } from './home-links.service.ts';
import { HomeService } from './home.service.ts';
import { LessonSoundsService } from './lesson-sounds.service.ts';

/** The links of a student, as the teacher makes and takes them back. */
@ApiTags('home')
@Controller('students/:studentId/home-links')
export class HomeLinksController {
  constructor(private readonly links: HomeLinksService) {}

  @Get()
  @ApiOkResponse({ type: [HomeLinkDto] })
  list(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<HomeLinkDto[]> {
    return this.links.list(studioId, id);
  }

  @Post()
  @ApiCreatedResponse({ type: MadeHomeLinkDto })
  make(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() wanted: NewHomeLinkDto,
  ): Promise<MadeHomeLinkDto> {
    return this.links.make(studioId, id, wanted);
  }

  @Delete(':linkId')
  @HttpCode(204)
  revoke(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) studentId: string,
    @Param('linkId', ParseUUIDPipe) id: string,
  ): Promise<void> {
    return this.links.revoke(studioId, studentId, id);
  }
}

/** What a teacher who conducts over video lets sound at the student’s side. */
@ApiTags('home')
@Controller('students/:studentId/lesson-sounds')
export class LessonSoundsController {
  constructor(private readonly sounds: LessonSoundsService) {}

  @Post()
  @HttpCode(204)
  send(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() { sound }: NewLessonSoundDto,
  ): Promise<void> {
    return this.sounds.send(studioId, id, sound);
  }
}

/** What a link opens, without a session; the token in the address is all that says whose it is. */
@ApiTags('home')
@Controller('home/:token')
@Open()
export class HomeController {
  constructor(
    private readonly links: HomeLinksService,
    private readonly home: HomeService,
    private readonly sounds: LessonSoundsService,
  ) {}

  @Get()
  @ApiOkResponse({ type: HomeDto })
  async page(@Param('token') token: string, @Ip() address: string): Promise<HomeDto> {
    return this.home.page(await this.links.open(token, address));
  }

  @Put('runs/:runId')
  @HttpCode(204)
  async keep(
    @Param('token') token: string,
    @Param('runId', ParseUUIDPipe) id: string,
    @Ip() address: string,
    @Body() sent: SentHomeRunDto,
  ): Promise<void> {
    await this.home.keep(await this.links.open(token, address), id, sent);
  }

  /** What the teacher lets sound here, as it comes. */
  @Sse('lesson')
  async lesson(@Param('token') token: string, @Ip() address: string): Promise<Observable<MessageEvent>> {
    return this.sounds.listen(await this.links.open(token, address));
  }

  @Post('locks')
  @HttpCode(204)
  async lock(@Param('token') token: string, @Ip() address: string, @Body() wanted: NewLockDto): Promise<void> {
    await this.home.lock(await this.links.open(token, address), wanted);
  }
}
