import type { StudentFieldsDto } from './dto/students.dto.ts';
import type { StoredVoice } from './student.entity.ts';

const CURRENT = 1;

/** Reads a stored voice file of any schema; so far there is one. */
export function readVoice({ schema, ...voice }: StoredVoice): StudentFieldsDto['voice'] {
  if (schema > CURRENT) throw new Error(`Voice file schema ${String(schema)} is newer than this server.`);
  return voice as StudentFieldsDto['voice'];
}
