import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { AddFontDto } from './dto/add-font.dto'
import { FontsService } from './fonts.service'

@ApiTags('fonts')
@Controller('api/fonts')
export class FontsController {
  constructor(private readonly fonts: FontsService) {}

  @Get()
  @ApiOperation({ summary: 'The fonts at hand, those that were added first' })
  list() {
    return this.fonts.list()
  }

  @Post()
  @ApiOperation({ summary: 'Add a font file (WOFF2, WOFF, TTF or OTF)' })
  add(@Body() body: AddFontDto) {
    return this.fonts.add(body)
  }

  @Get(':id')
  @Header('cache-control', 'private, max-age=86400, immutable')
  @ApiOperation({ summary: 'A font with its measures and its file in base64' })
  get(@Param('id') id: string) {
    return this.fonts.get(id)
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Remove a font that was added' })
  remove(@Param('id') id: string) {
    return this.fonts.remove(id)
  }
}
