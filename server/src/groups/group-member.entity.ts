import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A student in a group; who leaves the studio leaves its groups. */
@Entity('group_member')
export class GroupMember {
  @PrimaryColumn('uuid', { name: 'group_id' })
  groupId!: string;

  @PrimaryColumn('uuid', { name: 'student_id' })
  studentId!: string;

  @Column('uuid', { name: 'studio_id' })
  studioId!: string;

  @Column('smallint')
  position!: number;
}
