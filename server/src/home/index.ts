export { HomeModule } from './home.module.ts';
