export { GroupsModule } from './groups.module.ts';
export { GroupsService } from './groups.service.ts';
