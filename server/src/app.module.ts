import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ApiController } from './api/api.controller.js';
import { AccountsModule } from './accounts/accounts.module.js';
import { SessionGuard } from './accounts/session.guard.js';
import { BinModule } from './bin/bin.module.js';
import { ClipsModule } from './clips/clips.module.js';
import { CONFIG, type Config } from './config/config.js';
import { DatabaseModule } from './database/database.module.js';
import { DiskModule } from './disk/disk.module.js';
import { DemoService } from './demo/demo.service.js';
import { SeededService } from './demo/seeded.service.js';
import { FollowModule } from './follow/follow.module.js';
import { FootageModule } from './footage/footage.module.js';
import { HealthController } from './health/health.controller.js';
import { JobsModule } from './jobs/jobs.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { LibraryModule } from './library/library.module.js';
import { MapModule } from './map/map.module.js';
import { MediaModule } from './media/media.module.js';
import { NewsModule } from './news/news.module.js';
import { PeopleModule } from './people/people.module.js';
import { MomentsModule } from './moments/moments.module.js';
import { QuotaModule } from './quota/quota.module.js';
import { RoutesModule } from './routes/routes.module.js';
import { ScoreboardModule } from './scoreboard/scoreboard.module.js';
import { StandInsModule } from './standIns/standIns.module.js';
import { UploadsModule } from './uploads/uploads.module.js';
import { WhyModule } from './why/why.module.js';
import { WordsModule } from './words/words.module.js';

@Module({})
class ConfigModule {
  static with(config: Config): DynamicModule {
    return {
      module: ConfigModule,
      global: true,
      providers: [{ provide: CONFIG, useValue: config }],
      exports: [CONFIG],
    };
  }
}

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ConfigModule.with(config),
        DatabaseModule,
        QuotaModule,
        AccountsModule,
        LibraryModule,
        ChangesModule,
        MediaModule,
        FootageModule,
        ClipsModule,
        BinModule,
        PeopleModule,
        WordsModule,
        MomentsModule,
        WhyModule,
        FollowModule,
        RoutesModule,
        MapModule,
        NewsModule,
        UploadsModule,
        JobsModule,
        DiskModule,
        ScoreboardModule,
        StandInsModule,
      ],
      controllers: [HealthController, ApiController],
      providers: [{ provide: APP_GUARD, useClass: SessionGuard }, DemoService, SeededService],
    };
  }
}
