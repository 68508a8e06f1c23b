import { voiceFileSchema, type VoiceFile } from '@soft-lark/core';
import { demandStored, readStored, unreadable, type StoredKind, type UnreadableDto } from '../common/index.ts';
import type { Student, StoredVoice } from './student.entity.ts';

const VOICE_FILES: StoredKind<VoiceFile> = { what: 'voice file', schema: voiceFileSchema };

/** A voice file as the core reads it today; null where it cannot be read. */
export function readVoice({ schema, ...value }: StoredVoice): VoiceFile | null {
  return readStored(VOICE_FILES, { schema, value });
}

/** @throws Problem `UNREADABLE` */
export function demandVoice({ schema, ...value }: StoredVoice): VoiceFile {
  return demandStored(VOICE_FILES, { schema, value });
}

/** What is to be said of a student whose voice file cannot be read; null where it can. */
export function unreadableStudent({ id, name, voice: { schema, ...value } }: Student): UnreadableDto | null {
  return unreadable({ id, name }, VOICE_FILES, { schema, value });
}
