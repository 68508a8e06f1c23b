import { expose } from 'comlink';
import { openBytes, written, writtenBook } from './read-files.ts';

const files = { open: openBytes, write: written, book: writtenBook };

export type FilesWorker = typeof files;
expose(files);
