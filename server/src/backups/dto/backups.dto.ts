import { ApiProperty } from '@nestjs/swagger';

export class BackupDto {
  @ApiProperty()
  name!: string;

  @ApiProperty({ type: String, format: 'date-time' })
  madeAt!: string;

  @ApiProperty({ type: 'integer' })
  bytes!: number;
}

/** The backups of a studio on this machine. */
export class BackupsDto {
  /** Whether this server keeps backups at all. */
  @ApiProperty()
  isOn!: boolean;

  @ApiProperty()
  isBeingMade!: boolean;

  /** How much of it is written, 0–1. */
  @ApiProperty({ type: Number, minimum: 0, maximum: 1 })
  share!: number;

  /** Why the last one could not be made; nothing where it was. */
  @ApiProperty({ type: String, nullable: true })
  trouble!: string | null;

  /** The newest first. */
  @ApiProperty({ type: [BackupDto] })
  backups!: BackupDto[];
}
