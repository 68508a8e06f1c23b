import { Injectable } from '@nestjs/common';
import { faultOf } from '@soft-lark/core';
import { fieldProblem, notFound, Problem, written } from '../common/index.ts';
import { StudioScope } from '../database/index.ts';
import { StudentsService } from '../students/index.ts';
import type { ChangedGroupDto, GroupDto } from './dto/groups.dto.ts';
import { GroupMember } from './group-member.entity.ts';
import { SingerGroup } from './group.entity.ts';

/** Pairs and small groups of a studio. */
@Injectable()
export class GroupsService {
  constructor(
    private readonly scope: StudioScope,
    private readonly students: StudentsService,
  ) {}

  /** By name. */
  async list(studioId: string): Promise<GroupDto[]> {
    const [groups, members] = await Promise.all([
      this.scope.of(SingerGroup, studioId).find({ order: { name: 'ASC' } }),
      this.scope.of(GroupMember, studioId).find({ order: { position: 'ASC' } }),
    ]);
    return groups.map(({ id, name, version }) => ({
      id,
      name,
      version,
      members: members.filter(({ groupId }) => groupId === id).map(({ studentId }) => studentId),
    }));
  }

  async get(studioId: string, id: string): Promise<GroupDto> {
    const group = (await this.list(studioId)).find((one) => one.id === id);
    if (!group) throw notFound('group');
    return group;
  }

  async change(studioId: string, id: string, { version, name, members }: ChangedGroupDto): Promise<GroupDto> {
    await this.checkMembers(studioId, members);
    const isWritten = await this.scope.transaction(async (manager) => {
      const groups = this.scope.of(SingerGroup, studioId, manager);
      if (!(await groups.write({ id, version }, { name }))) return false;
      const rows = this.scope.of(GroupMember, studioId, manager);
      await rows.delete({ groupId: id });
      await rows.insertNew(members.map((studentId, position) => ({ groupId: id, studentId, position })));
      return true;
    });
    return written('group', isWritten, await this.get(studioId, id), [name, members], (now) => [now.name, now.members]);
  }

  async remove(studioId: string, id: string): Promise<void> {
    if (!(await this.scope.of(SingerGroup, studioId).delete({ id }))) throw notFound('group');
  }

  private async checkMembers(studioId: string, members: readonly string[]): Promise<void> {
    const known = new Set((await this.students.list(studioId)).map(({ id }) => id));
    if (members.some((id) => !known.has(id))) throw notFound('student');
    if (new Set(members).size < members.length)
      throw new Problem(422, 'INVALID', 'One singer is in the group twice.', {
        errors: [fieldProblem('members', faultOf('twice'))],
        values: { context: 'singer-twice' },
      });
  }
}
