import { Module } from '@nestjs/common';
import { SCOREBOARD } from './scoreboard.js';
import { ScoreboardStandIn } from './scoreboardStandIn.js';

@Module({
  providers: [ScoreboardStandIn, { provide: SCOREBOARD, useExisting: ScoreboardStandIn }],
  exports: [ScoreboardStandIn, SCOREBOARD],
})
export class ScoreboardModule {}
