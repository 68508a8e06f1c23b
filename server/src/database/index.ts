export { Broadcast } from './broadcast.ts';
export { dataSource } from './data-source.ts';
export { DatabaseModule } from './database.module.ts';
export { serverSecret } from './server-secret.ts';
export { StudioCopier, type StudioCopy } from './studio-copy.ts';
export { StudioScope } from './studio-scope.ts';
