import { Global, Module } from '@nestjs/common';
import { QuotaRepository } from './quota.repository.js';
import { QuotaService } from './quota.service.js';

@Global()
@Module({ providers: [QuotaRepository, QuotaService], exports: [QuotaRepository, QuotaService] })
export class QuotaModule {}
