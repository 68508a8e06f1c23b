import type { Song } from '@soft-lark/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsObject } from 'class-validator';
import { refusedBy, Whole } from '../../common/index.ts';

export class ChangedSongDto {
  /** Nought for a new one. */
  @Whole(0, 1_000_000_000)
  version!: number;

  /** The song; its schema is that of the core. */
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject(refusedBy('no-fields'))
  song!: object;
}

/** A song as it stands in the studio. */
export type KeptSong = Song & { readonly id: string; readonly version: number };
