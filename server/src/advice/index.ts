export { AdviceModule } from './advice.module.ts';
export { AdviceService } from './advice.service.ts';
export { AdvisedDto } from './dto/advice.dto.ts';
