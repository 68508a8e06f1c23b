/**
 * What a studio's file holds, each table after those it points to. Accounts, sessions and links stay behind: they are keys to
 * this server, not work of the studio.
 */
export const STUDIO_TABLES = [
  'singer_group',
  'student',
  'shelf_import',
  'exercise',
  'exercise_version',
  'collection',
  'song',
  'template',
  'group_member',
  'lesson',
  'routine',
  'routine_version',
  'day_condition',
  'run',
  'run_key',
  'run_correction',
  'range_check',
  'voice_lock',
  'mute',
  'advice_answer',
] as const;
export type StudioTable = (typeof STUDIO_TABLES)[number];

/** Tables of a studio that are no part of its file. */
export const LEFT_BEHIND = ['account', 'home_link'] as const;

/** Columns that point to an account, which may be that of another server. */
export const COLUMNS_LEFT: Partial<Record<StudioTable, readonly string[]>> = { routine_version: ['account_id'] };

/** What a studio has settled; its name and whose it is stay as they are. */
export const SETTINGS = [
  'time_zone',
  'approach',
  'rules',
  'note_naming',
  'ready_questions',
  'own_overlays',
  'clock',
  'usual_minutes',
  'backups_kept',
] as const;
