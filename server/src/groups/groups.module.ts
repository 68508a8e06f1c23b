import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentsModule } from '../students/index.ts';
import { GroupMember } from './group-member.entity.ts';
import { SingerGroup } from './group.entity.ts';
import { GroupsController } from './groups.controller.ts';
import { GroupsService } from './groups.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([SingerGroup, GroupMember]), StudentsModule],
  controllers: [GroupsController],
  providers: [GroupsService],
  exports: [GroupsService],
})
export class GroupsModule {}
