import { Module } from '@nestjs/common'
import { FontsController } from './fonts.controller'
import { FontsRepository } from './fonts.repository'
import { FontsService } from './fonts.service'

@Module({
  controllers: [FontsController],
  providers: [FontsRepository, FontsService],
  exports: [FontsService],
})
export class FontsModule {}
