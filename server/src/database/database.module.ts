import { Global, Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Broadcast } from './broadcast.ts';
import { dataSourceOptions } from './data-source.ts';
import { StudioCopier } from './studio-copy.ts';
import { StudioScope } from './studio-scope.ts';

@Global()
@Module({})
export class DatabaseModule {
  static at(url: string): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [
        TypeOrmModule.forRoot({
          ...dataSourceOptions(url),
          autoLoadEntities: true,
          retryAttempts: 30,
          retryDelay: 1000,
        }),
      ],
      providers: [StudioScope, StudioCopier, Broadcast],
      exports: [StudioScope, StudioCopier, Broadcast],
    };
  }
}
