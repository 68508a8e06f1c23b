export { PractisedDto, RunSummaryDto, SentRunDto } from './dto/runs.dto.ts';
export { RunsModule } from './runs.module.ts';
export { RunsService } from './runs.service.ts';
export { StopsService } from './stops.service.ts';
