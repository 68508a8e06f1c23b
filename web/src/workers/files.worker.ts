import { expose } from 'comlink';
import { openBytes, written } from './read-files.ts';

const files = { open: openBytes, write: written };

export type FilesWorker = typeof files;
expose(files);
