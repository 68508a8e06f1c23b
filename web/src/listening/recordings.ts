import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A recording a teacher chose to keep. It stays on this device, and goes by itself. */
export interface Recording {
  readonly id: string;
  readonly studentId: string;
  /** ISO instant. */
  readonly keptAt: string;
  readonly sound: Blob;
}

interface RecordingSchema extends DBSchema {
  recordings: { key: string; value: Recording; indexes: { byStudent: string } };
}

/** Recordings are kept so many days. */
export const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

let opened: Promise<IDBPDatabase<RecordingSchema> | null> | undefined;

async function open(): Promise<IDBPDatabase<RecordingSchema> | null> {
  try {
    return await openDB<RecordingSchema>('soft-lark', 1, {
      upgrade(database) {
        database.createObjectStore('recordings', { keyPath: 'id' }).createIndex('byStudent', 'studentId');
      },
    });
  } catch {
    return null;
  }
}

/** What this device keeps; null where it is set to keep nothing, as in a private window. */
function store(): Promise<IDBPDatabase<RecordingSchema> | null> {
  opened ??= open();
  return opened;
}

/** Whether a recording has been kept as long as it may be. */
export function isOver(keptAt: string, now: Date): boolean {
  return now.getTime() - Date.parse(keptAt) >= KEPT_DAYS * DAY_MS;
}

async function keepRecording(recording: Recording): Promise<void> {
  await (await store())?.put('recordings', recording);
}

/** The recordings of one student on this device, the newest first. */
export async function recordingsOf(studentId: string): Promise<readonly Recording[]> {
  const found = await (await store())?.getAllFromIndex('recordings', 'byStudent', studentId);
  return (found ?? []).sort((a, b) => b.keptAt.localeCompare(a.keptAt));
}

export async function dropRecording(id: string): Promise<void> {
  await (await store())?.delete('recordings', id);
}

/** Lets go of what has been kept long enough; called whenever the pages start. */
export async function dropOldRecordings(now: Date): Promise<void> {
  const database = await store();
  if (!database) return;
  const all = await database.getAll('recordings');
  await Promise.all(all.filter(({ keptAt }) => isOver(keptAt, now)).map(({ id }) => database.delete('recordings', id)));
}

/** Lets go of everything on this device. */
export async function clearRecordings(): Promise<void> {
  await (await store())?.clear('recordings');
}

/** A recorder on an open microphone; `stop` keeps what was heard for a student, and says when it is there. */
export function startRecorder(stream: MediaStream, studentId: string): { readonly stop: (onKept: () => void) => void } {
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.ondataavailable = ({ data }) => {
    parts.push(data);
  };
  recorder.start();
  return {
    stop: (onKept) => {
      recorder.onstop = () => {
        const sound = new Blob(parts, { type: recorder.mimeType });
        const recording = { id: crypto.randomUUID(), studentId, keptAt: new Date().toISOString(), sound };
        void keepRecording(recording).then(onKept);
      };
      recorder.stop();
    },
  };
}
