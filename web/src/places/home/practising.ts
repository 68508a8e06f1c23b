export { HomeClosing } from './home-closing.tsx';
export { HomeGate } from './home-gate.tsx';
export { LessonPage } from './lesson-page.tsx';
export { Practice } from './practice.tsx';
