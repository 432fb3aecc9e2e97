import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Sse,
  type MessageEvent,
} from '@nestjs/common'
import { ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger'
import { IF_MATCH, IfMatch } from '../http/version'
import { map, type Observable } from 'rxjs'
import { CodebasesService } from './codebases.service'
import { ChooseCodebaseDto, GlossaryDto, UploadCodebaseDto } from './dto/requests'

@ApiTags('codebases')
@Controller('api')
export class CodebasesController {
  constructor(private readonly codebases: CodebasesService) {}

  @Get('codebases')
  @ApiOperation({ summary: 'The codebases on this machine that may be read' })
  list() {
    return this.codebases.list()
  }

  @Get('projects/:id/codebase')
  @ApiOperation({
    summary: 'The codebase of a project, scanned, and its glossary; nothing where it has none',
  })
  async find(@Param('id', ParseUUIDPipe) id: string) {
    return (await this.codebases.find(id)) ?? {}
  }

  @Put('projects/:id/codebase')
  @ApiOperation({ summary: 'Choose the codebase of a project' })
  choose(@Param('id', ParseUUIDPipe) id: string, @Body() { folder }: ChooseCodebaseDto) {
    return this.codebases.choose(id, folder)
  }

  @Post('projects/:id/codebase')
  @ApiOperation({ summary: 'Send the codebase of a project as an archive' })
  upload(@Param('id', ParseUUIDPipe) id: string, @Body() { data }: UploadCodebaseDto) {
    return this.codebases.upload(id, data)
  }

  @Sse('projects/:id/codebase/changes')
  @ApiOperation({ summary: 'Tells, as events, when files of the codebase change' })
  async changes(@Param('id', ParseUUIDPipe) id: string): Promise<Observable<MessageEvent>> {
    const changes = await this.codebases.changes(id)
    return changes.pipe(map((data) => ({ data })))
  }

  @Delete('projects/:id/codebase')
  @HttpCode(204)
  @ApiOperation({ summary: 'Use no codebase any more' })
  remove(@Param('id', ParseUUIDPipe) id: string) {
    return this.codebases.remove(id)
  }

  @Put('projects/:id/codebase/glossary')
  @ApiOperation({
    summary: 'Write the glossary of the codebase, of the version that If-Match names',
  })
  @ApiHeader(IF_MATCH)
  save(
    @Param('id', ParseUUIDPipe) id: string,
    @IfMatch() version: string | undefined,
    @Body() { glossary }: GlossaryDto,
  ) {
    return this.codebases.saveGlossary(id, glossary, version)
  }
}
