export { SessionDto } from './dto/studios.dto.ts';
export { hashPassword } from './passwords.ts';
export { keepSession, openSession } from './session-cookie.ts';
export { SharedThrottle } from './shared-throttle.ts';
export { SignInThrottle } from './sign-in-throttle.ts';
export { StudiosModule } from './studios.module.ts';
export { StudiosService } from './studios.service.ts';
