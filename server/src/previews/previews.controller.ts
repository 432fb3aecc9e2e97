import { Body, Controller, Get, Header, HttpCode, Post } from '@nestjs/common'
import { ApiExcludeEndpoint, ApiOperation, ApiTags } from '@nestjs/swagger'
import { bundleApp } from './bundler'
import { BundleDto } from './dto/bundle.dto'
import { PREVIEW_PAGE, PREVIEW_POLICY } from './preview-page'

@ApiTags('previews')
@Controller()
export class PreviewsController {
  @Post('api/previews')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bundle the generated code of an app into one script' })
  bundle(@Body() { files }: BundleDto) {
    return bundleApp(files)
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
