import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  NotFoundException,
  Param,
  ParseEnumPipe,
  Post,
} from '@nestjs/common'
import { ApiExcludeEndpoint, ApiOperation, ApiTags } from '@nestjs/swagger'
import { CodebasesService } from '../codebases/codebases.service'
import { JobsService } from '../jobs/jobs.service'
import { BundleDto } from './dto/bundle.dto'
import { RUNTIMES, type RuntimeName } from './runtimes'
import { PREVIEW_PAGE, PREVIEW_POLICY } from './preview-page'

const KNOWN = new ParseEnumPipe(Object.fromEntries(RUNTIMES.map((name) => [name, name])), {
  exceptionFactory: () =>
    new NotFoundException(`There is no such runtime; there are ${RUNTIMES.join(', ')}.`),
})

@ApiTags('previews')
@Controller()
export class PreviewsController {
  constructor(
    private readonly codebases: CodebasesService,
    private readonly jobs: JobsService,
  ) {}

  @Post('api/previews')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bundle the generated code of an app into one script' })
  async bundle(@Body() { files, project }: BundleDto) {
    const folder = project === undefined ? undefined : await this.codebases.folderOf(project)
    return this.jobs.run('bundleApp', files, folder)
  }

  @Get('api/previews/runtimes/:name')
  @Header('content-type', 'text/javascript; charset=utf-8')
  @ApiOperation({
    summary: 'The packages of a framework, as a script that bundled code finds them by',
  })
  runtime(@Param('name', KNOWN) name: RuntimeName) {
    return this.jobs.run('runtimeScript', name)
  }

  @Get('preview')
  @Header('content-type', 'text/html; charset=utf-8')
  @Header('content-security-policy', PREVIEW_POLICY)
  @Header('x-frame-options', 'SAMEORIGIN')
  @ApiExcludeEndpoint()
  page() {
    return PREVIEW_PAGE
  }
}
