export { LockDto, NewLockDto } from './dto/gate.dto.ts';
export { GateModule } from './gate.module.ts';
export { GateService } from './gate.service.ts';
