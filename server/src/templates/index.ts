export { TemplatesModule } from './templates.module.ts';
