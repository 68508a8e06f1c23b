export { DemoModule } from './demo.module.ts';
